import type { APIContext, APIRoute } from 'astro';
import type { z } from 'zod';
import type { Result } from '../../core/result';
import { log } from '../log';
import { diskFull, invalidFields, invalidInput, problem } from './problem';

const largestBodyBytes = 2_000_000;

/** Answers whatever a handler throws with a 500 problem and logs it; a `Response` that is thrown is the answer. */
export function endpoint(handle: (context: APIContext) => Promise<Response> | Response): APIRoute {
  return async (context) => {
    try {
      return await handle(context);
    } catch (error) {
      if (error instanceof Response) return error;
      log.error({ err: error, path: context.url.pathname }, 'request failed');
      if (isFull(error)) return diskFull();
      return problem({
        type: '/problems/internal',
        title: 'Something went wrong here; nothing was changed',
        status: 500,
      });
    }
  };
}

/** Neither SQLite nor the file system has room for more. */
const isFull = (error: unknown): boolean =>
  error instanceof Error && 'code' in error && (error.code === 'SQLITE_FULL' || error.code === 'ENOSPC');

/**
 * Reads a JSON body against a contract.
 * @throws Response a 400 problem that names the fields, or 413 when the body is too large
 */
export async function readBody<S extends z.ZodType>(request: Request, schema: S): Promise<z.infer<S>> {
  const text = await request.text();
  if (text.length > largestBodyBytes)
    throw problem({ type: '/problems/too-large', title: 'That is more than can be read at once', status: 413 });
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw invalidFields([{ path: '', message: 'The request is not valid JSON.' }]);
  }
  const parsed = schema.safeParse(value);
  if (!parsed.success) throw invalidInput(parsed.error);
  return parsed.data;
}

/** @throws Response a 400 problem when the core refuses the fields */
export function unwrap<T>(result: Result<T>): T {
  if (!result.ok) throw invalidFields(result.errors);
  return result.value;
}

/**
 * Reads a body of bytes, and stops as soon as it is too large: what is announced is not believed.
 * @throws Response a 413 problem
 */
export async function readUpTo(request: Request, mostBytes: number): Promise<Uint8Array> {
  const tooLarge = () =>
    problem({
      type: '/problems/too-large',
      title: `That is more than ${Math.round(mostBytes / 1_000_000)} MB: send a smaller file`,
      status: 413,
    });
  if (Number(request.headers.get('content-length') ?? 0) > mostBytes) throw tooLarge();
  const parts: Uint8Array[] = [];
  let bytes = 0;
  for await (const part of (request.body ?? []) as AsyncIterable<Uint8Array>) {
    bytes += part.length;
    if (bytes > mostBytes) throw tooLarge();
    parts.push(part);
  }
  return Buffer.concat(parts);
}

/** A positive whole number of the address. @throws Response a 404 problem */
export function idOf(context: APIContext, what: string): number {
  return numberOf(context.params['id'], what);
}

/** The same for what lies below it, such as a finding of a client. */
export function keyOf(context: APIContext, what: string): number {
  return numberOf(context.params['key'], what);
}

/** The visit that a tablet was handed over for. */
export function visitOf(context: APIContext): number {
  return numberOf(context.params['visit'], 'visit');
}

function numberOf(text: string | undefined, what: string): number {
  const id = Number(text);
  if (!Number.isInteger(id) || id <= 0)
    throw problem({ type: '/problems/not-found', title: `There is no such ${what}`, status: 404 });
  return id;
}
