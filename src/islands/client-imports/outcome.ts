import type { ClientImportView, DoubleWay } from '../../contracts/client-imports';

/** What somebody decided about rows whose people are on record already. */
export interface Decision {
  readonly all: DoubleWay;
  /** Row → what is done with it instead. */
  readonly apart: ReadonlyMap<number, DoubleWay>;
}

export const wayOf = ({ all, apart }: Decision, row: number): DoubleWay => apart.get(row) ?? all;

/** What an import would come to as decided: people added, records completed. */
export function outcomeOf(
  { fresh, doubles, doubleCount }: Pick<ClientImportView, 'fresh' | 'doubles' | 'doubleCount'>,
  decision: Decision,
): { readonly added: number; readonly completed: number } {
  let [added, completed] = [fresh, 0];
  for (const { row, known, gains } of doubles) {
    const way = wayOf(decision, row);
    if (way === 'add') added += 1;
    // A record that would gain nothing is not touched, and an earlier row of the file is no record yet.
    else if (way === 'complete' && known && gains.length > 0) completed += 1;
  }
  const unseen = doubleCount - doubles.length;
  if (decision.all === 'add') added += unseen;
  if (decision.all === 'complete') completed += unseen;
  return { added, completed };
}
