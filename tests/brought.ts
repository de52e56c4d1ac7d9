import { anatomy } from '../src/catalogue/anatomy';
import { screeningBook } from '../src/catalogue/screening/screening';
import type { Brought } from './judged-client';

const territories = [...anatomy.territories.keys()];

/** Mulberry32 (T. Ettinger, 2017): small, seeded, the same in every run. */
export function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let t = Math.imul(state ^ (state >>> 15), 1 | state);
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t;
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** A condition with a side, places and a day as a client might bring it. */
export function brought(id: string, random: () => number): Brought {
  const condition = screeningBook.conditions.get(id);
  const any = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const days = Math.floor(random() * 400);
  const date = condition?.dated
    ? new Date(Date.UTC(2026, 10, 25) - days * 86_400_000).toISOString().slice(0, 10)
    : undefined;
  const place = random() < 0.8 ? any(territories) : undefined;
  return {
    id,
    ...(condition?.locatable === 'side' ? { side: any(['left', 'right', 'both'] as const) } : {}),
    ...(['region', 'line', 'point'].includes(condition?.locatable ?? '') && place ? { regions: [place] } : {}),
    ...(date ? { date } : {}),
  };
}
