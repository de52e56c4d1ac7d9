import type { Celsius, Seconds } from '../quantities';
import { effusivityOf, type MaterialId, type SkinId, type StoneBook } from './book';
import { type Boundary, type Slab, steadyTemperatures, type Stepper, stepperFor } from './conduction';
import { damageSum } from './damage';
import { type BurnRisk, burnRisk } from './burn-risk';
import { type Fineness, halfConductance, skinCells, type Stack, stoneCells, towelCells } from './stack';

/** A stone on one spot of skin, at rest or coming back to it in passes. */
export interface ContactCase {
  readonly material: MaterialId;
  readonly thicknessMm: number;
  readonly startC: Celsius;
  readonly mode: 'still' | 'moving';
  readonly towelLayers: number;
  readonly seconds: Seconds;
  readonly skin: SkinId;
  readonly skinStartC: Celsius;
  readonly ambientC: Celsius;
  /** The towel is damp and conducts some six times better; dry when left out. */
  readonly isTowelDamp?: boolean | undefined;
}

export interface ContactPoint {
  readonly s: number;
  readonly stoneC: Celsius;
  readonly surfaceC: Celsius;
  readonly basalC: Celsius;
}

export interface Contact {
  readonly interfaceC: Celsius;
  readonly skinSurfacePeakC: Celsius;
  readonly basalPeakC: Celsius;
  readonly basalPeakAtS: number;
  readonly omega: number;
  readonly burnRisk: BurnRisk;
  readonly curve: readonly ContactPoint[];
}

/** Temperature of the first instant of bare contact. */
export function interfaceC(book: StoneBook, material: MaterialId, stoneC: Celsius, skinC: Celsius): number {
  const [stone, skin] = [effusivityOf(book.materials[material]), effusivityOf(book.tissue.epidermis)];
  return (stone * stoneC + skin * skinC) / (stone + skin);
}

/** What a stone does to the skin under it: transient conduction through layers with blood flow, and the harm it sums up to. */
export function contactOf(book: StoneBook, input: ContactCase, fineness: Fineness = 1): Contact {
  const whole = traceOf(book, input, Math.max(1, Math.ceil(input.seconds / 60)), fineness);
  const trace = { ...whole, curve: whole.curve.map(({ omega: _, ...point }) => point) };
  const first = interfaceC(book, input.material, input.startC, input.skinStartC);
  const contact = { interfaceC: first, ...trace };
  return { ...contact, burnRisk: burnRisk(book, input, contact) };
}

/** The same without the judgement, the harm summed up at each point. */
interface Trace extends Omit<Contact, 'interfaceC' | 'burnRisk' | 'curve'> {
  readonly curve: readonly (ContactPoint & { readonly omega: number })[];
}

/** @param everyS seconds between points of the curve */
export const traceOf = (book: StoneBook, input: ContactCase, everyS: number, fineness: Fineness = 1): Trace =>
  input.mode === 'still' ? stillTrace(book, input, everyS, fineness) : movingTrace(book, input, everyS, fineness);

const firm: Boundary = { conductanceWM2K: Infinity, toC: 37 };

/** Gathers peaks, harm and the points of the curve while time goes on. */
function recorder(book: StoneBook, input: ContactCase, every: number, first: Omit<ContactPoint, 's'>) {
  const isCold = input.startC < input.skinStartC;
  const curve: Trace['curve'][number][] = [{ s: 0, ...first, omega: 0 }];
  const damage = damageSum(book.physics, first.basalC);
  let [surfacePeakC, basalPeakC, basalPeakAtS] = [first.surfaceC, first.basalC, 0];
  const isBeyond = (now: number, peak: number) => (isCold ? now < peak : now > peak);
  return {
    add: (s: number, stepSeconds: Seconds, stoneC: () => number, surfaceC: Celsius, basalC: Celsius) => {
      damage.add(basalC, stepSeconds);
      if (isBeyond(surfaceC, surfacePeakC)) surfacePeakC = surfaceC;
      if (isBeyond(basalC, basalPeakC)) [basalPeakC, basalPeakAtS] = [basalC, s];
      const whole = Math.round(s);
      const isPoint = whole > 0 && Math.abs(s - whole) < 1e-6 && (whole % every === 0 || whole === input.seconds);
      if (isPoint && curve.at(-1)?.s !== whole)
        curve.push({ s: whole, stoneC: stoneC(), surfaceC, basalC, omega: damage.omega });
    },
    result: (): Trace => ({ skinSurfacePeakC: surfacePeakC, basalPeakC, basalPeakAtS, omega: damage.omega, curve }),
  };
}

