export interface Served {
  readonly url: string;
  readonly port: number;
  readonly stop: () => Promise<unknown>;
  readonly kill: () => Promise<unknown>;
}
export function startServer(given: {
  data: string;
  demo?: boolean;
  port?: number;
  env?: Record<string, string>;
}): Promise<Served>;
export const chromiumFlags: readonly string[];
export function signInDemo(url: string, staffId?: number): Promise<string>;
