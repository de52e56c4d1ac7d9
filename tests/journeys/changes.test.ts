import { beforeAll, describe, expect, it } from 'vitest';
import { admit, bookAnyTime, call, post } from '../api/client';
import { control, go, gone, words } from './browser';
import { ownHouse } from './own-house';

interface Step {
  readonly id: string;
  readonly kind: string;
  readonly place: string;
}

/** What was measured before and after, what hands found, and what the next visit makes of it. */
describe('before, after and the next time', () => {
  const house = ownHouse('changes');
  let client: number;
  let first: number;
  let next: number;
  let marked: Step;
  const observe = (phase: 'before' | 'after', kind: string, place: string | null, value: object) =>
    post(`/api/visits/${first}/observations`, { phase, kind, place, value, replaces: null });

  beforeAll(async () => {
    client = (await post('/api/clients', { name: 'Merkmal Alt' })).body.id;
    const booked = await Promise.all(
      [0, 1].map(async () => {
        const id = await bookAnyTime({ clientId: client, therapistId: 1, focus: ['leg.left'] });
        return { id, startsAt: String((await call('GET', `/api/visits/${id}`)).body.startsAt) };
      }),
    );
    const [earlier, later] = booked.toSorted((a, b) => a.startsAt.localeCompare(b.startsAt));
    [first, next] = [earlier?.id ?? 0, later?.id ?? 0];
    await admit(first);
    const { plan } = (await post(`/api/visits/${first}/first-plan`, undefined)).body;
    const steps = (plan.steps ?? plan.plan.steps) as readonly Step[];
    marked = steps.find(({ kind }) => kind === 'drain') as Step;
    const at = new Date().toISOString();
    const event = (kind: string, more: object) => ({ id: crypto.randomUUID(), kind, at, planVersion: 1, ...more });
    await post(`/api/visits/${first}/events`, {
      deviceId: 'device-of-changes',
      events: [
        event('start', { stepId: marked.id }),
        event('mark', { stepId: marked.id, mark: 'tender' }),
        event('end', { stepId: marked.id }),
        event('finish', { stepId: null }),
      ],
    });
    await observe('before', 'texture', 'calf-upper.left', { texture: 'firm' });
    await observe('after', 'texture', 'calf-upper.left', { texture: 'soft' });
    const scores = { tightness: 6, heaviness: 7, pain: 0, movement: 4, calfPain: null };
    await observe('before', 'scores', null, scores);
    await observe('after', 'scores', null, { ...scores, heaviness: 3, tightness: 5 });
    const neck = { flexion: 50, extension: 40, turnLeft: 45, turnRight: 70, bendLeft: 30, bendRight: 35 };
    await observe('before', 'neck-range', null, neck);
    await observe('after', 'neck-range', null, { ...neck, turnLeft: 66, bendLeft: 36 });
  }, 120_000);

  it('says at the end of a visit what each measure gained, and whether that is beyond its error', async () => {
    await go(house.page, `${house.url}/visits/${first}/close`);
    const rows = await house.page.$$eval('[aria-label="Before and after"] dl > div', (all) =>
      all.map((row) => row.innerText.replace(/\s+/g, ' ').trim()),
    );
    expect(rows.find((row) => row.startsWith('heavy'))).toBe('heavy 7 of 10 → 3 of 10 better, beyond measuring error');
    expect(rows.find((row) => row.startsWith('tight'))).toContain('within measuring error');
    expect(rows.find((row) => row.startsWith('firmness'))).toContain('firm → soft better, beyond measuring error');
    expect(rows.find((row) => row.startsWith('neck turns left'))).toContain('45° → 66° better, beyond');
    expect(rows.find((row) => row.startsWith('neck tilts left'))).toContain('within measuring error');
    expect(rows.find((row) => row.startsWith('neck turns right'))).toContain('the same');
  });

  it('draws the neck, one side against the other', async () => {
    const dials = await house.page.$$eval('figure svg[role="img"]', (all) => all.map((one) => one.ariaLabel));
    expect(dials).toEqual([
      'Neck turns: left 45° before, 66° after; right 70° before, 70° after',
      'Neck tilts: left 30° before, 36° after; right 35° before, 35° after',
      'Neck bends: back 40° before, 40° after; forward 50° before, 50° after',
    ]);
  });

  it('asks for the tape only where the tape belongs to the visit', async () => {
    await words(house.page, 'Nothing was taped before the work');
    const face = await bookAnyTime({ clientId: client, therapistId: 1, focus: ['face'], purpose: 'wellness' });
    await admit(face);
    await go(house.page, `${house.url}/visits/${face}/close`);
    await words(house.page, 'Measured again');
    await gone(house.page, 'Nothing was taped before the work');
  });

  it('remembers at the next visit what was found at the same step', async () => {
    const version = (await call('GET', `/api/visits/${first}`)).body.closing?.version ?? 0;
    await post(`/api/visits/${first}/closing`, { pressure: 0, comfort: 8, redness: 0, note: '', basedOn: version });
    expect((await post(`/api/visits/${first}/finish`, undefined)).status).toBe(200);
    await admit(next);
    await go(house.page, `${house.url}/visits/${next}/plan`);
    await words(house.page, 'last time tender');
    const { remembered } = (await call('GET', `/api/visits/${next}`)).body;
    expect(remembered).toContainEqual(
      expect.objectContaining({ kind: 'tender', place: marked.place, words: '1 of 1 visit', wasLastTime: true }),
    );
  });

  it('offers to soften what was firm, and does it by one press', async () => {
    await words(house.page, 'soften it before it is drained?');
    await control(house.page, 'button', 'Soften it').click();
    await gone(house.page, 'soften it before it is drained?');
    const soften = async () =>
      ((await call('GET', `/api/visits/${next}`)).body.plan.steps as readonly Step[]).some(
        ({ kind, place }) => kind === 'soften' && place === 'calf-upper.left',
      );
    await expect.poll(soften).toBe(true);
  });

  it('keeps the picture on the client’s progress, with what held', async () => {
    await go(house.page, `${house.url}/clients/${client}/progress`);
    await words(house.page, 'Before and after, visit by visit');
    await words(house.page, 'What hands found');
    await words(house.page, '1 of 1 visit');
    const heads = await house.page.$$eval('[aria-label="Before and after, visit by visit"] thead th', (all) =>
      all.map((one) => one.textContent),
    );
    expect(heads).toEqual(['What', 'Last taken before and after', 'Gained', 'Held', 'Before each visit']);
  });
});
