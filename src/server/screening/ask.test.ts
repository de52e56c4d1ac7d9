import { readWording } from './wording';
import { beforeEach, describe, expect, it } from 'vitest';
import { allNo } from '../../../tests/api/answers';
import type { AskState } from '../../contracts/ask-views';
import { listFindings } from './findings.repository';
import { answerCheck } from '../visits/answer-check';
import { answerIntake, makeOverride, signConsent, takeBackOverride } from './answer-intake';
import { addClearance, addFinding } from './save-finding';
import { actor, book, finding, now, openHouse, type TestHouse } from '../shared/test-house';
import { readAsk, readAskState } from './read-ask';
import { readDay } from '../visits/read-day';
import { readReferral } from './referral';
import { readTablet } from '../visits/read-tablet';
import { saveWording } from './save-wording';

let house: TestHouse;
beforeEach(async () => {
  house = await openHouse();
});

type Answers = Parameters<typeof answerIntake>[2]['answers'];

async function answer(answers: Answers, source: 'therapist' | 'client' = 'therapist'): Promise<AskState> {
  const result = await answerIntake(house.db, house.visit, { answers }, actor, source);
  if (result.kind !== 'saved') throw new Error(JSON.stringify(result));
  return result.state;
}

const onRecord = async () => (await listFindings(house.db, house.client)).map(({ id }) => id);
const decisionOf = (state: AskState | undefined, modality: string) =>
  state?.screening.decisions.find((row) => row.modality === modality);

describe('the intake', () => {
  it('puts a yes on the record, counts “not sure” as so, and ends what is answered no', async () => {
    const state = await answer([
      { condition: 'dvt-acute', answer: 'yes' },
      { condition: 'port', answer: 'unsure' },
      { condition: 'pacemaker', answer: 'no' },
    ]);
    expect(await onRecord()).toEqual(['nodes-removed-inguinal', 'dvt-acute', 'port']);
    expect(state.findings.find(({ id }) => id === 'port')?.isUnsure).toBe(true);
    expect(state.intake).toMatchObject({ 'dvt-acute': 'yes', port: 'unsure', pacemaker: 'no' });
    await answer([
      { condition: 'dvt-acute', answer: 'no' },
      { condition: 'port', answer: 'yes' },
    ]);
    expect((await readAskState(house.db, house.visit))?.findings.map(({ id, isUnsure }) => [id, isUnsure])).toEqual([
      ['nodes-removed-inguinal', false],
      ['port', false],
    ]);
  });

  it('refuses a question that is not asked, and then keeps none of the answers', async () => {
    const result = await answerIntake(
      house.db,
      house.visit,
      {
        answers: [
          { condition: 'port', answer: 'yes' },
          { condition: 'x', answer: 'no' },
        ],
      },
      actor,
    );
    expect(result).toMatchObject({ kind: 'refused', errors: [{ path: 'answers.1.condition' }] });
    expect(await onRecord()).toEqual(['nodes-removed-inguinal']);
  });

  it('does not let a client’s no take off the record what a therapist put there; both are shown', async () => {
    const state = await answer([{ condition: 'nodes-removed-inguinal', answer: 'no' }], 'client');
    expect(await onRecord()).toEqual(['nodes-removed-inguinal']);
    expect(state.contradictions.join()).toContain('“no” on the tablet');
    const still = await answer([{ condition: 'nodes-removed-inguinal', answer: 'no' }]);
    expect(await onRecord()).toEqual(['nodes-removed-inguinal']);
    expect(still.contradictions.join()).toMatch(/On the record: .* still so\?/);
  });

  it('takes back a yes of today that was never more than a yes, and nothing else', async () => {
    await answer([{ condition: 'rosacea', answer: 'yes' }]);
    expect(await onRecord()).toContain('rosacea');
    const after = await answer([{ condition: 'rosacea', answer: 'no' }]);
    expect(await onRecord()).not.toContain('rosacea');
    expect(after.contradictions).toEqual([]);
  });

  it('works out the trimester from the due date, and refuses one that fits no pregnancy', async () => {
    const input = await answerIntake(house.db, house.visit, { answers: [], dueOn: '2027-03-10' }, actor);
    expect(input).toMatchObject({ state: { pregnancy: { weeks: 25, days: 0, condition: 'pregnancy-2' } } });
    expect(await answerIntake(house.db, house.visit, { answers: [], dueOn: '2029-03-10' }, actor)).toMatchObject({
      errors: [{ path: 'dueOn' }],
    });
  });

  it('takes a birthday that was missing, so that the rules of age hold; not one after a finding', async () => {
    await house.db.updateTable('client').set({ born_on: null }).execute();
    const before = await readAskState(house.db, house.visit);
    expect(before?.screening.questions.map(({ kind }) => kind)).toContain('age');
    const late = await answerIntake(house.db, house.visit, { answers: [], bornOn: '2024-01-01' }, actor);
    expect(late).toMatchObject({ errors: [{ path: 'bornOn' }] });
    const input = await answerIntake(house.db, house.visit, { answers: [], bornOn: '2012-01-01' }, actor);
    if (input.kind !== 'saved') throw new Error(input.kind);
    expect(decisionOf(input.state, 'thoracic-pump')?.decision).toBe('stop');
    expect(input.state.screening.questions.map(({ kind }) => kind)).not.toContain('age');
  });

  it('recognises classes of medicines in free text', async () => {
    const input = await answerIntake(
      house.db,
      house.visit,
      { answers: [], medicines: 'warfarin 5 mg evenings' },
      actor,
    );
    if (input.kind !== 'saved') throw new Error(input.kind);
    expect(input.state.medicines).toMatchObject([{ name: 'warfarin', conditions: ['anticoagulants'] }]);
  });

  it('is due at the first visit, after half a year away and after a year', async () => {
    expect((await readAsk(house.db, house.visit))?.intakeDue).toBe('first visit');
    await answer([{ condition: 'port', answer: 'no' }]);
    expect((await readAsk(house.db, house.visit))?.intakeDue).toBeNull();
    expect((await readAsk(house.db, await book(house, 400)))?.intakeDue).toContain('last intake');
  });
});

