/** Sentences that the core says in `sequencing`, in British English; a sentence with values in it is a function of them. */
export const sequencingSays = {
  theseBlocksWaitForEachOther: (ring: string) =>
    `These blocks wait for each other: ${ring}. Take one of the rules away.`,
  isGivenTwiceEachIdOnce: (id: string) => `“${id}” is given twice: each id once.`,
  thereIsNoBlockToCome: (id: string) => `There is no block “${id}” to come after.`,
};
