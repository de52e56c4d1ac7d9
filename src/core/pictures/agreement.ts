/** What a client has answered when asked for pictures, from least to most; each holds what stands before it. */
export const pictureAnswers = ['refused', 'record', 'letters'] as const;
export type PictureAnswer = (typeof pictureAnswers)[number];

/** Whether a picture may be taken and kept. Nobody who was not asked has agreed. */
export const mayBeTaken = (answer: PictureAnswer | null): boolean => answer === 'record' || answer === 'letters';

/** Whether pictures may leave the house, on a letter or a report. */
export const mayBeSent = (answer: PictureAnswer | null): boolean => answer === 'letters';
