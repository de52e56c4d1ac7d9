import { describe, expect, it } from 'vitest';
import { screeningBook } from '../../catalogue/screening/screening';
import { type PresentCondition, readScreening, type ScreeningRequest } from './read-request';
import { screen, type Screening } from './screen';

const visitDate = '2026-04-02';
const everything = screeningBook.qualifications.map((q) => q.id);

function ask(conditions: readonly PresentCondition[], more: Partial<ScreeningRequest> = {}): Screening {
  const read = readScreening(screeningBook, { visitDate, age: 40, qualifications: everything, conditions, ...more });
  if (!read.ok) throw new Error(JSON.stringify(read.errors));
  return screen(screeningBook, read.value);
}
const row = (answer: Screening, modality: string) => {
  const found = answer.byModality.find((r) => r.modality === modality);
  if (!found) throw new Error(`no row for ${modality}`);
  return found;
};
const place = (answer: Screening, modality: string, region: string) =>
  answer.regions.find((r) => r.modality === modality && r.region === region);

describe('screening a well client', () => {
  it('lets everything go ahead within the usual limits, in the order of the data', () => {
    const answer = ask([]);
    expect(answer.byModality.map((r) => r.modality)).toEqual([...screeningBook.modalities.keys()]);
    expect(answer.overall).toBe('ok');
    expect(answer.regions).toEqual([]);
    expect(row(answer, 'hot-stone').limits.maxStoneC).toBe(50);
  });

  it('asks for the age when it is not known', () => {
    const [question] = ask([], { age: undefined }).questions;
    expect(question).toMatchObject({ id: 'age', kind: 'age' });
  });
});

describe('where an effect holds', () => {
  it('takes a place that was not given as everywhere, until it is marked', () => {
    const unplaced = ask([{ id: 'open-wound' }], { modalities: ['lymph-drainage', 'breathing'] });
    expect(row(unplaced, 'lymph-drainage').decision).toBe('stop');
    expect(row(unplaced, 'breathing').decision).toBe('ok');
    expect(unplaced.questions.map((q) => q.id)).toContain('open-wound.place');
    const placed = ask([{ id: 'open-wound', regions: ['sole.left'] }], { modalities: ['lymph-drainage'] });
    expect(row(placed, 'lymph-drainage').decision).toBe('modify');
    expect(place(placed, 'lymph-drainage', 'sole.left')?.decision).toBe('stop');
    expect(place(placed, 'lymph-drainage', 'sole.right')).toBeUndefined();
  });

  it('reads a marked node group as the skin over it', () => {
    const answer = ask([{ id: 'open-wound', regions: ['axillary.right'] }], { modalities: ['lymph-drainage'] });
    const stopped = answer.regions.filter((r) => r.decision === 'stop').map((r) => r.region);
    expect(stopped.sort()).toEqual(['flank-upper.right', 'upper-arm-inner.right']);
  });

  it('takes both sides when no side is given', () => {
    const answer = ask([{ id: 'nodes-removed-axillary' }], { modalities: ['hot-stone'] });
    expect(place(answer, 'hot-stone', 'palm.left')?.decision).toBe('stop');
    expect(place(answer, 'hot-stone', 'palm.right')?.decision).toBe('stop');
    expect(answer.questions.map((q) => q.id)).toContain('nodes-removed-axillary.side');
  });

  it('stops a modality when the whole of its reach is covered, and only then', () => {
    const face = [...(screeningBook.reach.get('facial-massage') ?? [])];
    const all = ask([{ id: 'sunburn', regions: face }], { modalities: ['facial-massage'] });
    const most = ask([{ id: 'sunburn', regions: face.slice(1) }], { modalities: ['facial-massage'] });
    expect(row(all, 'facial-massage').decision).toBe('stop');
    expect(row(most, 'facial-massage').decision).toBe('modify');
    expect(row(most, 'facial-massage').limits.workAround).toBe(true);
  });
});

