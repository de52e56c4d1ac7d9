import type { Celsius } from '../quantities';
import type { SkinId, StoneLimits } from './book';
import { hottestC } from './burn-risk';
import type { StoneStep } from './step-times';
import { stonesSays } from './stones.says';

/** What of a client bears on stones. */
export interface StoneClient {
  readonly skin: SkinId;
  /** The warmest that screening allows at the first touch. */
  readonly mostC: Celsius | null;
  readonly likes: '' | 'cooler' | 'usual' | 'warmer';
  /** Remark at the last visit: −2 too cool … 2 too hot. */
  readonly lastRemark: number | null;
}

/** The first touch for a client, and each thing that moved it. */
export interface FirstTouch {
  readonly firstC: Celsius;
  readonly why: readonly string[];
}

const milderC = 3;
const perRemarkC = 1;

/** How warm a stone may be at the first touch: the limit of practice for this skin, then screening, liking and last time. */
export function firstTouchOf(
  limits: StoneLimits,
  client: StoneClient,
  mode: 'moving' | 'still',
  towelLayers: number,
): FirstTouch {
  const practice = hottestC(limits, mode, towelLayers, client.skin) ?? limits.bareStopC;
  const cap = Math.min(practice, client.mostC ?? Infinity);
  const why = [
    client.mostC !== null && client.mostC < practice
      ? stonesSays.screeningAllowsAtMost(client.mostC)
      : stonesSays.isTheMostForSkin(
          practice,
          client.skin,
          mode === 'moving' ? stonesSays.inMovingWork : stonesSays.atRest,
        ),
  ];
  let wish = cap;
  if (client.likes === 'cooler') {
    wish -= milderC;
    why.push(stonesSays.likesItMildLess(milderC));
  }
  if (client.lastRemark !== null && client.lastRemark > 0) {
    wish -= client.lastRemark * perRemarkC;
    why.push(stonesSays.foundItTooWarmLastTime(client.lastRemark * perRemarkC));
  }
  if (client.lastRemark !== null && client.lastRemark < 0 && client.likes !== 'cooler' && wish < cap) {
    wish = Math.min(cap, wish - client.lastRemark * perRemarkC);
    why.push(stonesSays.foundItTooCoolLastTime);
  }
  return { firstC: wish, why };
}

/**
 * How warm the bath is set for a visit: a stone that is taken out is then right for the first touch and need not wait in
 * the air. Never warmer than the house's own setting.
 */
export const bathForVisit = (houseC: Celsius, steps: readonly StoneStep[], pickupDropC: Celsius): number =>
  Math.min(houseC, Math.max(...steps.map(({ firstContactC }) => firstContactC)) + pickupDropC);