describe('what the day asks for beforehand', () => {
  const tasks = async (mayTreat: boolean) =>
    (await readDay(house.db, now, now, mayTreat)).visits[0]?.tasks.map(({ text }) => text).join(' | ');

  it('names the missing note to those who treat, and only that one is missing to the desk', async () => {
    await addFinding(house.db, house.client, finding({ id: 'heart-failure-treated' }), actor);
    expect(await tasks(true)).toContain('A written note is missing: heart');
    expect(await tasks(false)).toContain('A clearance note is missing');
    expect(await tasks(false)).not.toContain('heart');
  });

  it('gives notice of a note two weeks before it runs out', async () => {
    const placed = await addFinding(house.db, house.client, finding({ id: 'heart-failure-treated' }), actor);
    if (placed.kind !== 'saved') throw new Error(placed.kind);
    const note = {
      date: '2026-09-05',
      modalities: 'all' as const,
      writtenBy: 'Dr Moss',
      words: 'may be treated',
      limits: {},
    };
    await addClearance(house.db, house.client, placed.finding.key, note, actor);
    expect(await tasks(true)).toMatch(/runs out on \d+ \w+ 2026/);
    expect(await tasks(true)).not.toContain('missing');
  });

  it('counts a note of the same year only when the day of the event is known to lie before it', async () => {
    const placed = await addFinding(
      house.db,
      house.client,
      finding({ id: 'heart-failure-treated', sinceOn: '2026' }),
      actor,
    );
    if (placed.kind !== 'saved') throw new Error(placed.kind);
    const note = { date: '2026-11-01', modalities: 'all' as const, writtenBy: 'Dr Moss', words: 'fine', limits: {} };
    const refused = await addClearance(house.db, house.client, placed.finding.key, note, actor);
    expect(refused).toMatchObject({ kind: 'refused', errors: [{ path: 'date' }] });
    await house.db
      .updateTable('finding')
      .set({ since_on: '2026-10-01' })
      .where('id', '=', placed.finding.key)
      .execute();
    const kept = await addClearance(house.db, house.client, placed.finding.key, note, actor);
    expect(kept).toMatchObject({ kind: 'saved', finding: { clearance: { isValid: true } } });
    expect(await tasks(true)).not.toContain('missing');
  });

  it('obeys what a note limits', async () => {
    const placed = await addFinding(house.db, house.client, finding({ id: 'heart-failure-treated' }), actor);
    if (placed.kind !== 'saved') throw new Error(placed.kind);
    const note = {
      date: '2026-11-01',
      modalities: ['lymph-drainage'],
      writtenBy: 'Dr Moss',
      words: 'gently, half an hour',
      limits: { maxMinutes: 30 },
    };
    await addClearance(house.db, house.client, placed.finding.key, note, actor);
    const state = await readAskState(house.db, house.visit);
    const minutes = decisionOf(state, 'lymph-drainage')?.limits.find(({ key }) => key === 'maxMinutes');
    expect(minutes?.words).toContain('30');
    expect(state?.findings.at(-1)?.clearance?.limitWords).toContain('30');
  });
});

