/** Outlines of the pebbles, centred on 0,0 and about 26 wide: one for each kind of step, so that kind is never colour alone. */
export const pebbleOutlines = {
  breathe: 'M-12 0C-12 -8 -6 -11 0 -11C7 -11 12 -7 12 0C12 7 7 11 0 11C-6 11 -12 8 -12 0Z',
  clear: 'M-13 1C-13 -7 -8 -10 -1 -11C7 -11 13 -7 13 -1C13 6 8 11 1 11C-7 11 -13 8 -13 1Z',
  prepare: 'M-14 3C-13 -6 -7 -9 0 -10C8 -10 14 -4 13 3C12 9 6 10 0 10C-7 10 -14 10 -14 3Z',
  drain: 'M-13 -3C-12 -9 -5 -11 2 -11C9 -10 14 -5 13 2C12 9 5 11 -2 11C-9 10 -14 4 -13 -3Z',
  soften: 'M-12 -5C-10 -11 6 -12 11 -6C14 -2 13 7 8 10C2 12 -7 12 -11 8C-14 4 -14 -1 -12 -5Z',
  carry: 'M-15 2C-15 -5 -8 -8 1 -9C10 -9 16 -3 15 1C14 7 6 9 -2 9C-9 9 -15 8 -15 2Z',
  return: 'M-15 -1C-14 -7 -6 -9 2 -9C9 -8 15 -6 15 -1C15 6 8 9 -1 9C-10 8 -15 5 -15 -1Z',
  close: 'M-12 2C-13 -6 -7 -11 1 -11C8 -10 12 -5 12 1C12 8 6 11 -1 11C-7 11 -11 8 -12 2Z',
  turn: 'M-13 -4C-9 -11 7 -11 12 -4C15 0 10 3 6 2C2 1 -2 2 -2 6C-2 11 -9 11 -12 6C-14 2 -15 -1 -13 -4Z',
} as const;
