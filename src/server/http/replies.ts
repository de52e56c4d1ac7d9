/**
 * Answers of the last minutes by the number of the draft that they are for. When an answer was lost on its way, the
 * draft comes again: it gets the same answer, and nothing is stored twice. Kept in memory only, so that nothing of a
 * record lies about; after a restart a draft that had been stored is told apart by its version.
 */

const keptMs = 10 * 60_000;
const mostBytes = 16_000_000;

interface Kept {
  readonly at: number;
  readonly reply: Promise<Response>;
  bytes: number;
}

const kept = new Map<string, Kept>();
let bytes = 0;

function drop(key: string): void {
  bytes -= kept.get(key)?.bytes ?? 0;
  kept.delete(key);
}

function makeRoom(now: number): void {
  for (const [key, { at }] of kept) {
    if (now - at < keptMs && bytes <= mostBytes) break;
    drop(key);
  }
}

/**
 * Has a draft answered once, also while its first arrival is still being answered. Only what was stored is kept: a
 * refusal, or a fault, may be another the next time.
 * @param key whose draft it is, and its number
 */
export async function once(key: string, answer: () => Promise<Response>, now = Date.now()): Promise<Response> {
  const known = kept.get(key);
  if (known && now - known.at < keptMs) return (await known.reply).clone();
  const reply = answer();
  const entry: Kept = { at: now, reply, bytes: 0 };
  kept.set(key, entry);
  try {
    const response = await reply;
    if (!response.ok) drop(key);
    else {
      entry.bytes = (await response.clone().arrayBuffer()).byteLength;
      bytes += entry.bytes;
      makeRoom(now);
    }
    return response.clone();
  } catch (error) {
    drop(key);
    throw error;
  }
}

const longestKey = 100;

/** @returns undefined for requests that do not say which draft they are */
export function draftKeyOf(request: Request, who: string): string | undefined {
  const id = request.headers.get('idempotency-key');
  if (id === null || id.length === 0 || id.length > longestKey) return undefined;
  return `${who} ${request.method} ${new URL(request.url).pathname} ${id}`;
}
