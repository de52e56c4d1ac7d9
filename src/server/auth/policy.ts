import type { Role } from '../people/people.repository';

/** Who may use an address: everybody, the roles named, or a client to whom the tablet was handed. */
export type Access = 'everybody' | 'first-run' | 'signed-in' | Role;

interface Rule {
  readonly path: string;
  /** Methods that the rule is about; all when left out. */
  readonly methods?: readonly string[];
  /** The least role; an owner may all that a therapist may, a therapist all that an assistant may. */
  readonly least: Access;
  /** Open while the tablet is with a client, for the visit that it was handed over for. */
  readonly whileHanded?: true;
  /** Open while the session is locked. */
  readonly whileLocked?: true;
}

/**
 * Every address of the house. What is not listed is refused: a new endpoint is closed until it is put here, and a test
 * reads the pages and compares. `:x` stands for one part of the path.
 */
export const policy: readonly Rule[] = [
  { path: '/sign-in', least: 'everybody', whileLocked: true },
  { path: '/welcome', least: 'everybody' },
  { path: '/locked', least: 'signed-in', whileLocked: true },
  { path: '/problems/:name', least: 'everybody', whileLocked: true, whileHanded: true },
  { path: '/404', least: 'everybody', whileLocked: true, whileHanded: true },
  { path: '/api/health', least: 'everybody', whileLocked: true, whileHanded: true },
  { path: '/api/openapi.json', least: 'everybody', whileLocked: true, whileHanded: true },
  { path: '/api/compute/:name', least: 'everybody', whileLocked: true, whileHanded: true },
  { path: '/api/calendar/:token', least: 'everybody', whileLocked: true, whileHanded: true },
  // A client who follows a sheet cannot sign in: the address itself is the secret, and it runs out.
  { path: '/home/:token', methods: ['GET'], least: 'everybody', whileLocked: true, whileHanded: true },
  { path: '/api/home-page/:token/ticks', methods: ['POST'], least: 'everybody', whileLocked: true, whileHanded: true },
  { path: '/api/house', methods: ['POST'], least: 'first-run' },
  { path: '/api/session', methods: ['POST'], least: 'everybody', whileLocked: true },
  { path: '/api/session', methods: ['DELETE'], least: 'signed-in', whileLocked: true, whileHanded: true },
  { path: '/api/session/demo', methods: ['POST'], least: 'everybody', whileLocked: true },
  { path: '/api/session/lock', methods: ['POST'], least: 'signed-in', whileLocked: true },
  { path: '/api/session/unlock', methods: ['POST'], least: 'signed-in', whileLocked: true, whileHanded: true },
  { path: '/api/session/hand', methods: ['POST'], least: 'therapist' },
  { path: '/api/session/pin', methods: ['POST'], least: 'signed-in' },
  { path: '/tablet/:visit', least: 'therapist', whileHanded: true },
  { path: '/api/tablet/:visit', methods: ['POST'], least: 'therapist', whileHanded: true },
  { path: '/api/tablet/:visit/feedback', methods: ['POST'], least: 'therapist', whileHanded: true },
  { path: '/api/tablet/:visit/consent', methods: ['POST'], least: 'therapist', whileHanded: true },

  { path: '/', least: 'assistant' },
  { path: '/clients', least: 'assistant' },
  { path: '/clients/:id', least: 'assistant' },
  { path: '/api/clients', methods: ['GET', 'POST'], least: 'assistant' },
  { path: '/api/clients/:id', methods: ['PUT'], least: 'assistant' },
  { path: '/api/bookings/proposals', methods: ['GET'], least: 'assistant' },
  { path: '/api/visits', methods: ['POST'], least: 'assistant' },
  { path: '/api/treatments', methods: ['GET'], least: 'assistant' },
  { path: '/api/visits/:id/booking', methods: ['PUT', 'DELETE'], least: 'assistant' },
  { path: '/api/calendar', methods: ['GET', 'POST'], least: 'assistant' },
  { path: '/outbox', least: 'assistant' },
  { path: '/api/reminders', methods: ['POST'], least: 'assistant' },

  { path: '/measures', least: 'therapist' },
  { path: '/protocols', least: 'therapist' },
  { path: '/library', least: 'therapist' },
  { path: '/api/library', methods: ['GET', 'POST'], least: 'therapist' },
  { path: '/api/library/schema', methods: ['GET'], least: 'therapist' },
  { path: '/api/library/view', methods: ['GET'], least: 'therapist' },
  { path: '/api/library/techniques/:key', methods: ['PUT', 'DELETE'], least: 'therapist' },
  { path: '/api/library/protocols/:key', methods: ['PUT', 'DELETE'], least: 'therapist' },
  { path: '/bench/:name', least: 'therapist' },
  { path: '/api/stones', methods: ['GET', 'POST'], least: 'therapist' },
  { path: '/api/stones/care', methods: ['POST'], least: 'therapist' },
  { path: '/api/stones/habits', methods: ['PUT'], least: 'therapist' },
  { path: '/api/stones/:key', methods: ['PUT'], least: 'therapist' },
  { path: '/bench/mixes/:id', least: 'therapist' },
  { path: '/api/oils', methods: ['GET'], least: 'therapist' },
  { path: '/api/oils/bottles', methods: ['GET', 'POST'], least: 'therapist' },
  { path: '/api/oils/bottles/:key', methods: ['PUT'], least: 'therapist' },
  { path: '/api/oils/shelf.csv', methods: ['GET'], least: 'therapist' },
  { path: '/api/oils/import', methods: ['POST'], least: 'therapist' },
  { path: '/api/oils/blends', methods: ['GET', 'POST'], least: 'therapist' },
  { path: '/api/oils/blends/import', methods: ['POST'], least: 'therapist' },
  { path: '/api/oils/blends/:key', methods: ['DELETE'], least: 'therapist' },
  { path: '/api/oils/mixes', methods: ['POST'], least: 'therapist' },
  { path: '/api/oils/mixes/:id', methods: ['GET', 'PUT', 'POST', 'DELETE'], least: 'therapist' },
  { path: '/api/oils/mixes/:id/label.pdf', methods: ['GET'], least: 'therapist' },
  { path: '/api/oils/mixes/:id/aftercare.pdf', methods: ['GET'], least: 'therapist' },
  { path: '/api/oils/smell', methods: ['POST'], least: 'therapist' },
  { path: '/api/patch-tests', methods: ['POST'], least: 'therapist' },
  { path: '/api/patch-tests/:id', methods: ['POST'], least: 'therapist' },
  { path: '/api/devices/drop-scale', methods: ['GET', 'POST'], least: 'therapist' },
  { path: '/api/visits/:id/blend', methods: ['PUT'], least: 'therapist' },
  { path: '/api/devices/stone-bath', methods: ['GET', 'POST'], least: 'therapist' },
  { path: '/api/treatments', methods: ['POST'], least: 'therapist' },
  { path: '/api/treatments/:key', methods: ['DELETE'], least: 'therapist' },
  { path: '/clients/:id/progress', least: 'therapist' },
  { path: '/visits/:id/:view', least: 'therapist' },
  { path: '/api/visits/:id', methods: ['GET'], least: 'therapist' },
  { path: '/api/visits/:id/ask', methods: ['GET'], least: 'therapist' },
  { path: '/api/visits/:id/intake', methods: ['POST'], least: 'therapist' },
  { path: '/api/visits/:id/check', methods: ['POST'], least: 'therapist' },
  { path: '/api/visits/:id/consent', methods: ['POST'], least: 'therapist' },
  { path: '/api/visits/:id/overrides', methods: ['POST'], least: 'therapist' },
  { path: '/api/visits/:id/overrides/:key', methods: ['DELETE'], least: 'therapist' },
  { path: '/api/visits/:id/referral.pdf', methods: ['GET'], least: 'therapist' },
  { path: '/api/visits/:id/taping', methods: ['POST'], least: 'therapist' },
  { path: '/api/visits/:id/observations', methods: ['POST'], least: 'therapist' },
  { path: '/api/visits/:id/observations/:key', methods: ['DELETE'], least: 'therapist' },
  { path: '/api/visits/:id/photos', methods: ['POST'], least: 'therapist' },
  { path: '/api/visits/:id/plan', methods: ['POST'], least: 'therapist' },
  { path: '/api/visits/:id/treatment', methods: ['POST'], least: 'therapist' },
  { path: '/api/visits/:id/ready', methods: ['PUT'], least: 'therapist' },
  { path: '/api/visits/:id/course', methods: ['POST'], least: 'therapist' },
  { path: '/api/visits/:id/events', methods: ['GET', 'POST'], least: 'therapist' },
  { path: '/api/visits/:id/lead', methods: ['POST'], least: 'therapist' },
  { path: '/api/visits/:id/home', methods: ['GET', 'POST'], least: 'therapist' },
  { path: '/api/home/:id', methods: ['DELETE'], least: 'therapist' },
  { path: '/api/home/:id/link', methods: ['POST', 'DELETE'], least: 'therapist' },
  { path: '/api/home/:id/log', methods: ['POST'], least: 'therapist' },
  { path: '/api/home/:id/sheet.pdf', methods: ['GET'], least: 'therapist' },
  { path: '/api/visits/:id/closing', methods: ['POST'], least: 'therapist' },
  { path: '/api/visits/:id/aftercare.pdf', methods: ['GET'], least: 'therapist' },
  { path: '/api/visits/:id/finish', methods: ['POST'], least: 'therapist' },
  { path: '/api/visits/:id/handover', methods: ['POST'], least: 'therapist' },
  { path: '/api/clients/:id/findings', methods: ['POST'], least: 'therapist' },
  { path: '/api/clients/:id/findings/:key', methods: ['PUT', 'DELETE'], least: 'therapist' },
  { path: '/api/clients/:id/findings/:key/clearance', methods: ['POST'], least: 'therapist' },
  { path: '/api/clients/:id/progress.pdf', methods: ['GET'], least: 'therapist' },
  { path: '/api/clients/:id/measures.csv', methods: ['GET'], least: 'therapist' },
  { path: '/api/imports', methods: ['POST'], least: 'therapist' },
  { path: '/api/imports/:job', methods: ['GET', 'POST', 'DELETE'], least: 'therapist' },
  { path: '/api/clients/:id/measuring', methods: ['PUT'], least: 'therapist' },
  { path: '/api/clients/:id/flags/:key', methods: ['POST'], least: 'therapist' },
  { path: '/api/protocols', methods: ['POST'], least: 'therapist' },
  { path: '/api/protocols/:id', methods: ['PUT', 'DELETE'], least: 'therapist' },
  { path: '/api/clients/:id/archive', methods: ['POST', 'DELETE'], least: 'therapist' },
  { path: '/api/clients/:id/merge', methods: ['GET', 'POST'], least: 'therapist' },
  { path: '/api/clients/:id/export', methods: ['GET'], least: 'therapist' },
  { path: '/api/clients/:id/files', methods: ['POST'], least: 'therapist' },
  { path: '/api/clients/:id/files/:key', methods: ['GET', 'DELETE'], least: 'therapist' },

  { path: '/house', least: 'owner' },
  { path: '/api/clients/:id', methods: ['DELETE'], least: 'owner' },
  { path: '/api/staff', methods: ['POST'], least: 'owner' },
  { path: '/api/staff/:id', methods: ['PUT'], least: 'owner' },
  { path: '/api/measuring', methods: ['POST'], least: 'owner' },
  { path: '/api/house', methods: ['PUT'], least: 'owner' },
  { path: '/api/wording', methods: ['POST'], least: 'owner' },
];

