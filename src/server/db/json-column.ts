import type { z } from 'zod';

/** A document that is kept as JSON in a column: checked when it is read, brought up to date when it is an older one. */
export interface JsonColumn<T> {
  /** @throws UnreadableDocument when the column holds something that no version ever was */
  read(text: string): T;
  write(document: T): string;
}

/** What stands in a column cannot be what was written there; it names the column and the place in the document. */
export class UnreadableDocument extends Error {
  constructor(
    readonly column: string,
    readonly at: string,
    why: string,
  ) {
    super(`${column}, at “${at}”: ${why}`);
    this.name = 'UnreadableDocument';
  }
}

/** Makes of a document of one version one of the next. */
export type Upgrade = (older: unknown) => unknown;

/**
 * A column of documents. The first version is stored as it is; from the second on an envelope says which it is:
 * `{"version":2,"document":…}`. A document of any version goes through all later upgrades, then through the schema.
 * @param upgrades the first makes version 2 of version 1, and so on; what was once released stays here for ever
 */
export function jsonColumn<T>(column: string, schema: z.ZodType<T>, upgrades: readonly Upgrade[] = []): JsonColumn<T> {
  const version = upgrades.length + 1;
  return {
    read: (text) => {
      const { version: from, document } = opened(column, text);
      if (from > version) throw new UnreadableDocument(column, 'version', `${from} is newer than this program knows`);
      const current = upgrades.slice(from - 1).reduce((older, upgrade) => upgrade(older), document);
      const { success, data, error } = schema.safeParse(current);
      if (success) return data;
      const [issue] = error.issues;
      throw new UnreadableDocument(column, issue?.path.join('.') ?? '', issue?.message ?? 'is something else');
    },
    write: (document) => JSON.stringify(version === 1 ? document : { version, document }),
  };
}

function opened(column: string, text: string): { readonly version: number; readonly document: unknown } {
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw new UnreadableDocument(column, '', 'is not JSON');
  }
  return isEnvelope(value) ? value : { version: 1, document: value };
}

const isEnvelope = (value: unknown): value is { readonly version: number; readonly document: unknown } =>
  typeof value === 'object' &&
  value !== null &&
  Object.keys(value).length === 2 &&
  'document' in value &&
  'version' in value &&
  typeof value.version === 'number';

/** Lays what was stored over what is usual: for settings that have grown since. */
export const overUsual =
  (usual: object): Upgrade =>
  (older) => ({ ...usual, ...(older as object) });
