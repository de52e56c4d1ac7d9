import type { Celsius, Seconds } from '../quantities';
import { airSeconds, readySeconds } from './bath';
import type { MaterialId, SizeId, StoneBook } from './book';
import { glideOf } from './glide';
import { shapeOf } from './shape';

/** A step that takes stones: when, how long, how many at once, between which temperatures. */
export interface StoneStep {
  readonly id: string;
  readonly startS: Seconds;
  readonly durationS: Seconds;
  /** Name of the stock that it takes from. */
  readonly class: string;
  readonly count: number;
  readonly mode: 'moving' | 'still';
  readonly flip: boolean;
  readonly towelLayers: number;
  /** Hot: the least that is still warm. Cold: the most that is still cool. */
  readonly usefulC: Celsius;
  /** Hot: the most at the first touch. Cold: the least. */
  readonly firstContactC: Celsius;
  readonly usefulS?: number | undefined;
  readonly reheatS?: number | undefined;
  readonly restS?: number | undefined;
  /** It goes on with the stones of the step before it. */
  readonly carry?: boolean | undefined;
}

/** Like stones of one material. */
export interface Stock {
  readonly class: string;
  readonly size: SizeId;
  readonly material: MaterialId;
  readonly count: number;
}

export interface Bath {
  readonly bathC: Celsius;
  readonly toleranceC: Celsius;
  readonly ambientC: Celsius;
}

export type Blocked = 'no-stock' | 'window' | 'rest' | 'short-lived';

export interface StepTimes {
  readonly takeC: Celsius;
  readonly usefulS: number;
  readonly reheatS: number;
  readonly restS: number;
}

/** Baths from here on are warm: their stones cool in use. */
const warmBathC = 33;

const tolerance = 1e-9;
const roundDown = (value: number, step: number) => Math.floor(value / step + tolerance) * step;
const roundUp = (value: number, step: number) => Math.ceil(value / step - tolerance) * step;

/** How a step's stones are taken, how long they serve, and how long they are away; or why it cannot be done. */
export function stepTimes(
  book: StoneBook,
  bath: Bath,
  stock: Stock | undefined,
  step: StoneStep,
): { readonly times: StepTimes } | { readonly blocked: Blocked } {
  if (!stock) return { blocked: 'no-stock' };
  const { rotation, physics } = book;
  const stone = book.materials[stock.material];
  const shape = shapeOf(book.sizes[stock.size], stone, physics.thomsenExponent);
  const sign = bath.bathC >= warmBathC ? 1 : -1;
  const outC = bath.bathC - sign * rotation.pickupDropC;
  const isBeyond = sign * outC > sign * step.firstContactC;
  const takeC = isBeyond ? step.firstContactC : outC;
  if (sign * (takeC - step.usefulC) <= 0) return { blocked: 'window' };
  if (isBeyond && sign * (takeC - bath.ambientC) <= 0) return { blocked: 'rest' };
  const inAir = isBeyond ? (airSeconds(shape, physics, outC, takeC, bath.ambientC) ?? Infinity) : 0;
  const restS = step.restS ?? roundUp(rotation.handlingSeconds + inAir, rotation.restStepSeconds);
  const useful = step.mode === 'moving' ? glidingS() : layingS();
  const usefulS =
    step.usefulS ?? (useful === undefined ? step.durationS : roundDown(useful, rotation.usefulStepSeconds));
  if (usefulS < rotation.usefulStepSeconds) return { blocked: 'short-lived' };
  const back = { startC: step.usefulC, bathC: bath.bathC, toleranceC: bath.toleranceC };
  const reheatS = step.reheatS ?? roundUp(readySeconds(shape, stone, physics, back), rotation.reheatStepSeconds);
  return { times: { takeC, usefulS, reheatS, restS } };

  function glidingS(): number | undefined {
    const input = { startC: takeC, usefulC: step.usefulC, flip: step.flip };
    return glideOf(shape, stone, physics, input).usefulSeconds ?? undefined;
  }
  /** A laid stone as one body between skin and air. */
  function layingS(): number | undefined {
    const layers = step.towelLayers;
    const cloth =
      layers === 0
        ? physics.oilFilmM2KW
        : 2 * physics.towelFaceM2KW + (layers * physics.towelMm * 1e-3) / physics.towelWMK;
    const toSkin = shape.areaM2 / (cloth + rotation.placedTissueM2KW);
    const toAir = (physics.airWM2K * shape.surfaceM2) / 2;
    const restingC = (rotation.placedSkinC * toSkin + bath.ambientC * toAir) / (toSkin + toAir);
    const share = (takeC - restingC) / (step.usefulC - restingC);
    return share >= 1 && Number.isFinite(share) ? (shape.heatJK / (toSkin + toAir)) * Math.log(share) : undefined;
  }
}
