import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { htmlOf as html, textOf } from '../../../tests/page-text';
import type { VisitAtWork } from '../../contracts/visit-views';
import { Ahead } from './Ahead';
import { answersFrom, type Answers, changedBy } from './answers';
import { Feedback } from './Feedback';
import { Signed } from './Signed';
import { Used } from './Used';

const nothing = () => undefined;
const blank = answersFrom(null);

describe('oils and stones that a visit took', () => {
  const blend = (change: object = {}) => ({
    ...{ blend: { name: 'Quiet night', volumeMl: 15 }, pouredFrom: null, mix: null },
    ...change,
  });
  const used = (blends: object, stones: readonly object[] = [], answers: Answers = blank, isFixed = false) => (
    <Used
      visit={{ blends } as unknown as VisitAtWork}
      stones={stones as never}
      answers={answers}
      onAnswer={nothing}
      isFixed={isFixed}
    />
  );

  it('are not asked for where none were', () => {
    expect(html(used({}))).toBe('');
  });

  it('say of each oil when it is drawn: at the close, when it was mixed, or not at all', () => {
    expect(textOf(used({ body: blend({ pouredFrom: 3 }) }))).toContain('drawn from its bottle at the close');
    expect(textOf(used({ body: blend({ mix: { isMixed: true } }) }))).toContain('drawn when it was mixed');
    expect(textOf(used({ face: blend({ mix: { isMixed: false } }) }))).toMatch(/Face oil.*not mixed: nothing is drawn/);
  });

  it('let only what was poured be measured, from what the blend holds', () => {
    const poured = html(used({ body: blend({ pouredFrom: 3 }) }));
    expect(poured).toMatch(/aria-label="Body oil, mL"[^>]*value="15"/);
    expect(poured).not.toContain('disabled');
    expect(html(used({ body: blend() }))).toContain('disabled');
  });

  it('count the stones as planned until somebody counts otherwise', () => {
    const stones = [
      { name: 'palm', count: 8 },
      { name: 'edge', count: 3 },
    ];
    expect(textOf(used({}, stones))).toContain('8 palm, 3 edge');
    expect(html(used({}, stones))).toMatch(/aria-label="Stones used"[^>]*value="11"/);
    expect(html(used({}, stones, { ...blank, stonesUsed: 0 }))).toMatch(/aria-label="Stones used"[^>]*value="0"/);
  });

  it('stand still once the record is signed', () => {
    const fixed = html(used({ body: blend({ pouredFrom: 3 }) }, [{ name: 'palm', count: 8 }], blank, true));
    expect(fixed.match(/disabled=""/g)).toHaveLength(2);
  });
});

describe('what the client says', () => {
  const asked = (change: Partial<Answers> = {}, isScented = true) => (
    <Feedback answers={{ ...blank, ...change }} onAnswer={nothing} isScented={isScented} isFixed={false} />
  );

  it('is asked of the scent only where there was one', () => {
    expect(textOf(asked())).toMatch(/scent/i);
    expect(textOf(asked({}, false))).not.toMatch(/scent/i);
  });

  it('is told apart from what the therapist wrote down', () => {
    expect(html(asked({ comfort: 8, byClient: ['comfort'] })).match(/data-own/g)).toHaveLength(1);
    expect(html(asked({ comfort: 8 }))).not.toContain('data-own');
  });

  it('is answered at once where the hand is too firm or the stone too hot', () => {
    expect(html(asked({ pressure: 0, warmth: 0 }))).not.toContain('role="alert"');
    expect(html(asked({ pressure: -1 }))).toContain('role="alert"');
  });
});

describe('an answer that is changed', () => {
  it('is no longer the client’s own; all others stay so', () => {
    const before: Answers = { ...blank, comfort: 6, warmth: 0, byClient: ['comfort', 'warmth'] };
    expect(changedBy(before, { comfort: 7 })).toMatchObject({ comfort: 7, byClient: ['warmth'] });
    expect(changedBy(before, { note: 'calm' }).byClient).toEqual(['comfort', 'warmth']);
  });

  it('leaves everything else as it was', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 10 }), fc.string(), (comfort, note) => {
        const before: Answers = { ...blank, note, byClient: ['comfort', 'scent'] };
        expect(changedBy(before, { comfort })).toEqual({ ...before, comfort, byClient: ['scent'] });
      }),
    );
  });
});

describe('the signature under a record', () => {
  const by = (version: number) => ({ by: 'Ida Moor', at: new Date(2026, 10, 25, 10, 5).toISOString(), version });
  const signed = (signatures: readonly ReturnType<typeof by>[], version: number) =>
    textOf(<Signed signatures={signatures as never} version={version} />);

  it('is not there before somebody has signed', () => {
    expect(signed([], 1)).toBe('');
  });

  it('says who, when and which version', () => {
    expect(signed([by(1)], 1)).toMatch(/^Signed by Ida Moor on 25 November, 10:05.* 1\.$/);
  });

  it('says that it was signed again, and that something was changed since', () => {
    expect(signed([by(1), by(3)], 3)).toMatch(/^Signed 2 times, last by Ida Moor/);
    expect(signed([by(1)], 2)).toContain('What was changed since is not signed yet.');
    expect(signed([by(1), by(2)], 2)).not.toContain('not signed yet');
  });
});

describe('the course ahead where the next visit is booked', () => {
  const ahead = (change: object = {}) => (
    <Ahead
      clientId={4}
      ahead={
        {
          ...{ limb: 'left leg', words: 'Each visit takes some 60 mL.', plateau: null },
          rows: [{ every: '7 days', visits: 12, comesTo: '120 mL (80 to 170)' }],
          ...change,
        } as never
      }
    />
  );

  it('never says a number without its range, nor without saying that it promises nothing', () => {
    const text = textOf(ahead());
    expect(text).toMatch(/Every 7 days 12 visits 120 mL \(80 to 170\)/);
    expect(text).toContain('never a promise');
  });

  it('says when visits no longer change anything, and leads to the whole of it', () => {
    expect(html(ahead())).not.toContain('role="note"');
    expect(html(ahead({ plateau: 'The last six changed nothing.' }))).toContain('role="note"');
    expect(html(ahead())).toContain('href="/clients/4/progress"');
  });

  it('counts nothing where too little is known, and still says why', () => {
    const text = textOf(ahead({ words: 'Two more visits are needed.', rows: [] }));
    expect(text).toContain('Two more visits are needed.');
    expect(text).not.toContain('Every');
  });
});
