const face = /^(forehead|temple|eyelid|nose|cheek|lip|chin|jaw|under-chin)/;

/** Whether a region, by its name without side, is of the face. */
export const isOfFace = (name: string): boolean => face.test(name);

/** The same with ears and scalp. */
export const isOfHead = (name: string): boolean => isOfFace(name) || /^(ear|scalp)/.test(name);
