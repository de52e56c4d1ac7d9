import { describe, expect, it } from 'vitest';
import { frequencyRules } from '../../catalogue/screening/plan-rules';
import { screeningBook } from '../../catalogue/screening/screening';
import { judge } from '../../../tests/judged-client';
import { judgeKindOfWork, judgeSetting } from './judge-kind';

const ledger = (times: Readonly<Record<string, number>>, hours: Readonly<Record<string, number>> = {}) => ({
  timesThisWeek: new Map(Object.entries(times)),
  hoursSince: new Map(Object.entries(hours)),
});

describe('whether a kind of work is given at all', () => {
  it('is, to a client who brings nothing, for everything that there is', () => {
    const judgement = judge();
    for (const modality of screeningBook.modalities.keys())
      expect(judgeKindOfWork(judgement, modality), modality).toBeUndefined();
  });

  it('is not, without the qualification that it needs, which is named', () => {
    const judgement = judge([], ['massage']);
    expect(judgeKindOfWork(judgement, 'reroute-drainage')).toMatchObject({
      kind: 'qualification',
      rule: 'scope',
      modality: 'reroute-drainage',
    });
  });

  it('is not, when a finding decides against the whole of it, which is named', () => {
    const judgement = judge([{ id: 'dvt-acute' }]);
    expect(judgeKindOfWork(judgement, 'lymph-drainage')).toMatchObject({ kind: 'finding', isLocal: false });
  });

  it('is undefined for work that nobody has screened', () => {
    expect(judgeKindOfWork(judge(), 'no-such-work')).toBeUndefined();
  });
});

describe('how often a kind of work is given', () => {
  it.each(frequencyRules.map((rule) => [rule.modality, rule] as const))('%s: as its rule says', (modality, rule) => {
    const after = (times: number, hours = 10_000) =>
      judgeKindOfWork(judge([], undefined, { ledger: ledger({ [modality]: times }, { [modality]: hours }) }), modality);
    expect(after(rule.mostInSevenDays)).toMatchObject({ kind: 'frequency', times: rule.mostInSevenDays });
    expect(after(rule.mostInSevenDays - 1)).toBeUndefined();
    if (rule.minGapHours > 0) {
      expect(after(0, rule.minGapHours - 1)).toMatchObject({ kind: 'gap', hours: rule.minGapHours });
      expect(after(0, rule.minGapHours)).toBeUndefined();
    }
  });

  it('does not mix one kind of work with another', () => {
    const [first] = frequencyRules;
    if (!first) throw new Error('no rule on how often');
    const judgement = judge([], undefined, { ledger: ledger({ [first.modality]: 99 }) });
    expect(judgeKindOfWork(judgement, 'no-such-work')).toBeUndefined();
    expect(judgeKindOfWork(judgement, first.modality)).toBeDefined();
  });
});

describe('how a block may be set up', () => {
  const setting = { position: 'prone', hands: 'oiled' } as const;

  it('is as it stands for a client who brings nothing', () => {
    expect(judgeSetting(judge(), 'body-massage', setting)).toBeUndefined();
  });

  it('is not as a finding forbids it, and says which finding asks for it', () => {
    const positions = ['supine', 'prone', 'side-left', 'side-right', 'seated'] as const;
    let asked = 0;
    for (const id of screeningBook.conditions.keys()) {
      const judgement = judge([{ id }]);
      const out = judgement.kind('body-massage')?.answer.limits.avoidPosition ?? [];
      for (const position of positions) {
        const reason = judgeSetting(judgement, 'body-massage', { position, hands: 'dry' });
        expect(reason !== undefined, `${id} ${position}`).toBe(out.includes(position));
        if (!reason) continue;
        expect(reason).toMatchObject({ kind: 'limit', limit: 'avoidPosition', modality: 'body-massage' });
        asked += 1;
      }
    }
    expect(asked).toBeGreaterThan(0);
  });

  it('is without oil where a finding asks for dry hands', () => {
    for (const id of screeningBook.conditions.keys()) {
      const judgement = judge([{ id }]);
      const isDry = judgement.kind('body-massage')?.answer.limits.noOil === true;
      const reason = judgeSetting(judgement, 'body-massage', { position: 'seated', hands: 'oiled' });
      if (isDry) expect(reason, id).toBeDefined();
    }
  });
});