describe('time', () => {
  const fillerOn = (date?: string) =>
    row(
      ask([{ id: 'injectable-filler-recent', ...(date ? { date } : {}) }], { modalities: ['facial-massage'] }),
      'facial-massage',
    );

  it('counts whole days from the event and says from when', () => {
    expect(fillerOn('2026-03-23')).toMatchObject({ decision: 'stop', limits: { waitUntil: '2026-04-20' } });
    expect(fillerOn('2026-03-05').decision).not.toBe('stop');
  });

  it('lets a waiting time hold while the date is unknown or lies ahead, without a day to name', () => {
    for (const date of [undefined, '2026-05-01']) {
      expect(fillerOn(date).decision).toBe('stop');
      expect(fillerOn(date).limits.waitUntil).toBeUndefined();
    }
  });

  it('takes the last day of a month or year, or the visit itself within it', () => {
    expect(fillerOn('2026').limits.waitUntil).toBe('2026-04-30');
    expect(fillerOn('2026-03').limits.waitUntil).toBe('2026-04-28');
    expect(fillerOn('2025').decision).not.toBe('stop');
  });
});

describe('a clearance note', () => {
  const withNote = (date: string, modalities: 'all' | string[] = 'all') =>
    row(
      ask([{ id: 'hypertension-controlled', clearance: { date, modalities } }], {
        age: 66,
        modalities: ['neck-mobilisation'],
      }),
      'neck-mobilisation',
    ).decision;

  it('lifts “clear first” while it is valid, for the work that it names', () => {
    expect(withNote('2026-03-10')).toBe('modify');
    expect(withNote('2026-03-10', ['neck-mobilisation'])).toBe('modify');
    expect(withNote('2026-03-10', ['hot-stone'])).toBe('clear-first');
  });

  it('runs out after ninety days and does not come from the future', () => {
    expect(withNote('2026-01-02')).toBe('modify');
    expect(withNote('2026-01-01')).toBe('clear-first');
    expect(withNote('2026-04-03')).toBe('clear-first');
  });

  it('is not older than what it is about', () => {
    const decide = (noteDate: string) =>
      row(
        ask(
          [
            {
              id: 'liposuction-recent',
              regions: ['abdomen-lower.left'],
              date: '2026-03-12',
              clearance: { date: noteDate, modalities: 'all' },
            },
          ],
          { modalities: ['lymph-drainage'] },
        ),
        'lymph-drainage',
      ).decision;
    expect(decide('2026-03-12')).toBe('modify');
    expect(decide('2026-03-11')).toBe('clear-first');
  });

  it('never lifts a stop', () => {
    const answer = ask([{ id: 'dvt-suspected', side: 'left', clearance: { date: '2026-04-01', modalities: 'all' } }]);
    expect(answer.overall).toBe('stop');
  });
});

describe('scope', () => {
  it('says which qualification is missing, once, without a confidence', () => {
    const answer = ask([], {
      qualifications: ['massage'],
      modalities: ['facial-intraoral', 'hot-stone', 'body-massage'],
    });
    expect(row(answer, 'hot-stone')).toMatchObject({
      decision: 'refer',
      reasons: [{ condition: 'scope', decision: 'refer', text: 'Needs Stone therapy.', code: 'scope' }],
    });
    expect(row(answer, 'facial-intraoral').reasons[0]?.text).toBe('Needs Gloved intraoral work.');
    expect(row(answer, 'body-massage').decision).toBe('ok');
  });

  it('counts what a qualification implies', () => {
    const answer = ask([], {
      qualifications: ['lymphoedema-certified', 'oncology-massage'],
      modalities: ['lymph-drainage', 'body-massage'],
    });
    expect(answer.overall).toBe('ok');
  });
});

