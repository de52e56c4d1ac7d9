import { describe, expect, it } from 'vitest';
import { allNo } from './answers';
import { admit, bookAnyTime, call, clientOf, post, visitOf } from './client';

const wish = { school: {}, minutes: 45, fill: true };

const bookVisit = (clientId: number, focus = ['leg.left'], therapistId = 1) =>
  bookAnyTime({ clientId, focus, therapistId });

async function newClient(name: string): Promise<number> {
  const { body } = await post('/api/clients', { name });
  return body.id;
}

describe('clients', () => {
  it('are found by part of a name, without accents, and by number', async () => {
    await newClient('Zoë Übermut');
    expect((await call('GET', '/api/clients?q=zoe%20uber')).body[0].name).toBe('Zoë Übermut');
    expect((await call('GET', '/api/clients?q=900158')).body[0].name).toBe('Marit Olsvang');
    expect((await call('GET', '/api/clients?q=%25')).body.length).toBeGreaterThan(1);
  });

  it.each([
    ['an empty name', { name: '   ' }, 'name'],
    ['a name of 10,000 characters', { name: 'x'.repeat(10_000) }, 'name'],
    ['a birthday tomorrow year', { name: 'Ada', bornOn: '2999-01-01' }, 'bornOn'],
    ['a birthday that does not exist', { name: 'Ada', bornOn: '2001-02-30' }, 'bornOn'],
    ['a note beyond measure', { name: 'Ada', note: 'x'.repeat(5000) }, 'note'],
  ])('refuse %s at the field', async (_what, input, path) => {
    const { status, body } = await post('/api/clients', input);
    expect([status, body.errors[0].path]).toEqual([400, path]);
  });

  it('keep SQL and script as plain text that is never run', async () => {
    const name = `Robin'); drop table client;-- <script>alert(1)</script>`;
    const id = await newClient(name);
    const { body } = await call('GET', `/clients/${id}`);
    expect(String(body)).not.toContain('<script>alert(1)</script>');
    expect((await call('GET', '/api/clients?q=robin')).body[0].name).toBe(name);
  });

  it('answer 404 for an id that is not there, as a page and as data', async () => {
    expect((await call('GET', '/clients/999999')).status).toBe(404);
    expect((await call('GET', '/api/visits/999999')).status).toBe(404);
    expect((await call('GET', '/api/visits/abc')).status).toBe(404);
  });
});

describe('findings', () => {
  it('are placed, refused without a place or against another, and ended', async () => {
    const id = await newClient('Finja Test');
    const placed = await post(`/api/clients/${id}/findings`, {
      id: 'nodes-removed-axillary',
      side: 'left',
      sinceOn: '2024-01-02',
    });
    expect(placed.status).toBe(200);
    const errors = async (body: object) =>
      (await post(`/api/clients/${id}/findings`, body)).body.errors.map((e: { path: string }) => e.path);
    expect(await errors({ id: 'port' })).toEqual(['regions']);
    expect(await errors({ id: 'nodes-sentinel-axillary', side: 'both' })).toEqual(['']);
    expect(await errors({ id: 'port', regions: ['chest-upper.left'], sinceOn: '2999-01-01' })).toEqual(['sinceOn']);
    expect((await call('DELETE', `/api/clients/${id}/findings/${placed.body.finding.key}`)).status).toBe(200);
    expect((await call('DELETE', `/api/clients/${id}/findings/${placed.body.finding.key}`)).status).toBe(404);
  });
});

