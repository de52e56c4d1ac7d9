/// <reference types="astro/client" />

declare namespace App {
  interface Locals {
    readonly db: import('./server/db/connection').Db;
    /** Who works, chosen in the header; undefined until a house is set up. */
    readonly therapist: import('./contracts/views').TherapistView | undefined;
    readonly therapists: readonly import('./contracts/views').TherapistView[];
    readonly actor: import('./server/services/save-visit').Actor;
  }
}