const ranks: Readonly<Record<Role, number>> = { assistant: 1, therapist: 2, owner: 3 };

export interface Visitor {
  readonly role: Role | undefined;
  readonly isLocked: boolean;
  readonly handedVisitId: number | null;
  readonly isHouseSetUp: boolean;
}

/** `allowed`, or why not: sign in first, unlock first, give the tablet back first, or never with this role. */
export type Verdict = 'allowed' | 'sign-in' | 'locked' | 'handed' | 'forbidden' | 'unknown';

export function mayUse(method: string, path: string, visitor: Visitor): Verdict {
  const asked = method === 'HEAD' ? 'GET' : method;
  const matching = policy.filter((rule) => matches(rule.path, path));
  if (matching.length === 0) return 'unknown';
  const rule = matching.find(({ methods }) => !methods || methods.includes(asked));
  if (!rule) return 'forbidden';
  if (rule.least === 'everybody' && visitor.role === undefined) return 'allowed';
  if (rule.least === 'first-run') return visitor.isHouseSetUp ? 'forbidden' : 'allowed';
  if (visitor.role === undefined) return 'sign-in';
  if (visitor.handedVisitId !== null) {
    const ofVisit = partsOf(path)[partsOf(rule.path).indexOf(':visit')];
    const isHis = ofVisit === undefined || Number(ofVisit) === visitor.handedVisitId;
    return rule.whileHanded && isHis ? 'allowed' : 'handed';
  }
  if (visitor.isLocked && !rule.whileLocked) return 'locked';
  if (rule.least === 'everybody' || rule.least === 'signed-in') return 'allowed';
  return ranks[visitor.role] >= ranks[rule.least] ? 'allowed' : 'forbidden';
}

const partsOf = (path: string) => path.replace(/\/$/, '').split('/');

export function matches(pattern: string, path: string): boolean {
  const [wanted, given] = [partsOf(pattern), partsOf(path)];
  return wanted.length === given.length && wanted.every((part, i) => part.startsWith(':') || part === given[i]);
}
