import type { ReactNode } from 'react';
import { describe, expect, it } from 'vitest';
import { htmlOf as html, textOf } from '../../../tests/page-text';
import type { VisitAtWork } from '../../contracts/visit-views';
import type { Beat } from '../../core/table/progress';
import type { CatchUp } from '../../core/table/refit';
import type { TableStep } from '../../core/table/table-step';
import { markWords } from '../../core/table/marks';
import { AskAgain } from './AskAgain';
import { Bands } from './Bands';
import { CatchUpBar } from './CatchUpBar';
import { Count } from './Count';
import { DropCount } from './DropCount';
import { Finished } from './Finished';
import type { Keeping } from './keeping';
import { MarkBar } from './MarkBar';
import { SideButtons } from './SideButtons';
import { tableWords } from './table.words';

const nothing = () => undefined;
/** The caps of the keys that a part names, in its order. */
const capsOf = (node: ReactNode) => [...html(node).matchAll(/<kbd[^>]*>([^<]+)<\/kbd>/g)].map(([, cap]) => cap);

describe('which device leads the table', () => {
  const band = (role: 'leads' | 'follows-device' | 'follows-window', storeKind?: 'memory') =>
    html(<Bands role={role} storeKind={storeKind} onTakeOver={nothing} trouble={undefined} />);

  it('is not worth a word while this one does', () => {
    expect(band('leads')).toBe('');
  });

  it('is said by one that only follows, with a key to take over', () => {
    expect(band('follows-device')).toContain(tableWords.anotherDeviceLeads);
    expect(band('follows-window')).toContain(tableWords.anotherWindowLeads);
    expect(band('follows-window')).toContain('<kbd');
  });

  it('is alarming where this browser keeps nothing of what is pressed', () => {
    expect(band('leads', 'memory')).toContain('role="alert"');
    expect(band('follows-device', 'memory')).not.toContain('role="alert"');
  });
});

describe('the count beside the pace', () => {
  const step = (change: object = {}) => ({ repetitions: 5, placements: 1, ...change }) as unknown as TableStep;
  const beat = { placement: 2, repetition: 3 } as unknown as Beat;
  const count = (of: TableStep) => textOf(<Count step={of} beat={beat} status="running" />);

  it('is of so many strokes', () => {
    expect(count(step())).toContain('of 5');
    expect(count(step())).not.toContain('place');
  });

  it('names the place where there is more than one', () => {
    expect(count(step({ placements: 4 }))).toContain(tableWords.placeOf(2, 4));
    const rounds = ['knee', 'thigh', 'groin'];
    expect(count(step({ told: { rounds } }))).toMatch(/2 of 3 · thigh/);
  });

  it('is what is left where something is held', () => {
    expect(count(step({ told: { count: 'hold' } }))).toContain(tableWords.secondsLeft);
  });
});

describe('the count of drops', () => {
  /** A skin that may have 0.3 % of lavender, of which each drop takes a tenth of a per cent. */
  const balance = {
    filmMl: 10,
    lines: [{ of: 'linalool', limitPercent: 0.3, usedPercent: 0, perDrop: { lavender: 0.1 } }],
  };
  const wanted = { oil: 'lavender', name: 'lavender', drops: 4 } as never;
  const shown = (drops: number, lines: readonly object[] = balance.lines) =>
    html(
      <DropCount
        wanted={wanted}
        layers={{ balance: { ...balance, lines } } as never}
        dropped={[{ stepId: 's1', oil: 'lavender', drops }] as never}
      />,
    );

  it('says of how many, and how many more the skin may have of the oil today', () => {
    expect(shown(1)).toContain(tableWords.ofDrops(4, 'lavender'));
    expect(shown(1)).toContain(tableWords.mayHaveToday(2));
  });

  it('says when the skin has had enough, and by which limit, although more were planned', () => {
    expect(shown(3)).toContain(tableWords.noMoreToday('linalool'));
    expect(shown(3)).toContain('data-full');
    expect(shown(2)).not.toContain('data-full');
  });

  it('says that no limit is known where none is', () => {
    expect(shown(9, [])).toContain(tableWords.noLimitIsKnownOfIt);
    expect(shown(9, [])).not.toContain('data-full');
  });
});

