import { describe, expect, it } from 'vitest';
import { screeningBook, vocabulary } from '../../catalogue/screening/screening';
import { type Override, overrideErrors, type OverrideRules, wayToOverride, withOverrides } from './override';
import { type PresentCondition, readScreening } from './read-request';
import { screen, type Screening } from './screen';

const rules: OverrideRules = {
  neverLoosened: vocabulary.neverOverride,
  redFlagConditions: new Set(screeningBook.redFlags.map((flag) => flag.condition)),
};
const everything = screeningBook.qualifications.map((q) => q.id);

function ask(conditions: readonly PresentCondition[], age = 40): Screening {
  const read = readScreening(screeningBook, { visitDate: '2026-04-02', age, qualifications: everything, conditions });
  if (!read.ok) throw new Error(JSON.stringify(read.errors));
  return screen(screeningBook, read.value);
}
const row = (screening: Screening, modality: string) => {
  const found = screening.byModality.find((r) => r.modality === modality);
  if (!found) throw new Error(modality);
  return found;
};
const way = (screening: Screening, modality: string, held = everything) =>
  wayToOverride(screeningBook, rules, row(screening, modality), held);
const errors = (screening: Screening, override: Partial<Override>) =>
  overrideErrors(
    screeningBook,
    rules,
    screening,
    {
      modality: 'body-massage',
      key: 'maxPressure',
      value: 'firm',
      reason: 'She asks for it and has borne it well.',
      ...override,
    },
    everything,
  ).map((error) => error.path);

describe('what may be overridden', () => {
  it('follows the decision', () => {
    expect(way(ask([]), 'body-massage')).toBe('free');
    expect(way(ask([{ id: 'hypertension-controlled' }]), 'hot-stone')).toBe('written-reason');
    expect(way(ask([{ id: 'hypertension-controlled' }], 66), 'neck-mobilisation')).toBe('note');
    expect(way(ask([{ id: 'lump-new' }]), 'lymph-drainage')).toBe('never');
  });

  it('never lifts a stop that all sources agree on, nor a red flag', () => {
    expect(way(ask([{ id: 'dvt-suspected', side: 'left' }]), 'body-massage')).toBe('never');
    expect(way(ask([{ id: 'fever' }]), 'breathing')).toBe('never');
  });

  it('lifts a stop on which sources differ, by someone who holds the qualification', () => {
    const soft = [...screeningBook.conditions.values()].flatMap(({ id }) => {
      const screening = ask([{ id }]);
      return screening.byModality
        .filter(
          (r) => r.decision === 'stop' && r.reasons.every((x) => x.decision !== 'stop' || x.confidence !== 'high'),
        )
        .map((r) => ({ screening, id, modality: r.modality }));
    });
    const [first] = soft.filter(({ id }) => !rules.redFlagConditions.has(id));
    if (!first) throw new Error('no soft stop in the tables');
    expect(way(first.screening, first.modality)).toBe('written-reason');
    expect(errors(first.screening, { modality: first.modality, key: 'decision', value: 'modify' })).toEqual([]);
    expect(way(first.screening, first.modality, [])).toBe('never');
  });
});

describe('an override', () => {
  const screening = ask([{ id: 'hypertension-controlled' }, { id: 'bruise', regions: ['calf-upper.left'] }]);

  it('needs a reason, a limit that is there, and a looser value', () => {
    expect(errors(screening, {})).toEqual([]);
    expect(errors(screening, { reason: 'ok' })).toEqual(['reason']);
    expect(errors(screening, { modality: 'juggling' })).toEqual(['modality']);
    expect(errors(screening, { key: 'noOil', value: null })).toEqual(['key']);
    expect(errors(screening, { value: 'feather' })).toEqual(['value']);
    expect(errors(screening, { key: 'decision', value: 'modify' })).toEqual(['key']);
    expect(errors(screening, { modality: 'hot-stone', key: 'maxMinutes', value: 30 })).toEqual(['value']);
    expect(errors(screening, { modality: 'hot-stone', key: 'maxMinutes', value: 75 })).toEqual([]);
  });

  it('never loosens heat, gloves, distance or a waiting time', () => {
    expect(errors(screening, { modality: 'hot-stone', key: 'maxStoneC', value: 55 })).toEqual(['key']);
    for (const key of ['noHeat', 'gloves', 'guardian', 'workAround', 'keepAwayCm', 'waitUntil'] as const)
      expect(errors(screening, { key, value: null })).toEqual(['key']);
  });

  it('changes its own limit of its own work, and leaves stricter places alone', () => {
    const override: Override = { modality: 'body-massage', key: 'maxPressure', value: 'firm', reason: 'Asked for.' };
    const after = withOverrides(screening, [override]);
    expect(row(after, 'body-massage').limits.maxPressure).toBe('firm');
    expect(row(after, 'facial-massage').limits).toEqual(row(screening, 'facial-massage').limits);
    expect(row(after, 'body-massage').reasons).toEqual(row(screening, 'body-massage').reasons);
    expect(withOverrides(screening, [])).toBe(screening);
  });

  it('leaves a place with a stricter limit of its own as it is', () => {
    const pregnant = ask([{ id: 'pregnancy-2' }]);
    const atBelly = (one: Screening) =>
      one.regions.find(({ modality, region }) => modality === 'body-massage' && region === 'abdomen-upper.left');
    expect(atBelly(pregnant)?.limits.maxPressure).toBe('feather');
    const override: Override = { modality: 'body-massage', key: 'maxPressure', value: 'medium', reason: 'Asked for.' };
    const after = withOverrides(pregnant, [override]);
    expect(row(after, 'body-massage').limits.maxPressure).toBe('medium');
    expect(atBelly(after)).toEqual(atBelly(pregnant));
  });
});

describe('a stop that is set aside', () => {
  const lift = (modality: string): Override => ({
    modality,
    key: 'decision',
    value: 'modify',
    reason: 'Known for years.',
  });
  it('lifts the places that fell with the kind of work, and no place that stops by itself', () => {
    let seen = 0;
    for (const id of screeningBook.conditions.keys()) {
      const before = ask([
        { id, side: 'left' },
        { id: 'open-wound', regions: ['calf-upper.right'] },
      ] as never);
      for (const answer of before.byModality) {
        if (answer.decision !== 'stop' || way(before, answer.modality) !== 'written-reason') continue;
        const after = withOverrides(before, [lift(answer.modality)]);
        for (const place of after.regions.filter(({ modality }) => modality === answer.modality)) {
          const own = place.reasons.some(({ decision }) => decision === 'stop');
          expect(place.decision === 'stop', `${id} ${answer.modality} ${place.region}`).toBe(own);
          seen += 1;
        }
      }
    }
    expect(seen).toBeGreaterThan(0);
  });
});