/** Lengths of steps by the time since contact: the first moments are steep. */
const stretches: readonly { readonly untilS: number; readonly stepS: number }[] = [
  { untilS: 0.1, stepS: 0.002 },
  { untilS: 1, stepS: 0.02 },
  { untilS: 10, stepS: 0.05 },
  { untilS: Infinity, stepS: 0.25 },
];

function stillTrace(book: StoneBook, input: ContactCase, everyS: number, fineness: Fineness): Trace {
  const { physics } = book;
  const stone = stoneCells(input.thicknessMm, book.materials[input.material], fineness);
  const towel = {
    conductivityWMK: input.isTowelDamp ? physics.dampTowelWMK : physics.towelWMK,
    densityKgM3: physics.towelKgM3,
    specificHeatJKgK: physics.towelJKgK,
  };
  const cloth = towelCells(input.towelLayers, physics.towelMm, towel, fineness);
  const skin = skinCells(book, input.skin, fineness);
  const skinAt = stone.length + cloth.length;
  const stack: Stack = [...stone, ...cloth, ...skin];
  const resistances =
    cloth.length === 0
      ? new Map([[stone.length - 1, physics.oilFilmM2KW]])
      : new Map([
          [stone.length - 1, physics.towelFaceM2KW],
          [skinAt - 1, physics.towelFaceM2KW],
        ]);
  const slab: Slab = { stack, resistances, bloodJM3K: physics.bloodJM3K, coreC: physics.coreC };
  const inner = { ...firm, toC: physics.coreC };
  const temperatures = new Float64Array(stack.length);
  temperatures.fill(input.startC, 0, stone.length);
  temperatures.fill(input.skinStartC, stone.length, skinAt);
  temperatures.set(restingSkin(book, skin, input.skinStartC), skinAt);
  const basalAt = skinAt + epidermisCells(skin, book);
  const surface = faceBehind(slab, skinAt - 1);
  const basal = faceBetween(slab, basalAt - 1);
  const mean = meanOver(stone);
  const record = recorder(book, input, everyS, {
    stoneC: input.startC,
    surfaceC: input.skinStartC,
    basalC: basal(temperatures),
  });
  let doneS = 0;
  for (const { untilS, stepS } of stretches) {
    const step = stepS / fineness;
    const endS = Math.min(untilS, input.seconds);
    const count = Math.round((endS - doneS) / step);
    if (count <= 0) continue;
    const stepper = stepperFor(slab, physics.airWM2K, inner, step);
    for (let i = 1; i <= count; i += 1) {
      stepper.advance(temperatures, input.ambientC);
      record.add(doneS + i * step, step, () => mean(temperatures), surface(temperatures), basal(temperatures));
    }
    doneS = endS;
  }
  return record.result();
}

const passStepS = 0.02;
const stepsPerSecond = Math.round(1 / passStepS);

