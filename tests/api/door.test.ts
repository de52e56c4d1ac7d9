import { appUrl } from '../app-url';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { type Served, signInDemo, startServer } from '../../scripts/served.mjs';
import { allRoutes } from '../../src/contracts/routes';
import { pages } from '../../src/contracts/routes/pages';
import { mayUse } from '../../src/server/auth/policy';
import { bookAnyTime, call, dayPath, people, type Person, post } from './client';

const everybody: readonly (Person | 'nobody')[] = ['nobody', 'assistant', 'therapist', 'owner'];
/** Of nothing that there is, so that what is allowed changes nothing. */
const sample = (pattern: string) => pattern.replace(/\{(visit|id|key)\}/g, '999999').replace(/\{\w+\}/g, 'x');
/** Signing out and locking would end the sessions that the other tests use. */
const endsSessions = (at: string, method: string) =>
  /^\/api\/session\/(lock|unlock|hand|pin)$/.test(at) || (at === '/api/session' && method === 'DELETE');

const matrix = [...pages.map((page) => ({ ...page, method: 'get' as const })), ...allRoutes]
  .flatMap(({ path: at, method }) =>
    everybody.map((who) => ({ at: sample(at), method: method.toUpperCase() as Uppercase<typeof method>, who })),
  )
  .filter(({ at, method }) => !endsSessions(at, method));

const owner = { role: 'owner', isHouseSetUp: true, isProved: true } as const;
const typeOf = (text: string): unknown => (JSON.parse(text) as { readonly type?: unknown }).type;

/** A session of its own, with what it gets when it asks. */
async function session(person: Person, base = appUrl()) {
  const cookie = `velvet-stone=${await signInDemo(base, people[person])}`;
  return async (method: string, at: string, body?: unknown) => {
    const response = await fetch(`${base}${at}`, {
      method,
      redirect: 'manual',
      headers: { origin: base, cookie, 'content-type': 'application/json' },
      ...(body === undefined ? {} : { body: JSON.stringify(body) }),
    });
    return { status: response.status, location: response.headers.get('location') ?? '', text: await response.text() };
  };
}

describe('every role at every endpoint', () => {
  it.each(matrix)('$method $at as $who', async ({ at, method, who }) => {
    const { status, headers } = await call(method, at, method === 'GET' ? undefined : {}, undefined, who);
    const verdict = mayUse(method, at, {
      role: who === 'nobody' ? undefined : who,
      isLocked: false,
      handedVisitId: null,
      isHouseSetUp: true,
      isProved: true,
    });
    const isPage = !at.startsWith('/api/');
    if (verdict === 'allowed') expect([401, 403, 423]).not.toContain(at === '/api/session/demo' ? 400 : status);
    else if (isPage)
      expect([status, headers.get('location')]).toEqual([
        302,
        verdict === 'sign-in' ? `/sign-in?then=${encodeURIComponent(at)}` : '/problems/forbidden',
      ]);
    else expect(status).toBe(verdict === 'sign-in' ? 401 : 403);
  });
});

describe('every door to a session that is shut in some way', () => {
  const visitId = 1;
  type Shut = 'locked' | 'handed';
  const states: Readonly<Record<Shut, { readonly isLocked: boolean; readonly handedVisitId: number | null }>> = {
    locked: { isLocked: true, handedVisitId: null },
    handed: { isLocked: false, handedVisitId: visitId },
  };
  const asking = new Map<Shut, Awaited<ReturnType<typeof session>>>();
  beforeAll(async () => {
    for (const shut of ['locked', 'handed'] as const) {
      const mine = await session('owner');
      const done = await (shut === 'locked'
        ? mine('POST', '/api/session/lock')
        : mine('POST', '/api/session/hand', { visitId }));
      expect(done.status).toBe(200);
      asking.set(shut, mine);
    }
  });
  const doors = [...pages.map((page) => ({ ...page, method: 'get' as const })), ...allRoutes].map(
    ({ path: at, method }) => ({ at: sample(at), method: method.toUpperCase() }),
  );
  const shutDoors = (['locked', 'handed'] as const).flatMap((shut) =>
    doors
      .map((door) => ({ ...door, shut, verdict: mayUse(door.method, door.at, { ...states[shut], ...owner }) }))
      .filter(({ verdict }) => verdict !== 'allowed' && verdict !== 'forbidden'),
  );

  it.each(shutDoors)('$method $at while $shut', async ({ at, method, shut, verdict }) => {
    const answer = await asking.get(shut)?.(method, at, method === 'GET' ? undefined : {});
    expect(verdict).toBe(shut);
    if (at.startsWith('/api/'))
      expect([answer?.status, answer && typeOf(answer.text)]).toEqual([423, `/problems/${shut}`]);
    else
      expect([answer?.status, answer?.location]).toEqual([
        302,
        shut === 'locked' ? `/locked?then=${encodeURIComponent(at)}` : `/tablet/${visitId}`,
      ]);
  });

  it('are nearly all of them', () => {
    expect(shutDoors.length).toBeGreaterThan(1.7 * doors.length - 60);
  });
});

