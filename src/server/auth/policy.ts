import type { VisitId } from '../../core/ids';
import type { Door } from '../../contracts/routes/route';
import { match } from '../http/matching';
import type { Role } from '../people/people.repository';

const ranks: Readonly<Record<Role, number>> = { assistant: 1, therapist: 2, owner: 3 };

export interface Visitor {
  readonly role: Role | undefined;
  readonly isLocked: boolean;
  readonly handedVisitId: VisitId | null;
  readonly isHouseSetUp: boolean;
  /** Has just shown by PIN that it is still they. */
  readonly isProved?: boolean;
  /** The house asks for a second factor that is not set up yet. */
  readonly isOwing?: boolean;
}

/** `allowed`, or why not: sign in first, unlock first, give the tablet back first, PIN again, or never with this role. */
export type Verdict = 'allowed' | 'sign-in' | 'locked' | 'handed' | 'owing' | 'forbidden' | 'prove' | 'unknown';

/** Whether somebody may come in at a door; `params` are the names of its address. */
export function mayEnter(door: Door, params: Readonly<Record<string, string>>, visitor: Visitor): Verdict {
  if (door.who === 'everybody' && visitor.role === undefined) return 'allowed';
  if (door.who === 'first-run') return visitor.isHouseSetUp ? 'forbidden' : 'allowed';
  if (visitor.role === undefined) return 'sign-in';
  if (visitor.handedVisitId !== null) {
    const visit = params['visit'];
    const isHis = visit === undefined || Number(visit) === visitor.handedVisitId;
    return door.whileHanded && isHis ? 'allowed' : 'handed';
  }
  if (visitor.isLocked && !door.whileLocked) return 'locked';
  if (visitor.isOwing && !door.whileOwing && door.who !== 'everybody') return 'owing';
  if (door.who === 'everybody' || door.who === 'signed-in') return 'allowed';
  if (ranks[visitor.role] < ranks[door.who]) return 'forbidden';
  return door.asksPin && !visitor.isProved ? 'prove' : 'allowed';
}

/** The same by address. What no route and no page names is refused. */
export function mayUse(method: string, path: string, visitor: Visitor): Verdict {
  const found = match(method, path);
  switch (found.kind) {
    case 'route':
      return mayEnter(found.route, found.params, visitor);
    case 'page':
      return mayEnter(found.page, found.params, visitor);
    case 'other-methods':
      return 'forbidden';
    case 'nothing':
      return 'unknown';
  }
}
