import type { Problem } from '../contracts/problem';
import type { Address, Answer, Asking, BodyOf } from '../contracts/routes/asking';
import { apiWords } from './api.words';

/** The server said no, or could not be reached. */
export class RequestError extends Error {
  constructor(
    readonly status: number,
    readonly problem: Problem,
    /** How long the house asks to be left alone. */
    readonly retryAfterMs?: number,
  ) {
    super(problem.errors?.[0]?.message ?? problem.detail ?? problem.title);
  }

  /** What is wrong with a field, by its path. */
  fieldError(path: string): string | undefined {
    return this.problem.errors?.find((error) => error.path === path || error.path.startsWith(`${path}.`))?.message;
  }
}

const unreachable: Problem = {
  type: '/problems/unreachable',
  title: apiWords.theHouseDoesNotAnswer,
  status: 0,
};

/** Why a door is shut: nobody is signed in any more, or the screen is locked. */
export type Shut = 'signed-out' | 'locked';
/** Something cannot be taken back, or leaves the house: its person is asked to show by PIN that it is they. */
export const proveEvent = 'velvet-stone:prove';
export const provedEvent = 'velvet-stone:proved';
export const shutEvent = 'velvet-stone:shut';
export const openedEvent = 'velvet-stone:opened';

let opening: Promise<void> | undefined;

/**
 * Asks the view to let its person in again, and waits for it; what was to be sent is sent afterwards, so that an
 * expired session loses nothing. @returns false when the view has no door of its own
 */
async function openAgain(why: Shut): Promise<boolean> {
  opening ??= new Promise<void>((resolve, reject) => {
    window.addEventListener(openedEvent, () => resolve(), { once: true });
    // A door that takes the matter on says so by cancelling the event.
    if (window.dispatchEvent(new CustomEvent(shutEvent, { cancelable: true, detail: why })))
      reject(new Error('no door'));
  }).finally(() => {
    opening = undefined;
  });
  return opening.then(
    () => true,
    () => false,
  );
}

/** Asks the view for its person's PIN. @returns false where it was not given, or the view has no door of its own */
function proveAgain(): Promise<boolean> {
  return new Promise((resolve) => {
    const onProved = (event: Event) => resolve((event as CustomEvent<boolean>).detail);
    window.addEventListener(provedEvent, onProved, { once: true });
    if (!window.dispatchEvent(new CustomEvent(proveEvent, { cancelable: true }))) return;
    window.removeEventListener(provedEvent, onProved);
    resolve(false);
  });
}

/** Addresses of the door itself: a refusal there is an answer, not a reason to ask again. */
const isDoor = (path: string) => path.startsWith('/api/session');

/** An address with what stands in it and behind its question mark. */
export function pathOf(
  path: string,
  params: Readonly<Record<string, string | number>> = {},
  query: Readonly<Record<string, unknown>> = {},
): string {
  const filled = path.replace(/\{(\w+)\}/g, (_, name: string) => encodeURIComponent(String(params[name])));
  const asked = new URLSearchParams();
  // What is not said is left out: a name that stands there with nothing behind it would count as said.
  for (const [name, value] of Object.entries(query))
    if (value !== undefined && value !== null && value !== false && value !== '')
      asked.set(name, value === true ? '1' : String(value));
  return asked.size > 0 ? `${filled}?${asked.toString()}` : filled;
}

/**
 * Asks the house: `send('PUT /api/stones/{key}', { params: { key: 3 }, body })`. What it takes and answers stands in
 * `src/contracts/routes`. @throws RequestError for every refusal, also when nobody answers
 */
export async function send<A extends Address>(
  address: A,
  ...[asking]: object extends Asking<A> ? [asking?: Asking<A>] : [asking: Asking<A>]
): Promise<Answer<A>> {
  const [method = '', path = ''] = address.split(' ');
  const { params, query, body, signal, draftId }: Loose = asking ?? {};
  // What comes back is what the route says: the server holds itself to it, in tests by checking each answer.
  return (await ask(method, pathOf(path, params, query), { body, signal, draftId })) as Answer<A>;
}

export interface Loose {
  readonly params?: Readonly<Record<string, string | number>>;
  readonly query?: Readonly<Record<string, unknown>>;
  readonly body?: unknown;
  readonly signal?: AbortSignal;
  readonly draftId?: string;
}

interface Sending {
  readonly body?: unknown;
  readonly signal?: AbortSignal | undefined;
  /** The same draft that is sent again is stored once. */
  readonly draftId?: string | undefined;
  /** The answer is kept as it comes, to its last byte. */
  readonly isFile?: true;
}

async function ask(method: string, path: string, sending: Sending): Promise<unknown> {
  const { body, signal, draftId } = sending;
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      headers: {
        ...(body !== undefined && { 'content-type': 'application/json' }),
        ...(draftId !== undefined && { 'idempotency-key': draftId }),
      },
      ...(body !== undefined && { body: JSON.stringify(body) }),
      ...(signal ? { signal } : {}),
    });
  } catch (error) {
    if (signal?.aborted) throw error;
    throw new RequestError(0, unreachable);
  }
  if ((response.status === 401 || response.status === 423) && !isDoor(path)) {
    const isOpen = await openAgain(response.status === 401 ? 'signed-out' : 'locked');
    if (isOpen) return ask(method, path, sending);
  }
  if (response.ok && sending.isFile) return response.blob();
  const text = await response.text();
  const value: unknown = text === '' ? null : parseOrNull(text);
  if (response.ok) return value;
  if (isProblem(value) && value.type === '/problems/prove' && (await proveAgain())) return ask(method, path, sending);
  throw new RequestError(
    response.status,
    isProblem(value)
      ? value
      : {
          ...unreachable,
          title: 'The house’s computer answered something unexpected. What you entered is still here; try again.',
          status: response.status,
        },
    retryAfterOf(response),
  );
}

/** Seconds, as our own server says them. */
function retryAfterOf(response: Response): number | undefined {
  const seconds = Number(response.headers.get('retry-after') ?? NaN);
  return Number.isFinite(seconds) ? 1000 * seconds : undefined;
}

/**
 * Fetches a file that asks for the PIN first, and gives it to the browser to keep.
 * @throws RequestError as `send` does
 */
export async function download(path: string, name: string): Promise<void> {
  const content = (await ask('GET', path, { isFile: true })) as Blob;
  const link = document.createElement('a');
  link.href = URL.createObjectURL(content);
  link.download = name;
  link.click();
  URL.revokeObjectURL(link.href);
}

/** What somebody filled in, as it stands: its fields are those of the contract, and the server says which needs attention. */
export const asFilledIn = <A extends Address>(values: { readonly [K in keyof BodyOf<A>]: unknown }): BodyOf<A> =>
  values as BodyOf<A>;

/** What was read from a file; the server says what is wrong with it. */
export const asRead = <A extends Address>(content: unknown): BodyOf<A> => content as BodyOf<A>;

/** Our own server’s problems; anything else (a proxy’s page) is not trusted to be one. Zod would weigh more than this page. */
function isProblem(value: unknown): value is Problem {
  return (
    typeof value === 'object' &&
    value !== null &&
    'title' in value &&
    typeof value.title === 'string' &&
    'status' in value
  );
}

function parseOrNull(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
}

/** A sentence for any failure. */
export function sentenceOf(error: unknown): string {
  return error instanceof Error ? error.message : apiWords.somethingWentWrong;
}
