import { describe, expect, it } from 'vitest';
import { HomeSheetRequest, TreatmentRequest } from '../../contracts/judged';
import { shippedLibrary } from '../../catalogue/library/library';
import { screeningBook } from '../../catalogue/screening/screening';
import { computeHomeSheet, computeTreatment } from './compute-judged';

const all = screeningBook.qualifications.map(({ id }) => id);

const treatment = (input: object) => {
  const result = computeTreatment(
    TreatmentRequest.parse({ visitDate: '2026-04-02', age: 54, qualifications: all, minutes: 90, ...input }),
  );
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.value;
};
const home = (input: object) => {
  const result = computeHomeSheet(
    HomeSheetRequest.parse({ visitDate: '2026-04-02', age: 54, qualifications: all, ...input }),
  );
  if (!result.ok) throw new Error(JSON.stringify(result.errors));
  return result.value;
};
const steps = ({ parts }: ReturnType<typeof treatment>) => parts.flatMap((part) => part.steps);
const places = (list: readonly { readonly places: readonly string[] }[]) => new Set(list.flatMap((one) => one.places));
const techniques = (answer: ReturnType<typeof treatment>) => new Set(steps(answer).map(({ technique }) => technique));
const armpit = [{ id: 'nodes-removed-axillary', side: 'left', date: '2024-02-10' }];

describe('armpit nodes removed on the left', () => {
  it.each(['upper-body-drainage', 'open-and-clear', 'mouth-gloved'])(
    '%s leaves that armpit and works the other',
    (id) => {
      const answer = treatment({ protocols: [id], conditions: armpit });
      expect([...places(steps(answer))]).not.toContain('axillary.left');
      expect(
        answer.leftOut.some((one) => one.places.includes('axillary.left') || one.rule === 'no-blocked-target'),
      ).toBe(true);
      if (id !== 'mouth-gloved') expect([...places(steps(answer))]).toContain('axillary.right');
    },
  );

  it('leads the left arm another way when the therapist is certified, every stroke to the next place', () => {
    const answer = treatment({ protocols: ['upper-body-drainage'], conditions: armpit });
    const led = steps(answer).filter(({ toward }) => toward !== null);
    expect([...places(led)]).toContain('chest-upper.left');
    for (const { toward } of led) expect(toward).not.toBe('axillary.left');
    const order = steps(answer).map(({ technique, places: [place] }) => `${technique} ${place ?? ''}`);
    expect(order.indexOf('node-clear terminus.left')).toBeLessThan(order.indexOf('skin-stretch chest-upper.left'));
  });

  it('leaves the left arm to somebody certified when the therapist is not', () => {
    const answer = treatment({
      ...{ protocols: ['upper-body-drainage'], conditions: armpit, qualifications: ['massage', 'lymph-basic'] },
    });
    const touched = [...places(steps(answer))];
    expect(touched).not.toContain('forearm-inner.left');
    expect(touched).toContain('forearm-inner.right');
  });
});

describe('a movement is judged by what it does', () => {
  it('takes head traction out of a facial, and pinning out of stones, with brittle bones', () => {
    const facial = treatment({ protocols: ['relaxing-face'], conditions: [{ id: 'osteoporosis' }] });
    expect([...techniques(facial)]).not.toContain('head-traction');
    const gone = facial.leftOut.find(({ technique }) => technique === 'head-traction');
    expect(gone).toMatchObject({ rule: 'osteoporosis', instead: null });
    const stones = techniques(treatment({ protocols: ['stones-neck'], conditions: [{ id: 'osteoporosis' }] }));
    expect([...stones]).not.toContain('stone-pin-stretch');
    expect([...stones]).not.toContain('stone-traction');
    expect([...stones]).toContain('stone-neck-glide');
    expect([...techniques(treatment({ protocols: ['relaxing-face'] }))]).toContain('head-traction');
  });

  it('puts nothing in the place of a still hold on the throat', () => {
    const answer = treatment({ protocols: ['neck-release'], conditions: [{ id: 'tmj-disorder' }] });
    expect(answer.leftOut.find(({ technique }) => technique === 'throat-bone-balance')).toMatchObject({
      instead: null,
    });
    const before = steps(treatment({ protocols: ['neck-release'] })).length;
    expect(steps(answer).length).toBeLessThan(before);
  });
});