describe('a visit', () => {
  it('is stopped by a red flag and opened again by a corrected answer', async () => {
    const id = await bookVisit(await newClient('Stopp Test'));
    expect((await post(`/api/visits/${id}/check`, { answers: { 'fever-today': 'yes' } })).body.state.stage).toBe(
      'stopped',
    );
    expect((await post(`/api/visits/${id}/plan`, { ...wish, basedOn: 0 })).status).toBe(400);
    expect((await post(`/api/visits/${id}/check`, { answers: allNo })).body.state.stage).toBe('measure');
    expect((await post(`/api/visits/${id}/check`, { answers: { 'fever-today': 'maybe' } })).status).toBe(400);
  });

  it('refuses a tape value of 3000 cm and keeps raw girths in versions', async () => {
    const id = await bookVisit(await newClient('Tape Test'));
    const taping = {
      phase: 'before',
      limb: 'leg',
      side: 'left',
      unit: 'cm',
      method: 'frustum',
      positions: [0, 4, 8],
      affected: [22, 24, 26],
      reference: [21, 23, 25],
      basedOn: 0,
    };
    const absurd = await post(`/api/visits/${id}/taping`, { ...taping, affected: [22, 3000, 26] });
    expect([absurd.status, absurd.body.errors[0].path]).toEqual([400, 'affected.1']);
    const first = await post(`/api/visits/${id}/taping`, taping);
    expect(first.body.taping.volume.excessMl).toBeGreaterThan(10);
    const stale = await post(`/api/visits/${id}/taping`, { ...taping, affected: [1, 2, 3] });
    expect([stale.status, stale.type]).toEqual([409, 'application/problem+json']);
    expect((await post(`/api/visits/${id}/taping`, { ...taping, basedOn: 1 })).body.taping.version).toBe(2);
  });

  it('does not let two tabs overwrite one plan', async () => {
    const client = await newClient('Zwei Tabs');
    await post(`/api/clients/${client}/findings`, {
      id: 'nodes-removed-inguinal',
      side: 'left',
      sinceOn: '2023-06',
    });
    const id = await bookVisit(client);
    await post(`/api/visits/${id}/check`, { answers: allNo });
    const made = await post(`/api/visits/${id}/plan`, { ...wish, basedOn: 0 });
    const order = made.body.plan.steps.map((s: { id: string }) => s.id);
    const one = await post(`/api/visits/${id}/course`, { order: [...order].reverse(), basedOn: 1 });
    const other = await post(`/api/visits/${id}/course`, { order, basedOn: 1 });
    expect([one.status, other.status]).toEqual([200, 409]);
    expect((await post(`/api/visits/${id}/course`, { order: [...order, 's999'], basedOn: 2 })).status).toBe(400);
    expect((await post(`/api/visits/${id}/plan`, { ...wish, minutes: 0, basedOn: 2 })).body.errors[0].path).toBe(
      'minutes',
    );
  });

  it('starts at the table only with a sound plan or a written reason, and keeps each event once', async () => {
    const id = await bookVisit(await newClient('Tisch Test'), ['face']);
    const start = {
      deviceId: 'some-device',
      events: [{ id: 'event-0001', kind: 'start', stepId: 's1', at: '2026-11-20T09:10:00.000Z', planVersion: 1 }],
    };
    expect((await post(`/api/visits/${id}/events`, start)).status).toBe(400);
    await post(`/api/visits/${id}/plan`, { ...wish, basedOn: 0 });
    // Nothing asked, no consent: no start, whatever the address.
    expect((await post(`/api/visits/${id}/events`, start)).body.errors[0].message).toContain('the full intake');
    await admit(id);
    const made = await post(`/api/visits/${id}/plan`, { ...wish, basedOn: 1 });
    const order = made.body.plan.steps.map((s: { id: string }) => s.id).reverse();
    await post(`/api/visits/${id}/course`, { order, basedOn: 2 });
    expect((await post(`/api/visits/${id}/events`, start)).body.errors[0].path).toBe('reason');
    await post(`/api/visits/${id}/course`, { order, basedOn: 3, reason: 'Tried the other way round on purpose.' });
    expect((await post(`/api/visits/${id}/events`, start)).body).toMatchObject({ stored: 1, isAside: false });
    expect((await post(`/api/visits/${id}/events`, start)).body).toMatchObject({ stored: 0, isAside: false });
    expect((await post(`/api/visits/${id}/plan`, { ...wish, basedOn: 4 })).body.errors[0].message).toContain(
      'has begun',
    );
  });

  it('refers rerouting for a therapist without the qualification, until it is handed over', async () => {
    const client = await newClient('Übergabe Test');
    await post(`/api/clients/${client}/findings`, {
      id: 'nodes-removed-inguinal',
      side: 'left',
      sinceOn: '2023-06',
    });
    const id = await bookVisit(client, ['leg.left'], 2);
    await post(`/api/visits/${id}/check`, { answers: allNo });
    expect((await post(`/api/visits/${id}/plan`, { ...wish, basedOn: 0 })).body.plan.plan.decision).toBe('refer');
    await post(`/api/visits/${id}/handover`, { therapistId: 1 });
    expect((await post(`/api/visits/${id}/plan`, { ...wish, basedOn: 1 })).body.plan.plan.decision).toBe('modify');
  });

  it('closes with feedback that is kept in versions', async () => {
    const id = await visitOf('Liv Sandoval');
    const closing = { pressure: 0, comfort: 9, redness: 0, note: '<b>fine</b>', basedOn: 0 };
    expect((await post(`/api/visits/${id}/closing`, { ...closing, comfort: 11 })).body.errors[0].path).toBe('comfort');
    expect((await post(`/api/visits/${id}/closing`, closing)).status).toBe(200);
    expect((await post(`/api/visits/${id}/closing`, closing)).status).toBe(409);
    await post(`/api/visits/${id}/finish`, {});
    expect((await call('GET', `/api/visits/${id}`)).body).toMatchObject({
      stage: 'done',
      closing: { note: '<b>fine</b>' },
    });
  });

  it('is booked only for what exists', async () => {
    const { status, body } = await post('/api/visits', {
      clientId: 999999,
      therapistId: 77,
      startsAt: '2026-11-20T09:00:00.000Z',
      minutes: 0,
      focus: [],
      purpose: 'fun',
    });
    expect(status).toBe(400);
    expect(body.errors.map((e: { path: string }) => e.path)).toEqual(
      expect.arrayContaining(['minutes', 'focus', 'purpose']),
    );
    const unknown = await post('/api/visits', {
      clientId: 999999,
      therapistId: 77,
      startsAt: '2026-11-20T09:00:00.000Z',
      minutes: 30,
      focus: ['tail.left'],
      purpose: 'wellness',
    });
    expect(unknown.body.errors.map((e: { path: string }) => e.path)).toEqual(['focus.0', 'clientId', 'therapistId']);
  });
});