describe('what cannot be taken back, or leaves the house', () => {
  it('asks for the PIN again, and once it was given leaves five minutes', async () => {
    const mine = await session('owner');
    const client = (await post('/api/clients', { name: 'Pia Probe' })).body.id;
    const asked = await mine('GET', `/api/clients/${client}/export`);
    expect([asked.status, JSON.parse(asked.text).type]).toEqual([403, '/problems/prove']);
    expect((await mine('POST', '/api/session/prove', { pin: '0000' })).status).toBe(403);
    expect((await mine('DELETE', `/api/clients/${client}?name=Pia%20Probe`)).status).toBe(403);
    expect((await mine('POST', '/api/session/prove', { pin: '2719' })).status).toBe(200);
    expect((await mine('GET', `/api/clients/${client}/export`)).status).toBe(200);
    expect((await mine('DELETE', `/api/clients/${client}?name=Pia%20Probe`)).status).toBe(200);
  });

  it('is every route that says so, and those that should', () => {
    const asking = allRoutes.filter((route) => 'asksPin' in route).map(({ method, path: at }) => `${method} ${at}`);
    for (const at of [
      'delete /api/clients/{id}',
      'post /api/clients/{id}/merge',
      'get /api/clients/{id}/export',
      'post /api/staff',
      'put /api/staff/{id}',
    ])
      expect(asking).toContain(at);
  });
});

describe('one’s devices', () => {
  it('are signed out from another one', async () => {
    const [here, there] = [await session('therapist'), await session('therapist')];
    const devices = JSON.parse((await here('GET', '/api/session/devices')).text) as readonly {
      readonly name: string;
      readonly isThis: boolean;
    }[];
    expect(devices.filter(({ isThis }) => isThis)).toHaveLength(1);
    const theirs = JSON.parse((await there('GET', '/api/session/devices')).text) as typeof devices;
    const other = theirs.find(({ isThis }) => isThis)?.name ?? '';
    expect((await here('DELETE', `/api/session/devices/${other}`)).status).toBe(200);
    expect((await there('GET', '/api/clients')).status).toBe(401);
    expect((await here('GET', '/api/clients')).status).toBe(200);
  });
});

describe('what comes before the house', () => {
  const ask = (at: string, init: RequestInit = {}) => fetch(`${appUrl()}${at}`, { redirect: 'manual', ...init });

  it('nothing that the house knows is kept by browsers', async () => {
    for (const at of ['/', '/clients', '/api/clients', '/api/day', '/sign-in'])
      expect((await call('GET', at)).headers.get('cache-control'), at).toContain('no-store');
  });

  it('files come with the same guards as pages', async () => {
    for (const at of ['/favicon.svg', '/theme.js', '/fresh.js']) {
      const { status, headers } = await ask(at);
      expect([status, headers.get('x-content-type-options'), headers.get('x-frame-options')], at).toEqual([
        200,
        'nosniff',
        'DENY',
      ]);
    }
  });

  it('answers 405 with what an address takes', async () => {
    for (const [at, allow] of [
      ['/api/clients', 'GET, POST'],
      ['/clients', 'GET'],
    ] as const) {
      const response = await ask(at, { method: 'PATCH', headers: { origin: appUrl() } });
      expect([response.status, response.headers.get('allow')], at).toEqual([405, allow]);
    }
  });

  it('does not know what every object has', async () => {
    for (const name of ['__proto__', 'constructor', 'toString'])
      expect((await ask(`/problems/${name}`)).status, name).toBe(404);
  });

  it('refuses plain text, which other sites can make a browser send', async () => {
    const headers = { 'content-type': 'text/plain', origin: appUrl() };
    expect((await ask('/api/compute/sequence', { method: 'POST', headers, body: '{"blocks":[]}' })).status).toBe(415);
  });

  it('stops reading at the limit, however much is sent', async () => {
    const piece = new Uint8Array(1_000_000);
    let sent = 0;
    const body = new ReadableStream({
      pull(controller) {
        sent += 1;
        if (sent > 300) controller.close();
        else controller.enqueue(piece);
      },
    });
    const init = { method: 'POST', headers: { 'content-type': 'application/json' }, body, duplex: 'half' };
    const status = await ask('/api/compute/sequence', init as RequestInit).then(
      (response) => response.status,
      () => 'cut',
    );
    expect([413, 'cut']).toContain(status);
    expect(sent).toBeLessThan(60);
  });

  it('is told to come by TLS where a proxy says that it did', async () => {
    const { headers } = await ask('/sign-in', { headers: { 'x-forwarded-proto': 'https' } });
    expect(headers.get('strict-transport-security')).toMatch(/max-age=\d+/);
    expect((await ask('/sign-in')).headers.get('strict-transport-security')).toBeNull();
  });
});

