import { defineMiddleware } from 'astro:middleware';
import { ensureDemoHouse } from './demo/demo-house';
import { type Db, openDatabase } from './server/db/connection';
import { listTherapists } from './server/repositories/people';
import { problem } from './server/http/problem';
import { workAsCookie } from './server/http/work-as';

/** The one place that wires the database into requests. Opened on the first one, so that a build opens none. */
let opening: Promise<Db> | undefined;

async function open(): Promise<Db> {
  const db = openDatabase(process.env['VELVET_STONE_DATA'] ?? './var');
  if (process.env['VELVET_STONE_DEMO'] === '1') await ensureDemoHouse(db, new Date());
  return db;
}

const headers = {
  'x-content-type-options': 'nosniff',
  'referrer-policy': 'same-origin',
  'x-frame-options': 'DENY',
  'permissions-policy': 'camera=(), microphone=(), geolocation=()',
  'content-security-policy':
    "default-src 'self'; img-src 'self' data:; style-src 'self' 'unsafe-inline'; script-src 'self' 'unsafe-inline'; object-src 'none'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'",
};

/** Computing needs no house; these routes never wait for the database. */
const isStateless = (path: string) => path.startsWith('/api/compute/') || path === '/api/openapi.json';

/** A request that changes something must come from our own pages; programs that send no origin are no browsers. */
function isForeign(request: Request): boolean {
  if (request.method === 'GET' || request.method === 'HEAD' || request.method === 'OPTIONS') return false;
  const origin = request.headers.get('origin');
  if (request.headers.get('sec-fetch-site') === 'cross-site') return true;
  return origin !== null && hostOf(origin) !== request.headers.get('host');
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
  if (!isStateless(context.url.pathname)) {
    opening ??= open();
    const db = await opening.catch((error: unknown) => {
      opening = undefined;
      throw error;
    });
    const therapists = await listTherapists(db);
    const chosen = Number(context.cookies.get(workAsCookie)?.value);
    const therapist = therapists.find((t) => t.id === chosen) ?? therapists[0];
    Object.assign(context.locals, {
      db,
      therapists,
      therapist,
      actor: { therapistId: therapist?.id ?? null, now: new Date() },
    });
  }
  const response = await next();
  for (const [name, value] of Object.entries(headers)) response.headers.set(name, value);
  return response;
});
