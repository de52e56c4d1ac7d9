import { readTable } from './read-table';

export interface TableRow {
  /** As the spreadsheet counts: the head is row 1, and empty lines count too. */
  readonly row: number;
  /** How much of the text has been read with it, in characters. */
  readonly characters: number;
  readonly head: readonly string[];
  readonly cells: readonly string[];
}

/** The rows of a table that hold something, each with its number and the head above it. */
export function* readRows(
  text: string,
  { delimiter, hasHead }: { readonly delimiter: string; readonly hasHead: boolean },
): Generator<TableRow> {
  let head: readonly string[] = [];
  let [row, characters] = [0, 0];
  for (const cells of readTable(text, delimiter)) {
    row += 1;
    characters += cells.reduce((sum, cell) => sum + cell.length + 1, 0);
    if (row === 1 && hasHead) head = cells;
    else if (cells.some((cell) => cell.trim() !== '')) yield { row, characters, head, cells };
  }
}