describe('pages', () => {
  it('come with the guards that a browser honours', async () => {
    const { headers } = await call('GET', '/');
    const policy = headers.get('content-security-policy') ?? '';
    expect(policy).toContain("default-src 'self'");
    expect(/script-src ([^;]+)/.exec(policy)?.[1]).not.toContain('unsafe');
    expect(policy).toContain("frame-ancestors 'none'");
    expect(headers.get('x-content-type-options')).toBe('nosniff');
  });

  it('show the client’s history', async () => {
    const { body } = await call('GET', `/clients/${await clientOf('Marit')}`);
    expect(String(body)).toContain('On the body');
    expect(String(body)).toContain('excessMl');
  });
});

describe('a row of visits', () => {
  it('loses only the visit that is cancelled, unless the later ones are meant too', async () => {
    const clientId = (await post('/api/clients', { name: 'Reihe Rosa' })).body.id;
    const from = new Date(Date.now() + 400 * 86_400_000);
    from.setUTCHours(9, 0, 0, 0);
    // The house is closed on Sundays.
    if (from.getUTCDay() === 0) from.setUTCDate(from.getUTCDate() + 1);
    const booked = await post('/api/visits', {
      ...{ clientId, therapistId: 2, startsAt: from.toISOString(), minutes: 30 },
      ...{ focus: ['face'], purpose: 'wellness', repeat: { everyDays: 7, times: 4 } },
    });
    const [first, second] = booked.body.ids as number[];
    const cancel = async (id: number | undefined, query = '') =>
      (await call('DELETE', `/api/visits/${id}/booking${query}`)).body.cancelled as number;
    expect(booked.body.ids).toHaveLength(4);
    expect(await cancel(first)).toBe(1);
    // A name with nothing behind it is a no.
    expect(await cancel(second, '?following=')).toBe(1);
    expect(await cancel(booked.body.ids[2], '?following=1')).toBe(2);
  });
});
