import { speakPlainly } from '../../contracts/plain-errors';
import type { APIContext } from 'astro';
import type { z } from 'zod';
import {
  type BytesBody,
  type DeepReadonly,
  type FileAnswer,
  isBytes,
  isFile,
  type Route,
} from '../../contracts/routes/route';
import type { Result } from '../../core/result';
import { log } from '../log';
import type { StaffMember } from '../people/people.repository';
import { isChecking, whileAsking } from '../shared/asking';
import type { Actor, SaveRefusal } from '../shared/saving';
import type { Db } from '../db/connection';
import { noteReadOnly } from '../db/house';
import { HouseTrouble, troubleOf, troubleWords } from '../db/trouble';
import { problemOf } from './answer';
import { draftKeyOf, once } from './replies';
import { diskFull, invalidFields, invalidInput, notFound, problem } from './problem';
import { troublePage } from './trouble-page';
import { httpAnswers } from './http.answers';

speakPlainly();

const largestBodyBytes = 2_000_000;

type Shape<S> = S extends Readonly<Record<string, z.ZodType>> ? { readonly [K in keyof S]: z.output<S[K]> } : object;
type BodyOf<R extends Route> = R['body'] extends z.ZodType
  ? z.output<R['body']>
  : R['body'] extends BytesBody
    ? Uint8Array
    : undefined;

/** What a handler is asked with: everything has been read against the definition of its route. */
export interface Asked<R extends Route> {
  readonly params: Shape<R['params']>;
  readonly query: Shape<R['query']>;
  readonly body: BodyOf<R>;
  readonly db: Db;
  readonly actor: Actor;
  /** Who is signed in; never missing where the door asks for it. */
  readonly staff: R['who'] extends 'everybody' | 'first-run' ? StaffMember | undefined : StaffMember;
  readonly locals: App.Locals;
  /** For the few that set cookies. */
  readonly context: APIContext;
}

/** A value is checked and sent, nothing is a 404, a refusal its problem, a response itself. */
type Reply<R extends Route> =
  (R['answer'] extends z.ZodType ? DeepReadonly<z.output<R['answer']>> : never) | SaveRefusal | undefined | Response;
export type Handler<R extends Route> = (asked: Asked<R>) => Reply<R> | Promise<Reply<R>>;

/** A route with its handler, forgetting what exactly it is asked and answers. */
export interface Endpoint {
  readonly route: Route;
  readonly handle: (asked: Asked<Route>) => unknown;
}

/** The handlers of a domain: one for each of its routes, and for nothing else. */
export function endpoints<Domain extends Readonly<Record<string, Route>>>(
  routes: Domain,
  handlers: { readonly [K in keyof Domain]: Handler<Domain[K]> },
): readonly Endpoint[] {
  return Object.entries(routes).map(([name, route]) => ({
    route,
    // What is read by a route is what its own handler takes: the table above holds them together.
    handle: handlers[name] as Endpoint['handle'],
  }));
}

/**
 * Reads a request against its route, has it handled, and answers. Whatever is thrown becomes a 500 problem and is
 * logged; a `Response` that is thrown is the answer.
 */
export async function serve(
  endpoint: Endpoint,
  params: Readonly<Record<string, string>>,
  context: APIContext,
): Promise<Response> {
  const { request, locals } = context;
  const isRead = endpoint.route.method === 'get';
  const key = isRead ? undefined : draftKeyOf(request, locals.writer?.owner ?? 'nobody');
  return key === undefined ? answer(endpoint, params, context) : once(key, () => answer(endpoint, params, context));
}

async function answer(
  { route, handle }: Endpoint,
  params: Readonly<Record<string, string>>,
  context: APIContext,
): Promise<Response> {
  try {
    const { locals, request, url } = context;
    const asked = {
      params: readParams(route, params),
      query: readQuery(route, url.searchParams),
      body: await parseBody(route, request),
      ...{ db: locals.db, actor: locals.actor, staff: locals.session?.staff, locals, context },
    } as Asked<Route>;
    const reply = await whileAsking(route, () => handle(asked));
    const response = answerOf(route, reply);
    if (route.cache === 'an-hour') response.headers.set('cache-control', 'public, max-age=3600');
    return response;
  } catch (error) {
    if (error instanceof Response) return error;
    log.error({ err: error, path: context.url.pathname }, 'request failed');
    if (isFull(error)) return diskFull();
    if (troubleOf(error).kind === 'read-only') {
      noteReadOnly();
      return readOnly();
    }
    if (error instanceof HouseTrouble) return troublePage(error, true);
    return problem({
      type: '/problems/internal',
      title: httpAnswers.somethingWentWrongHere,
      status: 500,
      ...(route.method === 'get' ? {} : { detail: httpAnswers.loadThePageAgainToSee }),
    });
  }
}

