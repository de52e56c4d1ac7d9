/** What stands before what is taught of a step. */
export const taughtWords = {
  why: 'Why',
  never: 'Never',
  feel: 'It has worked when',
};
