/// <reference types="astro/client" />

// A global declaration cannot import at its top.
/* eslint-disable @typescript-eslint/consistent-type-imports */
declare namespace App {
  interface Locals {
    readonly db: import('./server/db/connection').Db;
    /** Who works, chosen in the header; undefined until a house is set up. */
    readonly therapist: import('./contracts/views').TherapistView | undefined;
    readonly therapists: readonly import('./contracts/views').TherapistView[];
    readonly actor: import('./server/services/saving').Actor;
  }
}
