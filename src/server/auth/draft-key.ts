import { createHmac } from 'node:crypto';
import type { VisitId } from '../../core/ids';
import type { Db } from '../db/connection';
import { findSecret } from './secrets.repository';
import type { Session } from './sessions';

/** Whose drafts a page keeps, and the key that seals them there, in base64. */
export interface Writer {
  readonly owner: string;
  readonly key: string;
}

/**
 * The key of a person, or of the client who has the tablet: the same on every device and after every sign-in, and of no
 * use for anything but their own drafts.
 */
export async function writerOf(db: Db, owner: string): Promise<Writer> {
  const secret = await findSecret(db, 'drafts');
  return { owner, key: createHmac('sha256', secret).update(owner).digest('base64') };
}

export const writerOfSession = (db: Db, { staff, handedVisitId }: Session): Promise<Writer> =>
  writerOf(db, handedVisitId === null ? `person-${staff.id}` : ownerOnTablet(handedVisitId));

const ownerOnTablet = (visitId: VisitId) => `tablet-${visitId}`;
