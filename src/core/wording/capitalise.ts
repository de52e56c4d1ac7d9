/** The same text with a capital at its beginning. */
export const capitalise = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** The same text with a small letter at its beginning, to go on in a sentence. */
export const uncapitalise = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
