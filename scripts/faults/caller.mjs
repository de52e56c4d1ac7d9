/** What all parts of the faults use: asking as the owner, waiting, and looking into a database. */
import path from 'node:path';
import SQLite from 'better-sqlite3-multiple-ciphers';
import { signInDemo } from '../served.mjs';

export const wait = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** Signs in as the owner. @returns asks an address; undefined where nobody answers */
export async function ownerOf(url) {
  const session = await signInDemo(url);
  const call = async (method, to, body) => {
    const isBytes = body instanceof Uint8Array;
    try {
      const answer = await fetch(`${url}${to}`, {
        method,
        headers: {
          origin: url,
          cookie: `velvet-stone=${session}`,
          'content-type': isBytes ? 'application/octet-stream' : 'application/json',
        },
        ...(body === undefined ? {} : { body: isBytes ? body : JSON.stringify(body) }),
      });
      const text = await answer.text();
      return { status: answer.status, body: text.startsWith('{') || text.startsWith('[') ? JSON.parse(text) : text };
    } catch {
      return undefined;
    }
  };
  /** The same where the PIN is asked for. */
  const proved = async (method, to, body) => {
    await call('POST', '/api/session/prove', { pin: '2719' });
    return call(method, to, body);
  };
  return { call, proved };
}

/** Begins something and ends the process after so long. @returns the answer, if it came before */
export async function killWhile(server, ms, doing) {
  const answer = doing().catch(() => undefined);
  await Promise.race([wait(ms), answer.then(() => wait(Math.min(ms, 5)))]);
  await server.kill();
  return Promise.race([answer, wait(1000)]);
}

export const databaseOf = (data) => path.join(data, 'velvet-stone.sqlite');

/** What a query finds in a database that nobody has open. */
export function look(data, query, ...values) {
  const sqlite = new SQLite(databaseOf(data));
  try {
    return sqlite
      .prepare(query)
      .pluck()
      .get(...values);
  } finally {
    sqlite.close();
  }
}
