import { describe, expect, it } from 'vitest';
import { medicineClasses } from '../../catalogue/screening/medicines.data';
import { gateRows } from '../../catalogue/screening/intake.data';
import { screeningBook } from '../../catalogue/screening/screening';
import { contradictionsIn } from './contradictions';
import { isManyMedicines, recogniseMedicines } from './medicines';
import { pregnancyOn } from './pregnancy';

describe('a due date', () => {
  const day = '2026-04-02';
  it('says how far a pregnancy is', () => {
    expect(pregnancyOn('2026-08-20', day)).toEqual({ weeks: 20, days: 0, condition: 'pregnancy-2' });
    expect(pregnancyOn('2026-10-01', day)?.condition).toBe('pregnancy-2');
    expect(pregnancyOn('2026-10-02', day)?.condition).toBe('pregnancy-1');
    expect(pregnancyOn('2026-06-25', day)?.condition).toBe('pregnancy-3');
  });

  it('is refused when it cannot be', () => {
    expect(pregnancyOn('2027-04-02', day)).toBeUndefined();
    expect(pregnancyOn('2026-03-01', day)).toBeUndefined();
    expect(pregnancyOn('2026-03-20', day)?.weeks).toBe(41);
  });
});

describe('medicines in free text', () => {
  const classes = (text: string) => recogniseMedicines(text, medicineClasses).map((m) => m.medicineClass.label);

  it('are recognised with their dose, in any spelling of capitals, once', () => {
    expect(classes('Apixaban 5 mg, RAMIPRIL; apixaban')).toEqual(['blood thinner', 'for blood pressure']);
  });

  it('forgive one slip, and leave other words alone', () => {
    expect(classes('apixiban')).toEqual(['blood thinner']);
    expect(classes('magnesium and a good night tea')).toEqual([]);
  });

  it('are many from five on', () => {
    expect(isManyMedicines('a, b, c, d')).toBe(false);
    expect(isManyMedicines('a\nb\nc\nd, e')).toBe(true);
  });

  it('lead to conditions that exist, and no name stands for two classes', () => {
    for (const { conditions } of medicineClasses)
      for (const id of conditions) expect(screeningBook.conditions.has(id)).toBe(true);
    const names = medicineClasses.flatMap((c) => c.names);
    expect(new Set(names).size).toBe(names.length);
  });
});

describe('contradictions', () => {
  const pairs = (findings: readonly { id: string; side?: 'left' | 'right' | 'both' }[]) =>
    contradictionsIn(findings).map(([a, b]) => `${a.id} ${b.id}`);

  it('are named in pairs', () => {
    expect(pairs([{ id: 'diabetes-controlled' }, { id: 'asthma' }, { id: 'diabetes-uncontrolled' }])).toEqual([
      'diabetes-controlled diabetes-uncontrolled',
    ]);
    expect(pairs([{ id: 'asthma' }, { id: 'asthma' }])).toEqual([]);
  });

  it('of nodes are those of the same group on the same side', () => {
    const all = { id: 'nodes-removed-axillary', side: 'left' } as const;
    expect(pairs([all, { id: 'nodes-sentinel-axillary', side: 'left' }])).toHaveLength(1);
    expect(pairs([all, { id: 'nodes-sentinel-axillary', side: 'right' }])).toHaveLength(0);
    expect(pairs([all, { id: 'nodes-sentinel-axillary' }])).toHaveLength(1);
  });
});

describe('the gates of the intake', () => {
  it('stand before every group but age', () => {
    const groups = [...new Set([...screeningBook.conditions.values()].map((c) => c.group))].filter((g) => g !== 'Age');
    expect(gateRows.map(([group]) => group)).toEqual(groups);
  });
});
