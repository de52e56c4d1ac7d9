/** Of the application, as in its `package.json`; a test holds the two together. */
export const version = '0.23.0';

/** Put in by the build: the same in the browser and on the server, until the house is brought up to date. */
declare const __BUILD__: string | undefined;

/** Tells one build from another; `dev` where nothing was built. */
export const build: string = typeof __BUILD__ === 'string' ? __BUILD__ : 'dev';
