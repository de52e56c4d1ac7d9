import type { CipherView } from '../../contracts/keeping';
import { passwordTrouble } from '../../core/sign-in/lockout';
import type { Db } from '../db/connection';
import { dataFolder, exchangeHouse, isHouseEncrypted, keyOfHouse, rememberKey } from '../db/house';
import { deriveKey, newDescription, readDescription } from '../db/house-key';
import { insertAudit } from '../house/audit.repository';
import type { Actor, SaveRefusal } from '../shared/saving';
import type { CipherChange, CipherProgress } from './cipher';
import { inCipherThread } from './cipher-thread';
import { copyingTrouble } from './second-machine';
import { keepingAnswers } from './keeping.answers';

/** What is being done; a process does one at a time, and answers nothing else meanwhile. */
let running: CipherProgress | undefined;

export const readCipher = (): CipherView => ({ running: running ?? null });

const refuse = (message: string): SaveRefusal => ({ kind: 'refused', errors: [{ path: 'passphrase', message }] });

/** Encrypts the data on this computer; from then on a passphrase opens the house after each start. */
export async function encryptHouse(
  { passphrase }: { readonly passphrase: string },
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const trouble = passwordTrouble(passphrase, '');
  if (trouble) return refuse(trouble);
  const hindrance = copyingTrouble(dataFolder());
  if (hindrance) return refuse(hindrance);
  if (running) return refuse(keepingAnswers.thisIsBeingDoneAlready);
  if (isHouseEncrypted()) return refuse(keepingAnswers.theDataIsEncryptedAlready);
  const description = newDescription();
  const key = await deriveKey(passphrase, description);
  const house = await exchange({ folder: dataFolder(), from: undefined, to: { key, description } });
  await note(house, 'house encrypted', actor);
  return { kind: 'saved' };
}

/** Takes the encryption away; the passphrase shows that it is meant. */
export async function decryptHouse(
  { passphrase }: { readonly passphrase: string },
  actor: Actor,
): Promise<{ readonly kind: 'saved' } | SaveRefusal> {
  const [key, description] = [keyOfHouse(), readDescription(dataFolder())];
  if (running) return refuse(keepingAnswers.thisIsBeingDoneAlready);
  if (!key || !description) return refuse(keepingAnswers.theDataIsNotEncrypted);
  if (!(await deriveKey(passphrase, description)).equals(key)) return refuse(keepingAnswers.thatIsNotThePassphrase);
  const house = await exchange({ folder: dataFolder(), from: key, to: undefined });
  await note(house, 'house decrypted', actor);
  return { kind: 'saved' };
}

async function exchange(change: CipherChange): Promise<Db> {
  running = { share: 0, doing: 'copying' };
  try {
    return await exchangeHouse(async () => {
      await inCipherThread({ kind: 'change', ...change }, (progress) => {
        running = progress;
      });
      rememberKey(change.to?.key);
    });
  } finally {
    running = undefined;
  }
}

const note = (db: Db, action: 'house encrypted' | 'house decrypted', actor: Actor): Promise<void> =>
  insertAudit(db, { at: actor.now.toISOString(), by: actor.therapistId, action, subject: 'house' });
