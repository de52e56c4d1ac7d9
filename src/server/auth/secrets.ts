import { createHash, randomBytes } from 'node:crypto';
import { hash, verify } from '@node-rs/argon2';

/** argon2id is the package's default; memory in KiB, as OWASP's password storage sheet (2024) has it at least. */
const cost = { memoryCost: 19_456, timeCost: 2, parallelism: 1 } as const;

export function hashSecret(secret: string): Promise<string> {
  return hash(secret.normalize('NFKC'), cost);
}

/** Takes as long for a person who does not exist as for one who does. */
export async function isSecret(stored: string | null, input: string): Promise<boolean> {
  nobody ??= hashSecret(randomBytes(12).toString('hex'));
  return (await verify(stored ?? (await nobody), input.normalize('NFKC'))) && stored !== null;
}
let nobody: Promise<string> | undefined;

/** A session's token, which only the browser has, and what is stored of it. */
export function makeToken(): { readonly token: string; readonly hash: string } {
  const token = randomBytes(32).toString('base64url');
  return { token, hash: hashToken(token) };
}

export function hashToken(token: string): string {
  return createHash('sha256').update(token).digest('hex');
}