describe('the front desk', () => {
  it('sees on the day who comes, and nothing of what was found or measured', async () => {
    const day = String((await call('GET', dayPath(), undefined, undefined, 'assistant')).body);
    expect(day).toContain('Marit Olsvang');
    for (const secret of ['nodes removed', 'mL over', 'Loose ends', '/visits/']) expect(day).not.toContain(secret);
    expect(String((await call('GET', dayPath())).body)).toContain('nodes removed');
  });

  it('reads and changes how to reach a client, and nothing of the treatment', async () => {
    const made = await post('/api/clients', { name: 'Tresen Test', note: 'very private', medicines: 'heparin' });
    const id = made.body.id;
    const page = String((await call('GET', `/clients/${id}`, undefined, undefined, 'assistant')).body);
    expect(page).toContain('Tresen Test');
    for (const secret of ['very private', 'heparin', 'On the body']) expect(page).not.toContain(secret);
    const change = { name: 'Tresen Test', phone: '0700 55', note: 'overwritten', basedOn: 1 };
    const saved = await call('PUT', `/api/clients/${id}`, change, undefined, 'assistant');
    expect([saved.status, JSON.stringify(saved.body)]).toEqual([200, expect.not.stringContaining('very private')]);
    const late = await call('PUT', `/api/clients/${id}`, change, undefined, 'assistant');
    expect([late.status, late.body.theirs.phone, late.body.theirs.note]).toEqual([409, '0700 55', '']);
    const kept = await call('PUT', `/api/clients/${id}`, { ...change, note: 'seen by us', basedOn: 1 });
    expect(kept.body.theirs).toMatchObject({ note: 'very private', medicines: 'heparin', phone: '0700 55' });
  });
});

describe('a request from elsewhere', () => {
  const send = async (headers: Record<string, string>) => {
    const cookie = `velvet-stone=${await signInDemo(appUrl(), people.owner)}`;
    const response = await fetch(`${appUrl()}/api/clients`, {
      method: 'POST',
      headers: { cookie, 'content-type': 'application/json', ...headers },
      body: JSON.stringify({ name: 'Foreign' }),
    });
    return response.status;
  };

  it('changes nothing, whatever it calls itself', async () => {
    expect(await send({ origin: 'https://other.example' })).toBe(403);
    expect(await send({ origin: 'null' })).toBe(403);
    expect(await send({})).toBe(403);
    expect(await send({ origin: appUrl(), 'sec-fetch-site': 'cross-site' })).toBe(403);
    expect(await send({ origin: appUrl() })).toBe(201);
  });
});

