/** Why the house cannot be opened, in words for whoever stands before it, and what to do. */
export type TroubleKind = 'sealed' | 'damaged' | 'read-only' | 'newer' | 'changed' | 'full' | 'in-use' | 'unknown';

export class HouseTrouble extends Error {
  constructor(
    readonly kind: TroubleKind,
    options?: ErrorOptions,
  ) {
    super(troubleWords[kind].title, options);
  }
}

export const troubleWords: Readonly<Record<TroubleKind, { readonly title: string; readonly whatToDo: string }>> = {
  sealed: {
    title: 'The house is locked',
    whatToDo: 'Its data is encrypted. Somebody who knows the passphrase opens it once after each start.',
  },
  damaged: {
    title: 'The house’s data cannot be read',
    whatToDo:
      'The data file is cut short or damaged. Nothing has been written to it. Stop the house, copy its folder aside, and restore the last backup into a new folder.',
  },
  'read-only': {
    title: 'The house’s data may not be written to',
    whatToDo:
      'The data folder or its disk is read-only, or belongs to somebody else. Give it back to the user who runs the house; then load this page again.',
  },
  newer: {
    title: 'This house was kept by a newer version',
    whatToDo:
      'Its data has a form that this version does not know, so nothing was touched. Start the newer version again, or restore a backup from before the update.',
  },
  changed: {
    title: 'The house’s data does not fit this version',
    whatToDo:
      'A step that brought the data up to date was changed after it had run. Start the version that was used before; nothing was touched.',
  },
  full: {
    title: 'The disk of the house’s computer is full',
    whatToDo: 'What was stored is safe. Make room, then load this page again.',
  },
  'in-use': {
    title: 'Another program has the house’s data open',
    whatToDo: 'Nothing was changed. End it (a second npm start, a backup that is being made), then try again.',
  },
  unknown: {
    title: 'The house cannot be opened',
    whatToDo: 'Nothing was changed. Look into the server’s log for what went wrong.',
  },
};

const kindOfCode: readonly (readonly [RegExp, TroubleKind])[] = [
  [/^SQLITE_(CORRUPT|NOTADB)/, 'damaged'],
  [/^SQLITE_IOERR_SHORT_READ/, 'damaged'],
  [/^(SQLITE_READONLY|SQLITE_CANTOPEN|EACCES|EPERM|EROFS)/, 'read-only'],
  [/^(SQLITE_FULL|ENOSPC)/, 'full'],
];

/** What kind of trouble an error is. */
export function troubleOf(error: unknown): HouseTrouble {
  if (error instanceof HouseTrouble) return error;
  const code = error instanceof Error && 'code' in error ? String(error.code) : '';
  const kind = kindOfCode.find(([pattern]) => pattern.test(code))?.[1] ?? 'unknown';
  return new HouseTrouble(kind, { cause: error });
}
