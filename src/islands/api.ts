import type { Problem } from '../contracts/problem';

/** The server said no, or could not be reached. */
export class RequestError extends Error {
  constructor(
    readonly status: number,
    readonly problem: Problem,
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
  title: 'The house’s computer does not answer. What you entered is still here; try again.',
  status: 0,
};

/** Why a door is shut: nobody is signed in any more, or the screen is locked. */
export type Shut = 'signed-out' | 'locked';
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

/** Addresses of the door itself: a refusal there is an answer, not a reason to ask again. */
const isDoor = (path: string) => path.startsWith('/api/session');

/** Sends JSON and reads JSON. @throws RequestError for every refusal, also when nobody answers */
export async function send<T>(
  method: 'GET' | 'POST' | 'PUT' | 'DELETE',
  path: string,
  body?: unknown,
  signal?: AbortSignal,
): Promise<T> {
  let response: Response;
  try {
    response = await fetch(path, {
      method,
      ...(body === undefined ? {} : { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }),
      ...(signal ? { signal } : {}),
    });
  } catch (error) {
    if (signal?.aborted) throw error;
    throw new RequestError(0, unreachable);
  }
  if ((response.status === 401 || response.status === 423) && !isDoor(path)) {
    const isOpen = await openAgain(response.status === 401 ? 'signed-out' : 'locked');
    if (isOpen) return send(method, path, body, signal);
  }
  const text = await response.text();
  const value: unknown = text === '' ? null : parseOrNull(text);
  if (response.ok) return value as T;
  throw new RequestError(
    response.status,
    isProblem(value)
      ? value
      : {
          ...unreachable,
          title: 'The house’s computer answered something unexpected. Nothing was changed.',
          status: response.status,
        },
  );
}

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
  return error instanceof Error ? error.message : 'Something went wrong. Nothing was changed.';
}