describe('overrides', () => {
  it('loosen a limit with a reason in writing, until they are taken back', async () => {
    await answer([{ condition: 'osteoporosis', answer: 'yes' }]);
    const before = decisionOf(await readAskState(house.db, house.visit), 'body-massage');
    const limit = before?.limits.find(({ key, looser }) => key === 'maxPressure' && looser.length > 0);
    expect(limit).toBeDefined();
    const value = limit?.looser[0]?.value ?? null;
    const override = { modality: 'body-massage', key: 'maxPressure', value, reason: '' };
    expect(await makeOverride(house.db, house.visit, override, actor)).toMatchObject({ errors: [{ path: 'reason' }] });
    const made = await makeOverride(
      house.db,
      house.visit,
      { ...override, reason: 'Agreed with her physician.' },
      actor,
    );
    if (made.kind !== 'saved') throw new Error(JSON.stringify(made));
    const [kept] = made.state.screening.overrides;
    expect(kept).toMatchObject({ modality: 'body-massage', by: 'Ida Moor', reason: 'Agreed with her physician.' });
    const back = await takeBackOverride(house.db, house.visit, kept?.key ?? 0, actor);
    expect(back).toMatchObject({ state: { screening: { overrides: [] } } });
    expect((await takeBackOverride(house.db, house.visit, kept?.key ?? 0, actor)).kind).toBe('not-found');
  });

  it('never set aside what may not be', async () => {
    await answerCheck(house.db, house.visit, { answers: { ...allNo, 'fever-today': 'yes' } }, actor);
    for (const modality of ['lymph-drainage', 'hot-stone']) {
      const result = await makeOverride(
        house.db,
        house.visit,
        { modality, key: 'decision', value: 'modify', reason: 'The client insists on it.' },
        actor,
      );
      expect(result).toMatchObject({ kind: 'refused', errors: [{ path: 'key' }] });
    }
  });
});

describe('consent', () => {
  const consent = {
    areas: ['groin' as const],
    signer: 'client' as const,
    name: 'Zoë Ahorn',
    drawing: null,
    language: 'en' as const,
  };

  it('is kept with the version that was read; a new wording asks again', async () => {
    const { version, paragraphs, others } = await readWording(house.db);
    const signed = await signConsent(house.db, house.visit, { ...consent, wordingVersion: version }, actor);
    expect(signed).toMatchObject({ state: { consent: { name: 'Zoë Ahorn', isDue: false } } });
    expect((await saveWording(house.db, { paragraphs: [...paragraphs], others, basedOn: version }, actor)).kind).toBe(
      'refused',
    );
    const next = { paragraphs: [...paragraphs, 'And one more thing.'], others, basedOn: version };
    expect(await saveWording(house.db, next, actor)).toMatchObject({ kind: 'saved', version: version + 1 });
    expect((await saveWording(house.db, next, actor)).kind).toBe('edited-elsewhere');
    expect((await readAskState(house.db, house.visit))?.consent?.isDue).toBe(true);
    expect(await signConsent(house.db, house.visit, { ...consent, wordingVersion: version }, actor)).toMatchObject({
      errors: [{ path: 'wordingVersion' }],
    });
  });

  it('is signed by a guardian for a client under 18', async () => {
    await house.db.updateTable('client').set({ born_on: '2012-01-01' }).execute();
    const { version = 0 } = (await readAsk(house.db, house.visit))?.wording ?? {};
    expect(await signConsent(house.db, house.visit, { ...consent, wordingVersion: version }, actor)).toMatchObject({
      errors: [{ path: 'signer' }],
    });
    const guardian = { ...consent, signer: 'guardian' as const, name: 'Her mother', wordingVersion: version };
    expect((await signConsent(house.db, house.visit, guardian, actor)).kind).toBe('saved');
  });
});

describe('what leaves the therapist’s hands', () => {
  it('gives the tablet questions and wording, and nothing of findings or decisions', async () => {
    await addFinding(house.db, house.client, finding({ id: 'immune-weak', note: 'told in trust' }), actor);
    const text = JSON.stringify(await readTablet(house.db, house.visit));
    expect(text).toContain('Zoë');
    for (const secret of ['told in trust', 'decision', 'Left groin', 'screening', '2023-01-01'])
      expect(text).not.toContain(secret);
  });

  it('refers only what the question is about, in neutral words', async () => {
    await answer([
      { condition: 'dvt-acute', answer: 'yes' },
      { condition: 'breastfeeding', answer: 'yes' },
    ]);
    await answerCheck(house.db, house.visit, { answers: { ...allNo, 'one-sided-swelling': 'yes' } }, actor);
    const referral = await readReferral(house.db, house.visit);
    expect(referral?.observed).toEqual([
      'Has one leg or arm become swollen, painful, warm or discoloured in the last days',
    ]);
    expect(referral?.findings.join()).toContain('clot');
    expect(referral?.findings.join()).not.toContain('breast');
  });
});