/** Neither SQLite nor the file system has room for more. */
const isFull = (error: unknown): boolean =>
  error instanceof Error && 'code' in error && (error.code === 'SQLITE_FULL' || error.code === 'ENOSPC');

const readOnly = (): Response => {
  const { title, whatToDo } = troubleWords['read-only'];
  return problem({ type: '/problems/house-read-only', title, status: 503, detail: whatToDo });
};

function answerOf(route: Route, reply: unknown): Response {
  if (reply instanceof Response) return reply;
  if (reply === undefined) return notFound(route.what);
  const refusal = problemOf(reply, route.what);
  if (refusal) return refusal;
  if (isChecking && !isFile(route.answer)) expectAnswer(route, route.answer, reply);
  return Response.json(reply, { status: route.status ?? 200 });
}

/** @throws Error when an answer is not what its route says: whoever relies on the definition would be led astray */
function expectAnswer(route: Route, schema: z.ZodType, reply: unknown): void {
  // What is sent is what JSON makes of it.
  const { error } = schema.safeParse(JSON.parse(JSON.stringify(reply)));
  if (!error) return;
  const [issue] = error.issues;
  throw new Error(
    `${route.method} ${route.path} answers something else at “${issue?.path.join('.')}”: ${issue?.message}`,
  );
}

/** @throws Response a 404 problem: an address that cannot be is one that is not there */
function readParams(route: Route, input: Readonly<Record<string, string>>): Readonly<Record<string, unknown>> {
  const read: Record<string, unknown> = {};
  for (const [name, schema] of Object.entries<z.ZodType>(route.params ?? {})) {
    const { success, data } = schema.safeParse(input[name]);
    if (!success) throw notFound(route.what);
    read[name] = data;
  }
  return read;
}

/** @throws Response a 400 problem that names the fields */
function readQuery(route: Route, input: URLSearchParams): Readonly<Record<string, unknown>> {
  const read: Record<string, unknown> = {};
  const errors: { path: string; message: string }[] = [];
  for (const [name, schema] of Object.entries(route.query ?? {})) {
    const { success, data, error } = (schema as z.ZodType).safeParse(input.get(name) ?? undefined);
    if (success) read[name] = data;
    else errors.push(...error.issues.map(({ message }) => ({ path: name, message })));
  }
  if (errors.length > 0) throw invalidFields(errors);
  return read;
}

function parseBody(route: Route, request: Request): Promise<unknown> {
  if (route.body === undefined) return Promise.resolve(undefined);
  return isBytes(route.body) ? readUpTo(request, route.body.bytes.most) : readJson(request, route.body);
}

/**
 * Reads a JSON body against a contract.
 * @throws Response a 400 problem that names the fields, or 413 when the body is too large
 */
async function readJson<S extends z.ZodType>(request: Request, schema: S): Promise<z.output<S>> {
  const type = request.headers.get('content-type');
  // Plain text and forms are what other sites can make a browser send.
  if (type !== null && request.body !== null && !/^application\/([\w.-]+\+)?json\b/i.test(type))
    throw problem({ type: '/problems/not-json', title: httpAnswers.sendJsonAndSaySoApplication, status: 415 });
  const text = new TextDecoder().decode(await readUpTo(request, largestBodyBytes));
  let value: unknown;
  try {
    value = JSON.parse(text);
  } catch {
    throw invalidFields([{ path: '', message: httpAnswers.theRequestIsNotValidJson }]);
  }
  const parsed = schema.safeParse(value);
  if (!parsed.success) throw invalidInput(parsed.error);
  return parsed.data;
}

/**
 * Reads a body of bytes, and stops as soon as it is too large: what is announced is not believed.
 * @throws Response a 413 problem
 */
export async function readUpTo(request: Request, mostBytes: number): Promise<Uint8Array> {
  const tooLarge = () => {
    const response = problem({
      type: '/problems/too-large',
      title: httpAnswers.thatIsMoreThanMbSend(Math.round(mostBytes / 1_000_000)),
      status: 413,
    });
    // What is still on its way is not read: the line is cut once the answer is out.
    response.headers.set('connection', 'close');
    return response;
  };
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

/** @throws Response a 400 problem when the core refuses the fields */
export function unwrap<T>(result: Result<T>): T {
  if (!result.ok) throw invalidFields(result.errors);
  return result.value;
}

/** A file as an answer, shown in the browser or saved under a name. */
export function fileAnswer(
  { file }: FileAnswer,
  content: Uint8Array | string,
  name: string,
  how: 'inline' | 'attachment' = 'attachment',
): Response {
  const isText = typeof content === 'string';
  return new Response(isText ? content : new Uint8Array(content), {
    headers: {
      'content-type': isText && !file.endsWith('json') ? `${file}; charset=utf-8` : file,
      'content-disposition': `${how}; filename*=UTF-8''${encodeURIComponent(name)}`,
    },
  });
}
