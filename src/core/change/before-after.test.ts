import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { coursesOfFigures } from './before-after';
import { type Figure, figuresOf, isBeyond } from './figures';

const limits = {
  ...{ abdomenGirthCm: 3, facePercent: 2 },
  faceDistances: ['chin', 'mouth', 'nose', 'inner eye', 'outer eye', 'chin to eye', 'jaw'],
};
const seen = (kind: string, value: unknown, place: string | null = null) =>
  figuresOf(anatomy, { kind, place, value }, limits);
const scores = { tightness: 6, heaviness: 7, pain: null, movement: 4, calfPain: null };
const neck = { flexion: 50, extension: 40, turnLeft: 45, turnRight: 70, bendLeft: null, bendRight: 35 };

describe('what was measured, as figures', () => {
  it('has one for everything that was asked, and none for what was not', () => {
    expect(seen('scores', scores).map(({ name, value, unit, aim }) => [name, value, unit, aim])).toEqual([
      ['heavy', 7, 'of 10', 'less'],
      ['tight', 6, 'of 10', 'less'],
      ['hard to move', 4, 'of 10', 'less'],
    ]);
  });

  it('has the six directions of the neck, where they were taken', () => {
    expect(seen('neck-range', neck).map(({ key }) => key)).toEqual([
      'neck-flexion',
      'neck-extension',
      'neck-turn-left',
      'neck-turn-right',
      'neck-bend-right',
    ]);
  });

  it('names the place that was felt, and keeps sides and places apart', () => {
    const [left] = seen('texture', { texture: 'firm' }, 'calf-upper.left');
    const [right] = seen('texture', { texture: 'soft' }, 'calf-upper.right');
    expect(left).toMatchObject({ value: 2, unit: 'grade', limit: 1 });
    expect(left?.name).toContain('firmness, left');
    expect(left?.key).not.toBe(right?.key);
  });

  it('takes warmth as what lies over the other side', () => {
    expect(seen('temperature', { hereC: 33.4, mirrorC: 32.1 }, 'shin-lower.left')[0]?.value).toBe(1.3);
  });

  it('sums the face, and needs two per cent of it for a change', () => {
    const face = { rightCm: Array(7).fill(10), leftCm: Array(7).fill(10), neckCm: [35, 36, 37] };
    expect(seen('face', face).filter(({ isDetail }) => !isDetail)).toMatchObject([
      { key: 'face 1234567', value: 140, limit: 2.8 },
      { key: 'neck', value: 108, limit: 2.16 },
    ]);
    const keys = seen('face', { ...face, neckCm: [35, null, 37] }).flatMap(({ key, isDetail }) =>
      isDetail ? [] : key,
    );
    expect(keys).toEqual(['face 1234567']);
  });

  it('keeps each distance of the face beside its sum, also where too few were taken for one', () => {
    const nothing = Array(7).fill(null);
    const face = { rightCm: [11.2, ...nothing.slice(1)], leftCm: [...nothing.slice(1), 60], neckCm: nothing.slice(4) };
    expect(seen('face', face)).toMatchObject([
      { key: 'face-right 1', name: 'chin, right', value: 11.2, limit: 0.5, isDetail: true },
      { key: 'face-left 7', name: 'jaw, left', value: 60, limit: 0.6, isDetail: true },
    ]);
  });

  it('knows how far the mouth opens, told apart by more than five millimetres', () => {
    expect(seen('mouth', { openingMm: 38 })).toMatchObject([
      { key: 'mouth', value: 38, unit: 'mm', aim: 'more', limit: 5 },
    ]);
  });

  it('knows which way the chin lies, and nothing where it was not looked at', () => {
    const chin = (value: string | null) =>
      seen('neck-range', { ...neck, chin: value }).find(({ key }) => key === 'chin');
    expect(chin('left')).toMatchObject({ value: 0, target: 1 });
    expect(chin('right')?.steps?.[2]).toBe('off to the right');
    expect(chin(null)).toBeUndefined();
  });

  it('never holds sums over other distances of the face against each other', () => {
    const face = { rightCm: Array(7).fill(10), leftCm: Array(7).fill(10), neckCm: [null, null, null] };
    const [whole] = seen('face', face);
    const [part] = seen('face', { ...face, rightCm: [...Array(6).fill(10), null] });
    expect(part).toMatchObject({ value: 120, name: 'face, 6 distances a side' });
    const courses = coursesOfFigures([{ visit: { id: 1 }, before: whole ? [whole] : [], after: part ? [part] : [] }]);
    const sums = courses.filter(({ isDetail }) => !isDetail);
    expect(sums.flatMap(({ visits }) => visits.map(({ change }) => change))).toEqual([null, null]);
  });

  it('takes two per cent of what the face was before the work, and counts them themselves', () => {
    const faceOf = (cm: number) =>
      seen('face', { rightCm: Array(5).fill(cm), leftCm: Array(5).fill(cm), neckCm: [null, null, null] });
    const change = (from: number, to: number) =>
      coursesOfFigures([{ visit: { id: 1 }, before: faceOf(from), after: faceOf(to) }])[0]?.visits[0];
    expect(change(10, 9.8)).toMatchObject({ isBeyond: true, isBetter: true });
    expect(change(10, 9.81)).toMatchObject({ isBeyond: false });
  });

  it('does not compare a belly that was taken over a binder', () => {
    expect(seen('abdomen', { girths: [{ heightCm: 0, girthCm: 92 }], isCovered: true })).toEqual([]);
  });

  it('knows the girths of the belly by their height', () => {
    const girths = [
      { heightCm: 0, girthCm: 92 },
      { heightCm: 8, girthCm: 96 },
    ];
    expect(seen('abdomen', { girths, isCovered: false }).map(({ name }) => name)).toEqual([
      'belly at the navel',
      'belly, 8 cm from the navel',
    ]);
  });

  it('tells the deepest line, where a depth was written down', () => {
    expect(seen('lines', { lines: [{ depth: 2 }, { depth: 3 }, {}] })[0]?.value).toBe(3);
    expect(seen('lines', { lines: [{}] })).toEqual([]);
  });

  it('makes nothing of what is no number', () => {
    expect(seen('spot', { what: 'a mole' }, 'cheek.left')).toEqual([]);
    expect(seen('toString', {})).toEqual([]);
  });
});

