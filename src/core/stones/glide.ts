import type { Celsius, Seconds } from '../quantities';
import type { Medium, StonePhysics } from './book';
import type { StoneShape } from './shape';

/** A stone that glides, from its start to the temperature at which it is no longer useful. */
export interface GlideCase {
  readonly startC: Celsius;
  readonly usefulC: Celsius;
  /** Turned over once, when the side on the skin has become useless. */
  readonly flip: boolean;
}

export interface GlidePoint {
  readonly s: number;
  readonly contactC: Celsius;
  readonly otherC: Celsius;
  readonly faceC: Celsius;
}

export interface Glide {
  /** Seconds; null where the limit is not reached within the longest time. */
  readonly usefulSeconds: Seconds | null;
  readonly curve: readonly GlidePoint[];
}

/** The half on the skin and the half under the hand. */
type Halves = readonly [number, number];

const points = 60;
const bisections = 60;

export function glideOf(shape: StoneShape, stone: Medium, physics: StonePhysics, input: GlideCase): Glide {
  const { startC, usefulC, flip } = input;
  const model = glideModel(shape, stone, physics);
  const longest = physics.longestSeconds;
  const isCold = startC < physics.glideSkinC;
  const isUseless = (contactC: Celsius) => (isCold ? contactC >= usefulC : contactC <= usefulC);
  const start: Halves = [startC, startC];
  if (isUseless(startC)) return { usefulSeconds: 0, curve: [pointAt(model, 0, start)] };
  const turnS = crossing(model.after(start), isUseless, longest);
  const turned = turnS === undefined || !flip ? undefined : swap(model.after(start)(turnS));
  const more = turned && crossing(model.after(turned), isUseless, longest - (turnS ?? 0));
  const usefulSeconds = !flip ? (turnS ?? null) : turnS === undefined || more === undefined ? null : turnS + more;
  const at = (seconds: Seconds): Halves =>
    turned && turnS !== undefined && seconds >= turnS
      ? model.after(turned)(seconds - turnS)
      : model.after(start)(seconds);
  const end = usefulSeconds ?? longest;
  const every = Math.max(1, Math.ceil(end / points));
  const times = Array.from({ length: Math.floor(end / every) + 1 }, (_, i) => i * every);
  if (times.at(-1) !== end) times.push(end);
  return { usefulSeconds, curve: times.map((s) => pointAt(model, s, at(s))) };
}

const swap = ([contact, other]: Halves): Halves => [other, contact];

const pointAt = ({ faceOf }: GlideModel, s: number, [contactC, otherC]: Halves): GlidePoint => ({
  s,
  contactC,
  otherC,
  faceC: faceOf(contactC),
});

interface GlideModel {
  readonly after: (start: Halves) => (seconds: Seconds) => Halves;
  readonly faceOf: (contactC: Celsius) => number;
}

/** Two halves, each of one temperature, joined to each other, to the skin and to the hand: solved by their two rates. */
export function glideModel(shape: StoneShape, stone: Medium, physics: StonePhysics): GlideModel {
  const { areaM2, meanThicknessM, heatJK } = shape;
  const toFace = meanThicknessM / (5 * stone.conductivityWMK);
  const film = 1 / (physics.glideShare * physics.glideWM2K);
  const toSkin = areaM2 / (film + toFace);
  const between = (areaM2 * stone.conductivityWMK) / (meanThicknessM / 2);
  const toHand = areaM2 / (1 / physics.handWM2K + toFace);
  const half = heatJK / 2;
  const [a, b, c] = [(toSkin + between) / half, between / half, (toHand + between) / half];
  // Where both halves come to rest.
  const whole = toSkin * toHand + between * (toSkin + toHand);
  const flow = toSkin * physics.glideSkinC + toHand * physics.handC;
  const restContact = (toHand * toSkin * physics.glideSkinC + between * flow) / whole;
  const restOther = (toSkin * toHand * physics.handC + between * flow) / whole;
  const spread = Math.sqrt(((a - c) / 2) ** 2 + b * b);
  const [slow, fast] = [(a + c) / 2 - spread, (a + c) / 2 + spread];
  return {
    faceOf: (contactC) => contactC - ((contactC - physics.glideSkinC) * toFace) / (film + toFace),
    after: ([contact, other]) => {
      const [u, v] = [contact - restContact, other - restOther];
      // du/dt = −a·u + b·v, dv/dt = b·u − c·v, in parts that fade at the two rates.
      const slowU = ((fast - a) * u + b * v) / (fast - slow);
      const slowV = (b * u + (fast - c) * v) / (fast - slow);
      return (seconds) => {
        const [s, f] = [Math.exp(-slow * seconds), Math.exp(-fast * seconds)];
        return [restContact + slowU * s + (u - slowU) * f, restOther + slowV * s + (v - slowV) * f];
      };
    },
  };
}

/** First time at which the half on the skin has become useless; undefined when it does not within so long. */
function crossing(
  after: (seconds: Seconds) => Halves,
  isUseless: (contactC: Celsius) => boolean,
  longestSeconds: Seconds,
): number | undefined {
  if (isUseless(after(0)[0])) return 0;
  let low = 0;
  while (low < longestSeconds && !isUseless(after(Math.min(low + 1, longestSeconds))[0])) low += 1;
  if (low >= longestSeconds) return undefined;
  let high = Math.min(low + 1, longestSeconds);
  for (let i = 0; i < bisections; i += 1) {
    const middle = (low + high) / 2;
    if (isUseless(after(middle)[0])) high = middle;
    else low = middle;
  }
  return (low + high) / 2;
}
