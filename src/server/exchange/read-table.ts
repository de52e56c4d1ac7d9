import { Readable } from 'node:stream';
import Papa from 'papaparse';

/** Delimiters that spreadsheets write. */
const delimiters = [',', ';', '\t', '|'];
const sliceCharacters = 64_000;

/** The rows of a delimited text one after the other, so that a long table never holds the server up. */
export async function* readTable(text: string, delimiter: string): AsyncGenerator<readonly string[]> {
  const told =
    delimiter ||
    Papa.parse(text.slice(0, sliceCharacters), { preview: 20, delimitersToGuess: delimiters }).meta.delimiter;
  const parser = Papa.parse(Papa.NODE_STREAM_INPUT, { delimiter: told });
  Readable.from(slices(text)).pipe(parser);
  for await (const row of parser) yield row as readonly string[];
}

function* slices(text: string): Generator<string> {
  for (let from = 0; from < text.length; from += sliceCharacters) yield text.slice(from, from + sliceCharacters);
}
