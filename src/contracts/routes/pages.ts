import type { Door } from './route';

const always = { whileLocked: true, whileHanded: true, whileOwing: true } as const;

/** Every page of the house, and who may open it. */
export const pages = [
  { path: '/sign-in', who: 'everybody', whileLocked: true },
  { path: '/welcome', who: 'everybody' },
  { path: '/recover', who: 'everybody', whileLocked: true },
  { path: '/second-factor', who: 'signed-in', whileOwing: true },
  { path: '/locked', who: 'signed-in', whileLocked: true },
  { path: '/problems/{name}', who: 'everybody', ...always },
  { path: '/404', who: 'everybody', ...always },
  { path: '/licences', who: 'everybody', ...always },
  // A client who follows a sheet cannot sign in: the address itself is the secret, and it runs out.
  { path: '/home/{token}', who: 'everybody', ...always },
  { path: '/tablet/{visit}', who: 'therapist', whileHanded: true },
  { path: '/', who: 'assistant' },
  { path: '/clients', who: 'assistant' },
  { path: '/clients/{id}', who: 'assistant' },
  { path: '/outbox', who: 'assistant' },
  { path: '/guide', who: 'assistant' },
  { path: '/practice', who: 'assistant' },
  { path: '/measures', who: 'therapist' },
  { path: '/clients/import', who: 'therapist' },
  { path: '/protocols', who: 'therapist' },
  { path: '/library', who: 'therapist' },
  { path: '/bench/{name}', who: 'therapist' },
  { path: '/bench/mixes/{id}', who: 'therapist' },
  { path: '/clients/{id}/progress', who: 'therapist' },
  { path: '/visits/{id}/{view}', who: 'therapist' },
  { path: '/house', who: 'owner' },
] as const satisfies readonly Door[];
