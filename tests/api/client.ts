import process from 'node:process';
import { appUrl } from '../app-url';
import { signInDemo } from '../../scripts/served.mjs';
import { seededRandom } from '../../src/core/random';
import { screeningBook } from '../../src/catalogue/screening/screening';
import { houseDay } from '../clock/test-day';
import { allNo } from './answers';

export interface Answer {
  readonly status: number;
  readonly type: string;
  readonly headers: Headers;
  // The shape is what each test is about.
  // eslint-disable-next-line @typescript-eslint/no-explicit-any
  readonly body: any;
}

/** The people of the demo house. */
export const people = { owner: 1, therapist: 2, assistant: 3 } as const;
export type Person = keyof typeof people;

const cookies = new Map<string, Promise<string>>();

/** One session a person and server, kept for all tests of a file. */
function cookieOf(base: string, person: Person): Promise<string> {
  const key = `${base} ${person}`;
  const known = cookies.get(key) ?? signInDemo(base, people[person]);
  cookies.set(key, known);
  return known;
}

/** The PIN of everybody in the demo house. */
const demoPin = '2719';

/** Calls the server as one of its people; `nobody` brings no cookie. Where the PIN is asked for again, it is given. */
export async function call(
  method: string,
  path: string,
  body?: unknown,
  base: string = appUrl(),
  as: Person | 'nobody' = 'owner',
): Promise<Answer> {
  const answer = await callOnce(method, path, body, base, as);
  if (answer.body?.type !== '/problems/prove') return answer;
  await callOnce('POST', '/api/session/prove', { pin: demoPin }, base, as);
  return callOnce(method, path, body, base, as);
}

async function callOnce(
  method: string,
  path: string,
  body: unknown,
  base: string,
  as: Person | 'nobody',
): Promise<Answer> {
  const isBytes = body instanceof Uint8Array;
  const response = await fetch(`${base}${path}`, {
    method,
    redirect: 'manual',
    headers: {
      origin: base,
      ...(as === 'nobody' ? {} : { cookie: `velvet-stone=${await cookieOf(base, as)}` }),
      ...(body === undefined ? {} : { 'content-type': isBytes ? 'application/octet-stream' : 'application/json' }),
    },
    ...(body === undefined
      ? {}
      : { body: typeof body === 'string' || isBytes ? (body as BodyInit) : JSON.stringify(body) }),
  });
  const text = await response.text();
  let parsed: unknown = text;
  try {
    parsed = JSON.parse(text);
  } catch {
    // Pages answer with HTML.
  }
  return {
    status: response.status,
    type: response.headers.get('content-type') ?? '',
    headers: response.headers,
    body: parsed,
  };
}

export const post = (path: string, body: unknown, base?: string) => call('POST', path, body, base);

/** The day page of the day on which the house begins. */
export const dayPath = () => `/?day=${houseDay(process.env)}`;

/** The id of a demo client's visit of that day. */
export async function visitOf(name: string, base?: string): Promise<number> {
  const day = await call('GET', dayPath(), undefined, base);
  const match = new RegExp(`href="/visits/(\\d+)/\\w+"[^>]*>${name}`).exec(String(day.body));
  if (!match) throw new Error(`no visit of ${name} today`);
  return Number(match[1]);
}

export async function clientOf(name: string, base?: string): Promise<number> {
  const found = await call('GET', `/api/clients?q=${encodeURIComponent(name)}`, undefined, base);
  return found.body[0].id;
}

interface Booking {
  readonly clientId: number;
  readonly focus?: readonly string[];
  readonly purpose?: string;
  readonly therapistId?: number;
}

const seed = Number(process.env['VELVET_STONE_SEED'] ?? 20_260_101);
const seeded = seededRandom(seed + 7919 * Number(process.env['VITEST_POOL_ID'] ?? 1));

/** Books a visit at any free time of the coming year; files that run beside each other share one house. */
export async function bookAnyTime(input: Booking, base?: string): Promise<number> {
  for (let tries = 0; tries < 50; tries += 1) {
    const startsAt = new Date(Date.now() + Math.floor(seeded() * 365 * 24 * 4) * 900_000).toISOString();
    const wish = { therapistId: 1, focus: ['leg.left'], purpose: 'swelling', ...input, startsAt, minutes: 45 };
    const { status, body } = await post('/api/visits', wish, base);
    if (status < 300) return body.id;
    if (body.errors?.[0]?.path !== 'startsAt') throw new Error(JSON.stringify(body));
  }
  throw new Error('no free time in a year');
}

const intakeAnswers = [...screeningBook.conditions.values()]
  .filter(({ askAt }) => askAt.includes('intake'))
  .map(({ id }) => ({ condition: id, answer: 'no' }));

/** All that has to be there before a first visit begins at the table: the full intake, consent and the check. */
export async function admit(visit: number, base?: string): Promise<void> {
  // The first look at the consultation keeps the house's wording.
  await call('GET', `/visits/${visit}/ask`, undefined, base);
  const consent = { areas: [], signer: 'client', name: 'The client', drawing: null, wordingVersion: 1 };
  for (const [path, body] of [
    ['intake', { answers: intakeAnswers }],
    ['consent', consent],
    ['check', { answers: allNo }],
  ] as const) {
    const { status, body: answer } = await post(`/api/visits/${visit}/${path}`, body, base);
    if (status >= 300) throw new Error(`${path}: ${JSON.stringify(answer)}`);
  }
}