describe('along the spine', () => {
  it('turns direction and order of places round with multiple sclerosis', () => {
    const answer = treatment({ protocols: ['spine-oil-layers'], conditions: [{ id: 'multiple-sclerosis' }] });
    const along = steps(answer).filter(({ technique }) =>
      shippedLibrary.techniques.get(technique)?.traits.includes('beside-spine'),
    );
    expect(along.length).toBeGreaterThan(0);
    for (const step of along) {
      expect(step.direction).toBe('reversed');
      expect(step.cautions).toContain('multiple-sclerosis');
      const at = step.places.map((place) =>
        ['nape', 'back-upper', 'back-middle', 'back-lower'].indexOf(place.split('.')[0] ?? ''),
      );
      expect(at).toEqual([...at].sort());
    }
    const usual = steps(treatment({ protocols: ['spine-oil-layers'] }));
    expect(usual.every(({ direction }) => direction === 'as-written')).toBe(true);
  });
});

describe('minutes of a kind of work', () => {
  it.each([
    ['mouth-gloved', 'facial-intraoral', 10],
    ['face-roller', 'facial-roller', 10],
    ['tool-neck-jaw', 'facial-scraping-tool', 10],
  ])('%s keeps to them', (protocol, modality, most) => {
    expect(treatment({ protocols: [protocol] }).minutesByModality[modality]).toBeLessThanOrEqual(most);
  });

  it('keeps the closing drain and lets the stimulating opening go, with rosacea', () => {
    const answer = treatment({ protocols: ['mouth-gloved'], conditions: [{ id: 'rosacea' }] });
    expect(answer.minutesByModality['facial-intraoral']).toBeLessThanOrEqual(6);
    expect(answer.parts.at(-1)?.steps.at(-1)?.technique).toBe('drain-down-neck');
    expect(
      steps(answer).some(({ technique }) => shippedLibrary.techniques.get(technique)?.traits.includes('stimulating')),
    ).toBe(false);
  });

  it('is not given a third time in a week', () => {
    expect(
      treatment({ protocols: ['mouth-gloved'], thisWeek: { 'facial-intraoral': 1 } }).parts.length,
    ).toBeGreaterThan(0);
    const third = treatment({ protocols: ['mouth-gloved'], thisWeek: { 'facial-intraoral': 2 } });
    expect(third.parts).toEqual([]);
    expect(third.leftOut[0]).toMatchObject({ block: null, technique: null });
  });
});

describe('hair dyed today', () => {
  it('keeps the shoulders over cloth, and touches no scalp', () => {
    const answer = treatment({ protocols: ['scalp-shoulders'], conditions: [{ id: 'hair-chemical-today' }] });
    const touched = [...places(steps(answer))];
    expect(touched).toContain('shoulder-top.left');
    expect(touched.filter((place) => place.startsWith('scalp'))).toEqual([]);
    expect(answer.parts.map(({ hands }) => hands)).not.toContain('oiled');
  });
});

describe('one side only', () => {
  it('brushes the right arm alone when the left is at risk', () => {
    const answer = treatment({ protocols: ['dry-brush-body'], conditions: armpit });
    const touched = [...places(steps(answer))];
    expect(touched).toContain('upper-arm-inner.right');
    expect(touched).not.toContain('upper-arm-inner.left');
  });
});

describe('a sheet for home', () => {
  it('keeps off a port and what lies beside it', () => {
    const sheet = home({
      routine: 'home-after-armpit-one',
      ...{ side: 'left', minutes: 18 },
      conditions: [...armpit, { id: 'port', regions: ['chest-upper.right'] }],
    });
    expect([...places(sheet.steps)]).not.toContain('chest-upper.right');
    expect(sheet.steps.map(({ toward }) => toward)).not.toContain('axillary.left');
    expect(sheet.perWeek).toBeGreaterThan(0);
  });

  it('says what is wrong by its field', () => {
    const ask = (input: object) =>
      computeHomeSheet(HomeSheetRequest.parse({ visitDate: '2026-04-02', qualifications: all, ...input }));
    expect(ask({ routine: 'home-one-leg' })).toMatchObject({ ok: false, errors: [{ path: 'side' }] });
    expect(ask({ routine: 'home-nowhere' })).toMatchObject({ ok: false, errors: [{ path: 'routine' }] });
  });
});

describe('bad input', () => {
  it('names the field', () => {
    const ask = (input: object) =>
      computeTreatment(TreatmentRequest.parse({ visitDate: '2026-04-02', protocols: ['belly'], ...input }));
    expect(ask({ protocols: ['belly', 'nothing'] })).toMatchObject({ errors: [{ path: 'protocols.1' }] });
    expect(ask({ conditions: [{ id: 'nothing' }] })).toMatchObject({ errors: [{ path: 'conditions.0.id' }] });
    expect(ask({ thisWeek: { nothing: 1 } })).toMatchObject({ errors: [{ path: 'thisWeek.nothing' }] });
    expect(ask({ focus: ['axillary.left'] })).toMatchObject({ errors: [{ path: 'focus.0' }] });
  });
});
