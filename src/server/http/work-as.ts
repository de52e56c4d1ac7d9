/** Remembers on a device who works there. Signing in comes with the next stage; until then the server listens on loopback only. */
export const workAsCookie = 'work-as';
