import { type Remote, wrap } from 'comlink';
import { useEffect, useRef, useState } from 'react';
import type { TableChange } from '../../core/table/table-event';
import type { CatchUp, TableClock } from '../../core/table/refit';
import type { TableStep } from '../../core/table/table-step';
import type { TableApi } from '../../workers/table.worker';

const nothing: readonly CatchUp[] = [];

/** What can be done when clock and plan have drifted apart; worked out in a worker. @param clock null: nothing runs */
export function useCatchUp(
  steps: readonly TableStep[],
  clock: TableClock | null,
  change: TableChange,
): readonly CatchUp[] {
  const api = useRef<Remote<TableApi>>(undefined);
  const [found, setFound] = useState<{ readonly key: string; readonly ways: readonly CatchUp[] }>();
  const newest = useRef(0);
  useEffect(() => {
    const worker = new Worker(new URL('../../workers/table.worker.ts', import.meta.url), { type: 'module' });
    api.current = wrap<TableApi>(worker);
    return () => {
      worker.terminate();
      api.current = undefined;
    };
  }, []);
  /** Offers stand until the step or the change is another one: an offer for what is over would be wrong. */
  const standing = clock && JSON.stringify([clock.index, change]);
  const asked = clock && JSON.stringify([clock, change]);
  useEffect(() => {
    if (asked === null || standing === null) return;
    const [at, changed] = JSON.parse(asked) as [TableClock, TableChange];
    const turn = (newest.current += 1);
    void api.current?.waysFor(steps, at, changed).then((ways) => {
      if (turn === newest.current) setFound({ key: standing, ways });
    });
  }, [asked, standing, steps]);
  return found !== undefined && found.key === standing ? found.ways : nothing;
}
