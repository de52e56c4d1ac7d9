import type { APIContext } from 'astro';
import { defineMiddleware } from 'astro:middleware';
import { warmDemoBath } from './demo/demo-bath';
import { ensureDemoHouse } from './demo/demo-house';
import type { Door } from './contracts/routes/route';
import { mayEnter, type Verdict } from './server/auth/policy';
import { readSession, type Session, sessionCookie } from './server/auth/sessions';
import { type Db, openDatabase } from './server/db/connection';
import { isHouseOpen } from './server/people/set-up-house';
import { secureHeaders } from './server/http/headers';
import { match } from './server/http/matching';
import { problem } from './server/http/problem';
import { isTooFast } from './server/http/rate';
import { readTherapists } from './server/people/read-facts';

/** The one place that wires the database into requests. Opened on the first one, so that a build opens none. */
let opening: Promise<Db> | undefined;
const isDemo = process.env['VELVET_STONE_DEMO'] === '1';
let isHouseSetUp = false;

async function open(): Promise<Db> {
  const db = openDatabase(process.env['VELVET_STONE_DATA'] ?? './var');
  if (isDemo) {
    await ensureDemoHouse(db, new Date());
    warmDemoBath();
  }
  return db;
}

/** Computing needs no house and no sign-in; these routes never wait for the database. */
const isStateless = (path: string) => path.startsWith('/api/compute/') || path === '/api/openapi.json';

/** A request that changes something must come from our own pages; programs that send no origin bring no cookie either. */
function isForeign(request: Request): boolean {
  if (['GET', 'HEAD', 'OPTIONS'].includes(request.method)) return false;
  if (request.headers.get('sec-fetch-site') === 'cross-site') return true;
  const origin = request.headers.get('origin');
  if (origin === null) return request.headers.get('cookie')?.includes(`${sessionCookie}=`) ?? false;
  return hostOf(origin) !== request.headers.get('host');
}

function hostOf(origin: string): string | undefined {
  try {
    return new URL(origin).host;
  } catch {
    return undefined;
  }
}

export const onRequest = defineMiddleware(async (context, next) => {
  if (isForeign(context.request))
    return problem({ type: '/problems/foreign-origin', title: 'This request came from another site', status: 403 });
  const found = match(context.request.method, context.url.pathname);
  Object.assign(context.locals, { asked: found });
  const isApi = context.url.pathname.startsWith('/api/');
  const door = found.kind === 'route' ? found.route : found.kind === 'page' ? found.page : undefined;
  // What is no endpoint says so itself, and what only computes needs no house.
  if (isStateless(context.url.pathname) || (isApi && !door)) return secureHeaders(await next());
  opening ??= open();
  const db = await opening.catch((error: unknown) => {
    opening = undefined;
    throw error;
  });
  const now = new Date();
  isHouseSetUp ||= isDemo || (await isHouseOpen(db));
  const session = await readSession(db, context.cookies.get(sessionCookie)?.value, now);
  const verdict = door
    ? mayEnter(door, 'params' in found ? found.params : {}, {
        role: session?.staff.role,
        isLocked: session?.isLocked ?? false,
        handedVisitId: session?.handedVisitId ?? null,
        isHouseSetUp,
      })
    : 'unknown';
  if (verdict !== 'allowed') return kept(door, secureHeaders(await refuse(context, verdict, session)));
  if (isTooFast(door?.mostPerMinute, now.getTime()))
    return problem({ type: '/problems/too-fast', title: 'Too many tries at once: wait a minute', status: 429 });
  Object.assign(context.locals, {
    db,
    session,
    isDemo,
    therapists: await readTherapists(db),
    therapist: session?.staff,
    actor: { therapistId: session?.staff.id ?? null, now },
  });
  return kept(door, secureHeaders(await next()));
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
  unknown: { title: 'There is no such thing', status: 404 },
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
    case 'forbidden':
      return context.redirect('/problems/forbidden');
    case 'unknown':
      return context.rewrite('/404');
  }
}