describe('the session of a browser', () => {
  it('lives in a cookie that no script reads and no other site sends', async () => {
    const response = await fetch(`${appUrl()}/api/session/demo`, {
      method: 'POST',
      headers: { origin: appUrl(), 'content-type': 'application/json' },
      body: JSON.stringify({ staffId: 1 }),
    });
    expect(response.headers.get('set-cookie')).toMatch(/HttpOnly/);
    expect(response.headers.get('set-cookie')).toMatch(/SameSite=(Strict|Lax)/);
  });

  it('is locked, opens with the PIN, and ends when it is signed out', async () => {
    const mine = await session('therapist');
    expect((await mine('POST', '/api/session/lock')).status).toBe(200);
    expect((await mine('GET', '/api/clients')).status).toBe(423);
    expect((await mine('GET', '/clients')).location).toContain('/locked');
    expect((await mine('POST', '/api/session/unlock', { pin: '0000' })).status).not.toBe(200);
    expect((await mine('GET', '/api/clients')).status).toBe(423);
    expect((await mine('POST', '/api/session/unlock', { pin: '2719' })).status).toBe(200);
    expect((await mine('GET', '/api/clients')).status).toBe(200);
    expect((await mine('DELETE', '/api/session')).status).toBe(200);
    expect((await mine('GET', '/api/clients')).status).toBe(401);
  });

  it('gives a client nothing but their own questions while the tablet is handed over', async () => {
    const client = (await post('/api/clients', { name: 'Tafel Test' })).body.id;
    const visit = await bookAnyTime({ clientId: client });
    const mine = await session('therapist');
    expect((await mine('POST', '/api/session/hand', { visitId: 999999 })).status).toBe(404);
    expect((await mine('POST', '/api/session/hand', { visitId: visit })).status).toBe(200);
    for (const at of [
      '/api/clients',
      `/api/visits/${visit}`,
      `/api/visits/${visit}/ask`,
      `/api/clients/${client}/export`,
    ])
      expect((await mine('GET', at)).status, at).toBe(423);
    expect((await mine('GET', `/clients/${client}`)).location).toBe(`/tablet/${visit}`);
    expect((await mine('POST', '/api/session/demo', { staffId: 1 })).status).toBe(423);
    expect((await mine('POST', `/api/tablet/${visit + 1}`, { answers: [] })).status).toBe(423);
    const answered = await mine('POST', `/api/tablet/${visit}`, { answers: [{ condition: 'port', answer: 'yes' }] });
    expect(JSON.parse(answered.text)).toEqual({ kind: 'saved', intake: { port: 'yes' } });
    expect((await mine('GET', `/tablet/${visit}`)).text).not.toContain('Port or tunnelled');
    await mine('POST', '/api/session/unlock', { pin: '2719' });
    expect((await mine('GET', `/api/visits/${visit}`)).status).toBe(200);
  });
});

describe('a house that is no demo', () => {
  const data = mkdtempSync(path.join(tmpdir(), 'velvet-stone-door-'));
  let server: Served;
  beforeAll(async () => {
    server = await startServer({ data, demo: false });
  });
  afterAll(async () => {
    await server.stop();
    rmSync(data, { recursive: true, force: true });
  });
  const send = async (at: string, body: unknown, cookie = '') => {
    const response = await fetch(`${server.url}${at}`, {
      method: 'POST',
      headers: { origin: server.url, 'content-type': 'application/json', ...(cookie ? { cookie } : {}) },
      body: JSON.stringify(body),
    });
    return {
      status: response.status,
      cookie: /velvet-stone=[^;]+/.exec(response.headers.get('set-cookie') ?? '')?.[0] ?? '',
      body: (await response.json()) as { title?: string },
    };
  };

  it('is set up once, signs its owner in by password, and slows guessing down', async () => {
    const owner = { login: 'ida', password: 'three wet pebbles' };
    const house = { name: 'Haus am Bach', therapistName: 'Ida Moor', ...owner, pin: '2719', qualifications: [] };
    expect((await send('/api/house', { ...house, password: 'short' })).status).toBe(400);
    expect((await send('/api/house', house)).status).toBe(200);
    expect((await send('/api/house', house)).status).toBe(403);
    expect((await send('/api/session/demo', { staffId: 1 })).status).toBe(403);
    const signedIn = await send('/api/session', owner);
    expect([signedIn.status, signedIn.cookie]).toEqual([200, expect.stringMatching(/.{30}/)]);
    expect((await send('/api/clients', { name: 'Ada' }, signedIn.cookie)).status).toBe(201);
    expect((await send('/api/clients', { name: 'Ada' }, 'velvet-stone=made-up')).status).toBe(401);
    const tries = [];
    for (let i = 0; i < 4; i += 1) tries.push((await send('/api/session', { ...owner, password: 'wrong' })).status);
    expect(tries).toEqual([401, 401, 429, 429]);
    expect((await send('/api/session', owner)).body.title).toMatch(/wait \d+ seconds/);
  });
});