describe('what is asked again before a part', () => {
  const asked = <AskAgain questions={['Any fever?', 'Any new sore?']} onAnswer={nothing} />;

  it('puts all its questions at once, and has two answers by one key each', () => {
    expect(textOf(asked)).toContain('Any fever? Any new sore?');
    expect(capsOf(asked)).toEqual([markWords.declined.key, markWords['asked-again'].key]);
  });

  it('begins with the careful one', () => {
    const text = textOf(asked);
    expect(text.indexOf(tableWords.somethingSpeaksAgainstItLeaveThis)).toBeLessThan(
      text.indexOf(tableWords.nothingSpeaksAgainstIt),
    );
  });
});

describe('the marks', () => {
  const bar = (marks: readonly object[] = [], onCompare?: () => void) => (
    <MarkBar marks={marks as never} onMark={nothing} onStay={nothing} onCompare={onCompare} />
  );

  it('are a key each, and no key stands twice', () => {
    const caps = capsOf(bar([], nothing));
    expect(caps).toHaveLength(10);
    expect(new Set(caps).size).toBe(10);
  });

  it('that are made at this step are ticked, for the ear as well', () => {
    const text = html(bar([{ kind: 'redness' }]));
    expect(text.match(/aria-pressed="true"/g)).toHaveLength(1);
    expect(textOf(bar([{ kind: 'redness' }]))).toMatch(/redness ✓/i);
    expect(html(bar())).not.toContain('✓');
  });

  it('set pain apart', () => {
    expect(html(bar()).match(/data-pain="true"/g)).toHaveLength(1);
  });

  it('compare two sides only where there are two', () => {
    expect(capsOf(bar())).not.toContain('V');
    expect(capsOf(bar([], nothing))).toContain('V');
  });
});

describe('the client’s sides', () => {
  it('lie as the arrows do: left, both, right', () => {
    const keys = <SideButtons both="alike" onSide={nothing} />;
    expect(capsOf(keys)).toEqual(['←', '↓', '→']);
    expect([...html(keys).matchAll(/data-side="(\w+)"/g)].map(([, side]) => side)).toEqual(['left', 'both', 'right']);
    expect(textOf(keys)).toContain('alike');
  });
});

describe('when clock and plan have drifted apart', () => {
  const way = (kind: CatchUp['kind'], savesSeconds: number) => ({ kind, savesSeconds, words: `by ${kind}` }) as CatchUp;
  const bar = (ways: readonly CatchUp[], isChanged = false) =>
    html(<CatchUpBar ways={ways} isChanged={isChanged} onTake={nothing} onUndo={nothing} />);

  it('nothing stands there while they agree', () => {
    expect(bar([])).toBe('');
  });

  it('says which way they drifted, and what each way out would bring', () => {
    const late = bar([way('evenly', 90), way('over', 0)]);
    expect(late).toContain(tableWords.timeRunsShort);
    expect(late).toContain('by evenly, saves 1:30');
    // Running over brings nothing but peace.
    expect(late).toMatch(/by over<\/button>/);
    const early = bar([way('stretch', -45)]);
    expect(early).toContain(tableWords.timeIsLeft);
    expect(early).toContain('by stretch, takes 0:45');
  });

  it('can be put back as planned, quietly, once something was changed', () => {
    expect(bar([], true)).toContain(tableWords.asPlannedAgain);
    expect(bar([], true)).toContain('data-quiet');
    expect(bar([way('evenly', 10)], true)).not.toContain('data-quiet');
  });
});

describe('after the last step', () => {
  const end = (keeping: Keeping) =>
    html(<Finished visit={{ id: 7 } as VisitAtWork} visitMs={2_700_000} done={11} total={12} keeping={keeping} />);

  it('says what was done in which time, and leads to closing', () => {
    const text = end({ kind: 'kept' } as unknown as Keeping);
    expect(text).toContain(tableWords.ofStepsInLetTheClient(11, 12, '45:00'));
    expect(text).toContain('href="/visits/7/close"');
  });
});