/** One spot under closely returning passes: the stone's face follows its own slab, the skin is driven by it. */
function movingTrace(book: StoneBook, input: ContactCase, everyS: number, fineness: Fineness): Trace {
  const { physics } = book;
  const step = passStepS / fineness;
  const stone = stoneCells(input.thicknessMm, book.materials[input.material], fineness);
  const skin = skinCells(book, input.skin, fineness);
  const glide = physics.glideShare * physics.glideWM2K;
  const stoneSlab: Slab = { stack: stone, resistances: new Map(), bloodJM3K: 0, coreC: physics.coreC };
  const skinSlab: Slab = { stack: skin, resistances: new Map(), bloodJM3K: physics.bloodJM3K, coreC: physics.coreC };
  const stoneStep = stepperFor(stoneSlab, physics.handWM2K, { conductanceWM2K: glide, toC: input.skinStartC }, step);
  const inner = { ...firm, toC: physics.coreC };
  const film = 1 / physics.oilFilmM2KW;
  const inTouch = stepperFor(skinSlab, film, inner, step);
  const inAir = stepperFor(skinSlab, physics.airWM2K, inner, step);
  const stoneT = new Float64Array(stone.length).fill(input.startC);
  const skinT = restingSkin(book, skin, input.skinStartC);
  const basal = faceBetween(skinSlab, epidermisCells(skin, book) - 1);
  const mean = meanOver(stone);
  const lastHalf = halfOf(stone, stone.length - 1);
  const firstHalf = halfOf(skin, 0);
  const record = recorder(book, input, everyS, {
    stoneC: input.startC,
    surfaceC: input.skinStartC,
    basalC: basal(skinT),
  });
  const perSecond = stepsPerSecond * fineness;
  for (let i = 0; i < input.seconds * perSecond; i += 1) {
    stoneStep.advance(stoneT, physics.handC);
    const isInTouch = i % (physics.passPeriodSeconds * perSecond) < physics.passContactSeconds * perSecond;
    const inside = stoneT[stone.length - 1] as number;
    const faceC = (lastHalf * inside + glide * input.skinStartC) / (lastHalf + glide);
    const [outer, outerC]: readonly [number, number] = isInTouch ? [film, faceC] : [physics.airWM2K, input.ambientC];
    const stepper: Stepper = isInTouch ? inTouch : inAir;
    stepper.advance(skinT, outerC);
    const surfaceC = (firstHalf * (skinT[0] as number) + outer * outerC) / (firstHalf + outer);
    record.add((i + 1) * step, step, () => mean(stoneT), surfaceC, basal(skinT));
  }
  return record.result();
}

/** Skin that has rested long with its surface held. */
function restingSkin(book: StoneBook, skin: Stack, surfaceC: Celsius): Float64Array {
  const { physics } = book;
  const slab: Slab = { stack: skin, resistances: new Map(), bloodJM3K: physics.bloodJM3K, coreC: physics.coreC };
  return steadyTemperatures(slab, Infinity, surfaceC, { ...firm, toC: physics.coreC });
}

/** How many cells the epidermis has: they conduct as it does. */
const epidermisCells = (skin: Stack, { tissue }: StoneBook): number =>
  skin.findIndex(({ conductivityWMK }) => conductivityWMK !== tissue.epidermis.conductivityWMK);

function halfOf(stack: Stack, i: number): number {
  const cell = stack[i];
  if (!cell) throw new Error(`there is no cell ${i}`);
  return halfConductance(cell);
}

/** Temperature of the face between two cells in perfect touch, from the flux that is the same on both sides. */
function faceBetween({ stack }: Slab, i: number): (temperatures: Float64Array) => number {
  const [outer, inner] = [halfOf(stack, i), halfOf(stack, i + 1)];
  return (t) => (outer * (t[i] as number) + inner * (t[i + 1] as number)) / (outer + inner);
}

/** The inner face behind a resistance. */
function faceBehind({ stack, resistances }: Slab, i: number): (temperatures: Float64Array) => number {
  const [outer, inner] = [halfOf(stack, i), halfOf(stack, i + 1)];
  const whole = 1 / outer + (resistances.get(i) ?? 0) + 1 / inner;
  return (t) => (t[i + 1] as number) + ((t[i] as number) - (t[i + 1] as number)) / whole / inner;
}

/** Mean over the first cells, by their thickness. */
function meanOver(cells: Stack): (temperatures: Float64Array) => number {
  const total = cells.reduce((sum, { thicknessM }) => sum + thicknessM, 0);
  const shares = Float64Array.from(cells, ({ thicknessM }) => thicknessM / total);
  return (t) => shares.reduce((sum, share, i) => sum + share * (t[i] as number), 0);
}
