/** Of the application, as in its `package.json`; a test holds the two together. */
export const version = '0.1.0';
