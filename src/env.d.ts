/// <reference types="astro/client" />

// A global declaration cannot import at its top.
/* eslint-disable @typescript-eslint/consistent-type-imports */
declare namespace App {
  interface Locals {
    /** What the address names. */
    readonly asked: import('./server/http/matching').Matched;
    readonly db: import('./server/db/connection').Db;
    /** Who is signed in, and how; undefined before signing in. */
    readonly session: import('./server/auth/sessions').Session | undefined;
    /** The person signed in, as others see them; undefined before signing in. */
    readonly therapist: import('./contracts/people-views').TherapistView | undefined;
    readonly therapists: readonly import('./contracts/people-views').TherapistView[];
    /** How the house writes dates. */
    readonly dateOrder: import('./core/calendar/read-date').DateOrder;
    readonly isDemo: boolean;
    /** Whose drafts the page may keep; undefined before signing in. */
    readonly writer: import('./server/auth/draft-key').Writer | undefined;
    readonly actor: import('./server/shared/saving').Actor;
  }
}
