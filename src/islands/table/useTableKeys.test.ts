import { describe, expect, it, vi } from 'vitest';
import type { Press } from '../../ui/shortcuts/keyboard';
import { markWords } from '../../core/table/marks';
import { tableShortcuts, type TableActs } from './useTableKeys';

const actsWith = (change: Partial<TableActs> = {}): TableActs => ({
  ...{ goOn: vi.fn(), goBack: vi.fn(), pause: vi.fn(), stay: vi.fn(), mark: vi.fn(), takeWay: vi.fn(), undo: vi.fn() },
  ...{ setSound: vi.fn(), toggleSound: vi.fn(), toggleClock: vi.fn(), toggleWhy: vi.fn() },
  ...change,
});

/** Presses a key of the table as it stands. @returns whether it meant anything */
function press(cap: string, acts: TableActs, ways: Parameters<typeof tableShortcuts>[1] = []): boolean {
  const found = tableShortcuts(acts, ways).find(({ keys, act }) => act && keys.includes(cap));
  found?.act?.({} as Press);
  return found !== undefined;
}

describe('the keys of the table', () => {
  it('go on by any of three, back and past by one each', () => {
    const acts = actsWith();
    for (const cap of ['Space', 'Enter', 'PgDn']) press(cap, acts);
    expect(acts.goOn).toHaveBeenNthCalledWith(3, 'end');
    press('S', acts);
    expect(acts.goOn).toHaveBeenLastCalledWith('skip');
    press('PgUp', acts);
    expect(acts.goBack).toHaveBeenCalledOnce();
  });

  it('have no key twice', () => {
    const acts = actsWith({ takeOver: vi.fn() });
    const ways = (['evenly', 'leave-out', 'over', 'stretch'] as const).map((kind) => ({ kind }) as never);
    const caps = tableShortcuts(acts, ways).flatMap(({ keys, act }) => (act ? keys : []));
    expect(caps.filter((cap, i) => caps.indexOf(cap) !== i)).toEqual([]);
  });

  it('mark what is felt by the key that its words name', () => {
    const acts = actsWith();
    press(markWords.redness.key, acts);
    expect(acts.mark).toHaveBeenCalledWith('redness');
  });

  it('take only a way that is offered', () => {
    const acts = actsWith();
    expect(press('E', acts)).toBe(false);
    const way = { kind: 'evenly' } as never;
    press('E', acts, [way]);
    expect(acts.takeWay).toHaveBeenCalledWith(way);
  });
});

describe('while the side of a mark is asked', () => {
  it('arrows and pedals say it, and nothing goes on by a pedal', () => {
    const acts = actsWith({ side: vi.fn() });
    press('PgDn', acts);
    expect(acts.side).toHaveBeenCalledWith('right');
    press('↓', acts);
    expect(acts.side).toHaveBeenLastCalledWith('both');
    expect(acts.goOn).not.toHaveBeenCalled();
  });
});

describe('while something has to be asked again', () => {
  it('only the answer counts: nothing goes on, nothing is marked', () => {
    const acts = actsWith({ again: vi.fn() });
    expect(press('Space', acts)).toBe(false);
    expect(press(markWords.redness.key, acts)).toBe(false);
    press('PgUp', acts);
    expect(acts.again).toHaveBeenCalledWith('declined');
    press('PgDn', acts);
    expect(acts.again).toHaveBeenLastCalledWith('asked-again');
  });

  it('the sheet still lists every key', () => {
    const words = (acts: TableActs) => tableShortcuts(acts, []).flatMap(({ words: told }) => told ?? []);
    expect(words(actsWith({ again: vi.fn() }))).toEqual(words(actsWith()));
  });
});

describe('while both sides are compared', () => {
  it('arrows and pedals say what is seen, the same key goes back to the work, and the work waits', () => {
    const acts = actsWith({ compare: vi.fn(), compared: vi.fn() });
    press('←', acts);
    press('PgDn', acts);
    press('↓', acts);
    expect(vi.mocked(acts.compared ?? vi.fn()).mock.calls).toEqual([['left'], ['right'], ['both']]);
    press('V', acts);
    press('Esc', acts);
    expect(acts.compare).toHaveBeenCalledTimes(2);
    press('Space', acts);
    press('X', acts);
    expect(acts.goOn).not.toHaveBeenCalled();
    expect(acts.mark).not.toHaveBeenCalled();
  });

  it('can only begin where there are two sides', () => {
    expect(press('V', actsWith())).toBe(false);
  });
});