describe('combination rules', () => {
  it('keep heat off a limb at risk and its quarter of the trunk, for life', () => {
    const answer = ask([{ id: 'nodes-removed-inguinal', side: 'right', date: '1999' }], { modalities: ['hot-stone'] });
    expect(place(answer, 'hot-stone', 'toes.right')?.reasons.map((r) => r.condition)).toContain('no-heat-limb-at-risk');
    expect(place(answer, 'hot-stone', 'buttock.right')?.decision).toBe('stop');
    expect(place(answer, 'hot-stone', 'toes.left')).toBeUndefined();
  });

  it('of one limb fire only when both findings meet on it', () => {
    const meet = (wound: string) =>
      ask(
        [
          { id: 'lymphoedema-one-limb', regions: ['calf-upper.left'] },
          { id: 'skin-infection-local', regions: [wound] },
        ],
        { modalities: ['lymph-drainage'] },
      ).regions.some((r) => r.reasons.some((reason) => reason.condition === 'skin-break-on-swollen-limb'));
    expect(meet('sole.left')).toBe(true);
    expect(meet('sole.right')).toBe(false);
    expect(meet('palm.left')).toBe(false);
  });

  it('about two kinds of work need both to be asked for by name', () => {
    const conditions = [{ id: 'retinoid-topical' }];
    const skips = (modalities: readonly string[]) =>
      row(ask(conditions, { modalities }), 'hot-stone').reasons.some(
        (r) => r.condition === 'heat-with-light-sensitive-skin',
      );
    expect(skips(['hot-stone', 'aromatherapy'])).toBe(true);
    expect(skips(['hot-stone'])).toBe(false);
    expect(skips([])).toBe(false);
  });

  it('hold for who lacks a training', () => {
    const limits = (qualifications: readonly string[]) =>
      row(ask([], { qualifications, modalities: ['aromatherapy'] }), 'aromatherapy').limits;
    expect(limits(['massage'])).toMatchObject({ dilutionMaxPercent: 2, skipTechniques: ['own-blend'] });
    expect(limits(['massage', 'aromatherapy-clinical'])).toMatchObject({ dilutionMaxPercent: 3 });
  });
});

describe('what age implies', () => {
  it('adds old age and youth without being told, once', () => {
    const of = (age: number, conditions: readonly PresentCondition[] = []) =>
      ask(conditions, { age }).byModality.flatMap((r) => r.reasons.map((reason) => reason.condition));
    expect(of(70)).toContain('older-adult');
    expect(of(69)).not.toContain('older-adult');
    expect(of(11)).toEqual(expect.arrayContaining(['minor', 'child-under-12']));
    const named = ask([{ id: 'minor' }], { age: 17, modalities: ['body-massage'] });
    const once = row(named, 'body-massage').reasons.filter((r) => r.condition === 'minor');
    expect(new Set(once.map((r) => r.text)).size).toBe(once.length);
  });
});

describe('questions', () => {
  it('come in the order of the conditions, none twice, notes last', () => {
    const asked = ask([{ id: 'swelling-both-legs' }, { id: 'cancer-past' }, { id: 'cancer-past' }]).questions.map(
      (q) => q.id,
    );
    expect(new Set(asked).size).toBe(asked.length);
    expect(asked.indexOf('swelling-both-legs.cause')).toBeLessThan(asked.indexOf('cancer-past.date'));
    expect(asked.at(-1)).toMatch(/\.clearance$/);
  });

  it('are answered by an answer, or by another finding', () => {
    const asked = (conditions: readonly PresentCondition[]) => ask(conditions).questions.map((q) => q.id);
    expect(asked([{ id: 'anticoagulants' }])).toContain('anticoagulants.reason');
    expect(asked([{ id: 'anticoagulants', answers: { reason: 'valve' } }])).not.toContain('anticoagulants.reason');
    expect(asked([{ id: 'anticoagulants' }, { id: 'arrhythmia' }])).not.toContain('anticoagulants.reason');
  });
});

describe('bad requests', () => {
  it.each([
    [{ visitDate: '2026-02-30' }, 'visitDate'],
    [{ age: -3 }, 'age'],
    [{ conditions: [{ id: 'the-vapours' }] }, 'conditions.0.id'],
    [{ conditions: [{ id: 'port', regions: ['third-arm.left'] }] }, 'conditions.0.regions.0'],
    [{ conditions: [{ id: 'port', date: '2026-13' }] }, 'conditions.0.date'],
    [{ conditions: [{ id: 'port', clearance: { date: 'soon', modalities: ['x'] } }] }, 'conditions.0.clearance.date'],
    [{ qualifications: ['wizard'] }, 'qualifications.0'],
    [{ modalities: ['juggling'] }, 'modalities.0'],
  ])('%j names %s', (change, path) => {
    const read = readScreening(screeningBook, { visitDate, conditions: [], ...change });
    expect(read.ok ? [] : read.errors.map((e) => e.path)).toContain(path);
  });
});
