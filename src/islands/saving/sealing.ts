import { xchacha20poly1305 } from '@noble/ciphers/chacha';
import { randomBytes } from '@noble/ciphers/webcrypto';

/** 32 bytes that the house derives for a person. */
export type Key = Uint8Array;

const nonceBytes = 24;

/**
 * Seals a value so that only its writer can read it; browsers’ own ciphers are not there on plain addresses of a house.
 * @returns nonce and sealed JSON
 */
export function seal(value: unknown, key: Key): Uint8Array {
  const nonce = randomBytes(nonceBytes);
  const sealed = xchacha20poly1305(key, nonce).encrypt(new TextEncoder().encode(JSON.stringify(value)));
  const both = new Uint8Array(nonceBytes + sealed.length);
  both.set(nonce);
  both.set(sealed, nonceBytes);
  return both;
}

/** @returns undefined for what another key has sealed, or what was changed */
export function open<T>(both: Uint8Array, key: Key): T | undefined {
  try {
    const plain = xchacha20poly1305(key, both.subarray(0, nonceBytes)).decrypt(both.subarray(nonceBytes));
    // What we have sealed ourselves, and nobody has changed since.
    return JSON.parse(new TextDecoder().decode(plain)) as T;
  } catch {
    return undefined;
  }
}

/** The same as text, for stores that take nothing else. */
export const sealText = (value: unknown, key: Key): string =>
  btoa(Array.from(seal(value, key), (byte) => String.fromCharCode(byte)).join(''));

/** @returns undefined for what is no sealed text, too */
export function openText<T>(text: string, key: Key): T | undefined {
  try {
    return open<T>(
      Uint8Array.from(atob(text), (letter) => letter.charCodeAt(0)),
      key,
    );
  } catch {
    return undefined;
  }
}
