export function layerOf(file: string): string | undefined;
export function forbiddenArrow(
  fromFile: string,
  specifier: string,
  resolved: string | undefined,
  isTest?: boolean,
): string | undefined;
export const arrows: Readonly<Record<string, readonly string[]>>;
