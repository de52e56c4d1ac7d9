/** Computing is shared out: a person or an address may use as much as one processor gives, and a reserve. */

const reserveMs = 60_000;
/** Those who have not asked for so long have their reserve back and are forgotten. */
const forgottenMs = reserveMs;

interface Share {
  readonly leftMs: number;
  readonly atMs: number;
}

/** How much computing each person or address has left. Times are milliseconds of any steady clock. */
export class FairShare {
  readonly #shares = new Map<string, Share>();

  /** @returns seconds to wait before they may ask again; 0 when it may */
  waitSeconds(sharer: string, nowMs: number): number {
    const { leftMs } = this.#at(sharer, nowMs);
    return leftMs > 0 ? 0 : Math.ceil((1 - leftMs) / 1000);
  }

  /** Takes what a question has cost off the share of who has asked it. */
  spend(sharer: string, spentMs: number, nowMs: number): void {
    this.#shares.set(sharer, { leftMs: this.#at(sharer, nowMs).leftMs - spentMs, atMs: nowMs });
    for (const [other, { atMs, leftMs }] of this.#shares)
      if (nowMs - atMs > forgottenMs && leftMs + (nowMs - atMs) >= reserveMs) this.#shares.delete(other);
  }

  #at(sharer: string, nowMs: number): Share {
    const known = this.#shares.get(sharer);
    if (!known) return { leftMs: reserveMs, atMs: nowMs };
    return { leftMs: Math.min(reserveMs, known.leftMs + Math.max(0, nowMs - known.atMs)), atMs: nowMs };
  }
}
