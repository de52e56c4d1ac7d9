import { defineMiddleware } from 'astro:middleware';
import type { APIContext } from 'astro';
import type { Door } from './contracts/routes/route';
import { warmDemoBath } from './demo/demo-bath';
import { ensureDemoHouse } from './demo/demo-house';
import { writerOfSession } from './server/auth/draft-key';
import { mayEnter, type Verdict } from './server/auth/policy';
import { readSession, type Session, sessionCookie } from './server/auth/sessions';
import type { Db } from './server/db/connection';
import { theHouse, whenOpened } from './server/db/house';
import { troubleOf } from './server/db/trouble';
import { noteRefusal, noteView, recordOf } from './server/house/note-view';
import { isForeign } from './server/http/foreign';
import { secureHeaders } from './server/http/headers';
import { noteAnswer } from './server/http/metrics';
import { match, type Matched } from './server/http/matching';
import { addressOf, isOwnHost } from './server/http/origin';
import { otherMethods, problem } from './server/http/problem';
import { isTooFast } from './server/http/rate';
import { answerSealed } from './server/http/sealed-page';
import { troublePage } from './server/http/trouble-page';
import { keepNightly } from './server/keeping/keeping';
import { log } from './server/log';
import { keepPosting } from './server/messages/postman';
import { isHouseOpen } from './server/people/set-up-house';
import { readTherapists } from './server/people/read-facts';
import { findDateOrder } from './server/people/settings.repository';

const isDemo = process.env['VELVET_STONE_DEMO'] === '1';
let isHouseSetUp = false;

/** The one place that wires the house into requests. */
whenOpened(async (db) => {
  isHouseSetUp = false;
  if (!isDemo) return;
  await ensureDemoHouse(db, new Date());
  warmDemoBath();
});
keepNightly(theHouse);
keepPosting(theHouse);

/** Computing needs no house and no sign-in; these routes never wait for the database. */
const isStateless = (path: string, method: string) =>
  path.startsWith('/api/compute/') ||
  path === '/api/openapi.json' ||
  // How far encrypting is can be asked while the house is closed for it.
  (path === '/api/keeping/encryption' && method === 'GET');

export const onRequest = defineMiddleware(async (context, next) => {
  const began = performance.now();
  const response = secureHeaders(await admit(context, next), context);
  const { asked } = context.locals as Partial<App.Locals>;
  noteAnswer(asked && doorOf(asked)?.path, context.request.method, response.status, performance.now() - began);
  return response;
});

async function admit(context: APIContext, next: () => Promise<Response>): Promise<Response> {
  const { request, url } = context;
  if (!isOwnHost(request.headers.get('host'), process.env['VELVET_STONE_HOSTS']))
    return problem({ type: '/problems/foreign-host', title: 'The house does not answer to that name', status: 421 });
  if (isForeign(request, sessionCookie))
    return problem({ type: '/problems/foreign-origin', title: 'This request came from another site', status: 403 });
  const found = match(request.method, url.pathname);
  Object.assign(context.locals, { asked: found });
  const isApi = url.pathname.startsWith('/api/');
  if (found.kind === 'other-methods' && !isApi) return otherMethods(found.allowed);
  const door = doorOf(found);
  // What is no endpoint says so itself, and what only computes needs no house.
  if (isStateless(url.pathname, request.method) || (isApi && !door)) return next();
  const now = new Date();
  let db: Db;
  try {
    db = await theHouse();
  } catch (error) {
    const trouble = troubleOf(error);
    if (trouble.kind === 'sealed' && !isApi) return answerSealed(context);
    log.error({ err: trouble, cause: trouble.cause }, 'the house cannot be opened');
    return troublePage(trouble, isApi);
  }
  isHouseSetUp ||= isDemo || (await isHouseOpen(db));
  const isAtTable = /^(\/api)?\/visits\/\d+\/(table|events)$/.test(url.pathname);
  const session = await readSession(db, context.cookies.get(sessionCookie)?.value, now, isAtTable);
  const actor = { therapistId: session?.staff.id ?? null, now };
  const verdict = door ? mayEnter(door, 'params' in found ? found.params : {}, visitorOf(session)) : 'unknown';
  if (verdict !== 'allowed') {
    if (session && verdict !== 'prove' && verdict !== 'unknown')
      noteRefusal(db, actor, `${verdict}: ${request.method} ${door?.path ?? url.pathname}`);
    return refuse(context, verdict, session).then((response) => kept(door, response));
  }
  if (isTooFast(door?.mostPerMinute, addressOf(context), now.getTime())) {
    const response = problem({
      type: '/problems/too-fast',
      title: 'Too many tries at once: wait a minute',
      status: 429,
    });
    response.headers.set('retry-after', '60');
    return response;
  }
  Object.assign(context.locals, {
    ...{ db, session, isDemo, actor },
    therapists: await readTherapists(db),
    dateOrder: await findDateOrder(db),
    therapist: session?.staff,
    writer: session && (await writerOfSession(db, session)),
  });
  const response = kept(door, await next());
  const subject = session && request.method === 'GET' && response.ok ? recordOf(url) : undefined;
  if (subject) noteView(db, actor, subject, door?.path ?? '');
  return response;
}

const doorOf = (found: Matched): Door | undefined =>
  found.kind === 'route' ? found.route : found.kind === 'page' ? found.page : undefined;

const visitorOf = (session: Session | undefined) => ({
  role: session?.staff.role,
  isLocked: session?.isLocked ?? false,
  handedVisitId: session?.handedVisitId ?? null,
  isProved: session?.isProved ?? false,
  isOwing: session?.isOwing ?? false,
  isHouseSetUp,
});

/** Nothing of what the house knows stays in browsers and between, unless the door says so. */
function kept(door: Door | undefined, response: Response): Response {
  if (door?.cache === undefined) response.headers.set('cache-control', 'private, no-store');
  return response;
}

const refusals = {
  'sign-in': { title: 'Sign in first; what you entered is still here', status: 401 },
  locked: { title: 'This screen is locked: open it with your PIN', status: 423 },
  handed: { title: 'The tablet is with a client: take it back with your PIN', status: 423 },
  forbidden: { title: 'This is not open to your role', status: 403 },
  owing: { title: 'The house asks for a second factor: set it up first', status: 403 },
  prove: { title: 'Show that it is you: your PIN again', status: 403 },
  unknown: { title: 'There is nothing at this address', status: 404 },
} as const satisfies Record<Exclude<Verdict, 'allowed'>, { title: string; status: number }>;

/** An endpoint answers with a problem; a page leads to where the way goes on. */
async function refuse(
  context: APIContext,
  verdict: Exclude<Verdict, 'allowed'>,
  session: Session | undefined,
): Promise<Response> {
  const { pathname, search } = context.url;
  if (pathname.startsWith('/api/')) return problem({ type: `/problems/${verdict}`, ...refusals[verdict] });
  const then = encodeURIComponent(pathname + search);
  switch (verdict) {
    case 'sign-in':
      return context.redirect(isHouseSetUp ? `/sign-in?then=${then}` : '/welcome');
    case 'locked':
      return context.redirect(`/locked?then=${then}`);
    case 'handed':
      return context.redirect(`/tablet/${session?.handedVisitId}`);
    case 'owing':
      return context.redirect('/second-factor');
    case 'forbidden':
    case 'prove':
      return context.redirect('/problems/forbidden');
    case 'unknown':
      return context.rewrite('/404');
  }
}
