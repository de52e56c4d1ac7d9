import Papa from 'papaparse';

/** Delimiters that spreadsheets write. */
const delimiters = [',', ';', '\t', '|'];
const sliceCharacters = 64_000;

/**
 * The rows of a delimited text one after the other, parsed slice by slice, so that a long table never holds the server
 * up. (The library's own stream for Node takes a hundred times as long.)
 * @param delimiter empty: guessed from the first rows
 */
export function* readTable(text: string, delimiter: string): Generator<readonly string[]> {
  const told =
    delimiter ||
    Papa.parse(text.slice(0, sliceCharacters), { preview: 20, delimitersToGuess: delimiters }).meta.delimiter;
  const newline = text.includes('\r\n') ? '\r\n' : text.includes('\n') ? '\n' : '\r';
  let rest = '';
  for (let from = 0; from < text.length; from += sliceCharacters) {
    rest += text.slice(from, from + sliceCharacters);
    const isLast = from + sliceCharacters >= text.length;
    // The last row of a slice may go on in the next one.
    const { data, meta } = new Papa.Parser({ delimiter: told, newline }).parse(rest, 0, !isLast) as {
      readonly data: readonly (readonly string[])[];
      readonly meta: { readonly cursor: number };
    };
    yield* data;
    rest = isLast ? '' : rest.slice(meta.cursor);
  }
}