describe('a change beyond the measuring error', () => {
  it('exceeds it where it is a length or an angle', () => {
    expect(isBeyond({ limit: 3 }, 3)).toBe(false);
    expect(isBeyond({ limit: 3 }, -3.1)).toBe(true);
    expect(isBeyond({ limit: 10 }, 10)).toBe(false);
  });

  it('reaches it where it is a whole step', () => {
    expect(isBeyond({ limit: 1, isReached: true }, -1)).toBe(true);
    expect(isBeyond({ limit: 2, isReached: true }, 1)).toBe(false);
    expect(isBeyond({ limit: 2, isReached: true }, -2)).toBe(true);
  });
});

describe('before and after over the visits', () => {
  const angleOf = (value: number): Figure => ({
    ...{ key: 'turn', name: 'neck turns left', unit: '°', aim: 'more', limit: 10, value },
  });
  const visits = (...pairs: readonly (readonly [number | null, number | null])[]) =>
    pairs.map(([before, after], id) => ({
      visit: { id },
      before: before === null ? [] : [angleOf(before)],
      after: after === null ? [] : [angleOf(after)],
    }));
  const courseOf = (...pairs: readonly (readonly [number | null, number | null])[]) =>
    coursesOfFigures(visits(...pairs))[0]?.visits ?? [];

  it('says what was gained and what of it held until the next visit', () => {
    const [first, second] = courseOf([40, 60], [50, 70]);
    expect(first).toEqual({
      ...{ visit: { id: 0 }, before: 40, after: 60, change: 20, isBeyond: true, isBetter: true, heldPercent: 50 },
    });
    expect(second?.heldPercent).toBeNull();
  });

  it('says nothing of what held where nothing real was gained', () => {
    const [first] = courseOf([40, 45], [42, 60]);
    expect(first).toMatchObject({ change: 5, isBeyond: false, isBetter: true, heldPercent: null });
  });

  it('looks past a visit at which it was not measured before the work', () => {
    const [first] = courseOf([40, 60], [null, 66], [55, null]);
    expect(first?.heldPercent).toBe(75);
  });

  it('goes below nothing and over all: lost again and more, or gained further by itself', () => {
    expect(courseOf([40, 60], [36, null])[0]?.heldPercent).toBe(-20);
    expect(courseOf([40, 60], [64, null])[0]?.heldPercent).toBe(120);
  });

  it('has no change where only one of both was taken, and no visit where neither was', () => {
    const course = courseOf([40, null], [null, null], [null, 50]);
    expect(course.map(({ visit, change }) => [visit.id, change])).toEqual([
      [0, null],
      [2, null],
    ]);
  });

  it('turns a loss round where less is what is aimed at', () => {
    const heavy = (value: number): Figure => ({
      ...{ key: 'heavy', name: 'heavy', unit: 'of 10', aim: 'less', limit: 2, isReached: true, value },
    });
    const [course] = coursesOfFigures([{ visit: { id: 1 }, before: [heavy(7)], after: [heavy(4)] }]);
    expect(course?.visits[0]).toMatchObject({ change: -3, isBeyond: true, isBetter: true });
  });

  it('takes what was written down last where it was measured twice', () => {
    const [course] = coursesOfFigures([{ visit: { id: 1 }, before: [angleOf(40), angleOf(44)], after: [] }]);
    expect(course?.visits[0]?.before).toBe(44);
  });

  it('adds up: before and change make after, and what held and what was lost make the gain', () => {
    const maybe = fc.option(fc.integer({ min: 0, max: 120 }), { nil: null });
    fc.assert(
      fc.property(fc.array(fc.tuple(maybe, maybe), { maxLength: 8 }), (pairs) => {
        for (const one of courseOf(...pairs)) {
          if (one.change === null) expect(one.before === null || one.after === null).toBe(true);
          else expect((one.before ?? 0) + one.change).toBe(one.after);
          if (one.heldPercent !== null) expect(one.isBeyond).toBe(true);
        }
      }),
    );
  });
});

describe('what should lie in the middle', () => {
  const chin = (value: number): Figure => ({
    ...{ key: 'chin', name: 'chin at rest', unit: 'grade', aim: 'target', target: 1, limit: 1, isReached: true, value },
  });
  const changed = (before: number, after: number) =>
    coursesOfFigures([{ visit: { id: 1 }, before: [chin(before)], after: [chin(after)] }])[0]?.visits[0];

  it.each([
    [0, 1, true],
    [2, 1, true],
    [1, 0, false],
    [1, 2, false],
    [0, 2, null],
    [1, 1, null],
  ])('from %d to %d is better: %s', (before, after, better) => {
    expect(changed(before, after)).toMatchObject({ change: after - before, isBetter: better });
  });
});
