/** Sentences that the server answers in `shared`, in British English; a sentence with values in it is a function of them. */
export const sharedAnswers = {
  workersMjs: (name: string) => `./workers/${name}.mjs`,
  workersMjs2: (name: string) => `../workers/${name}.mjs`,
  workersMjs3: (name: string) => `../../workers/${name}.mjs`,
};
