import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { screeningBook } from '../../catalogue/screening/screening';
import { type PresentCondition, readScreening, type ScreeningRequest } from './read-request';
import { screen, type Screening } from './screen';
import { pressures, rankOf } from './tables';

const territories = [...anatomy.territories.keys()];
const qualificationIds = screeningBook.qualifications.map((q) => q.id);

const condition: fc.Arbitrary<PresentCondition> = fc.record(
  {
    id: fc.constantFrom(...screeningBook.conditions.keys()),
    side: fc.constantFrom('left', 'right', 'both'),
    regions: fc.subarray(territories, { minLength: 1, maxLength: 4 }),
    date: fc.constantFrom('2026-04-01', '2026-03', '2025-10-10', '2024'),
    clearance: fc.constant({ date: '2026-04-01', modalities: 'all' as const }),
  },
  { requiredKeys: ['id'] },
);
const request: fc.Arbitrary<ScreeningRequest> = fc.record({
  visitDate: fc.constant('2026-04-02'),
  age: fc.constantFrom(undefined, 11, 40, 66, 75),
  conditions: fc.array(condition, { maxLength: 5 }),
  qualifications: fc.subarray(qualificationIds),
  modalities: fc.subarray([...screeningBook.modalities.keys()]),
});

function answer(input: ScreeningRequest): Screening {
  const read = readScreening(screeningBook, input);
  if (!read.ok) throw new Error(JSON.stringify(read.errors));
  return screen(screeningBook, read.value);
}

/** Decision of a modality at a place: that of its row, or of the whole where no row says more. */
function decidedAt(screening: Screening, modality: string, region: string): number {
  const row = screening.regions.find((r) => r.modality === modality && r.region === region);
  const whole = screening.byModality.find((r) => r.modality === modality);
  return rankOf((row ?? whole)?.decision ?? 'ok');
}

const runs = { numRuns: 300 };

describe('laws of screening', () => {
  it('one more finding never makes a decision milder, anywhere', () => {
    fc.assert(
      // Without a note: a note is more than a finding, and may lift what the age alone implies.
      fc.property(request, condition, (input, { clearance, ...more }) => {
        const before = answer(input);
        const after = answer({ ...input, conditions: [...input.conditions, more] });
        expect(rankOf(after.overall)).toBeGreaterThanOrEqual(rankOf(before.overall));
        for (const [i, row] of before.byModality.entries())
          expect(rankOf(after.byModality[i]?.decision ?? 'ok')).toBeGreaterThanOrEqual(rankOf(row.decision));
        for (const row of before.regions)
          expect(decidedAt(after, row.modality, row.region)).toBeGreaterThanOrEqual(rankOf(row.decision));
      }),
      runs,
    );
  });

  it('holds also when what held in places comes to hold everywhere, and the rows of the places go', () => {
    const input = {
      visitDate: '2026-04-02',
      conditions: [{ id: 'lymphoedema-both-limbs', regions: ['sternum-edge.right'] }],
      modalities: ['hot-stone'],
    };
    const before = answer(input);
    const after = answer({ ...input, conditions: [...input.conditions, { id: 'swelling-new-unexplained' }] });
    expect(decidedAt(before, 'hot-stone', 'breast.right')).toBe(rankOf('stop'));
    expect(after.regions.some(({ region }) => region === 'breast.right')).toBe(false);
    expect(decidedAt(after, 'hot-stone', 'breast.right')).toBe(rankOf('stop'));
  });

  it('one qualification less never widens what may be done', () => {
    fc.assert(
      fc.property(request, fc.constantFrom(...qualificationIds), (input, lost) => {
        const before = answer(input);
        const after = answer({ ...input, qualifications: input.qualifications?.filter((id) => id !== lost) });
        for (const [i, row] of before.byModality.entries())
          expect(rankOf(after.byModality[i]?.decision ?? 'ok')).toBeGreaterThanOrEqual(rankOf(row.decision));
      }),
      runs,
    );
  });

  it('a note never lifts a stop or a referral', () => {
    fc.assert(
      fc.property(request, (input) => {
        const without = answer({ ...input, conditions: input.conditions.map((c) => ({ ...c, clearance: undefined })) });
        const noted = answer(input);
        for (const [i, row] of without.byModality.entries())
          if (rankOf(row.decision) >= rankOf('refer')) expect(noted.byModality[i]?.decision).toBe(row.decision);
      }),
      runs,
    );
  });

  it('limits of a place are never looser than those of the whole', () => {
    fc.assert(
      fc.property(request, (input) => {
        const { byModality, regions } = answer(input);
        for (const row of regions) {
          const whole = byModality.find((m) => m.modality === row.modality)?.limits ?? {};
          const { maxPressure, maxMinutes, maxStoneC, dilutionMaxPercent } = whole;
          const rank = (p: typeof maxPressure) => (p === undefined ? pressures.length : pressures.indexOf(p));
          expect(rank(row.limits.maxPressure)).toBeLessThanOrEqual(rank(maxPressure));
          expect(row.limits.maxMinutes ?? Infinity).toBeLessThanOrEqual(maxMinutes ?? Infinity);
          expect(row.limits.maxStoneC ?? Infinity).toBeLessThanOrEqual(maxStoneC ?? Infinity);
          expect(row.limits.dilutionMaxPercent ?? Infinity).toBeLessThanOrEqual(dilutionMaxPercent ?? Infinity);
          for (const technique of whole.skipTechniques ?? []) expect(row.limits.skipTechniques).toContain(technique);
        }
      }),
      runs,
    );
  });

  it('every decision above “go ahead” has a reason of its own rank', () => {
    fc.assert(
      fc.property(request, (input) => {
        const { byModality, regions } = answer(input);
        for (const row of byModality)
          if (row.decision !== 'ok')
            expect(row.reasons.some((r) => rankOf(r.decision) >= rankOf(row.decision))).toBe(true);
        for (const row of regions) expect(row.reasons.length).toBeGreaterThan(0);
      }),
      runs,
    );
  });

  it('rows name each place once, within the reach of their work, in the order of the body', () => {
    fc.assert(
      fc.property(request, (input) => {
        const { regions, byModality } = answer(input);
        for (const { modality } of byModality) {
          const rows = regions.filter((r) => r.modality === modality).map((r) => territories.indexOf(r.region));
          expect(rows).toEqual([...new Set(rows)].sort((a, b) => a - b));
        }
        for (const row of regions) expect(screeningBook.reach.get(row.modality)?.has(row.region)).toBe(true);
      }),
      runs,
    );
  });
});
