import type { ClientImportView, DoubleWay } from '../../contracts/client-imports';

/** What somebody decided about rows whose people are on record already. */
export interface Decision {
  readonly all: DoubleWay;
  /** Row → what is done with it instead. */
  readonly apart: ReadonlyMap<number, DoubleWay>;
}

export const wayOf = ({ all, apart }: Decision, row: number): DoubleWay => apart.get(row) ?? all;

/**
 * What an import would come to as decided: people added, records completed. The server counts what one choice for all
 * would do; rows that are treated apart are taken from it.
 */
export function outcomeOf(
  { fresh, doubles, doubleCount, gainCount }: Pick<ClientImportView, 'fresh' | 'doubles' | 'doubleCount' | 'gainCount'>,
  decision: Decision,
): { readonly added: number; readonly completed: number } {
  let added = fresh + (decision.all === 'add' ? doubleCount : 0);
  let completed = decision.all === 'complete' ? gainCount : 0;
  const count = (way: DoubleWay, isGaining: boolean, by: 1 | -1) => {
    if (way === 'add') added += by;
    if (way === 'complete' && isGaining) completed += by;
  };
  for (const { row, gains } of doubles) {
    const way = decision.apart.get(row);
    if (way === undefined) continue;
    count(decision.all, gains.length > 0, -1);
    count(way, gains.length > 0, 1);
  }
  return { added, completed };
}
