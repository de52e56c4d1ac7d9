export interface Licence {
  readonly name: string;
  readonly version: string;
  readonly licence: string;
  readonly isFont: boolean;
  readonly text: string;
}
export function collectLicences(root: string): readonly Licence[];
