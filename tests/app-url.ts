import { inject } from 'vitest';

declare module 'vitest' {
  export interface ProvidedContext {
    /** The house that the tests of the endpoints share. */
    appUrl: string;
    /** A demo house as it is on its first day, to be copied. */
    firstDay: string;
  }
}

let own: string | undefined;

/** From now on this file's tests speak with a house of their own. */
export function moveInto(url: string): void {
  own = url;
}

/** Where the house of this file answers: its own, or the one that all share. */
export const appUrl = (): string => own ?? inject('appUrl');
