import { isOfHead } from '../anatomy/head';
import { nameOf, type PlaceId } from '../anatomy/place';
import type { Library } from '../library/protocol';
import { hasTrait, type Technique, touches } from '../library/technique';
import type { ModalityAnswer, Screening } from '../screening/screen';
import { type Limits, rankOf } from '../screening/tables';
import type { TreatmentBlock, TreatmentStep } from './block';

/** Something that was chosen and is not given, or not as the protocol says, with the reason in words. */
export interface LeftOut {
  readonly choice: string;
  readonly block: string | null;
  readonly what: string;
  readonly why: string;
  /** What is done in its place. */
  readonly instead: string | null;
}

export interface Allowed {
  readonly blocks: readonly TreatmentBlock[];
  readonly leftOut: readonly LeftOut[];
  /** Seconds that a kind of work may take at most, where something found asks for less than usual. */
  readonly mostSeconds: ReadonlyMap<string, number>;
}

export interface Allowance {
  readonly screening: Pick<Screening, 'byModality' | 'regions'>;
  readonly qualifications: ReadonlySet<string>;
  /** What a kind of work is usually held to; only less than that binds a plan. */
  readonly usualMinutes: ReadonlyMap<string, number>;
  /** Skin that reacts to much: nothing stimulating on the face. */
  readonly hasReactiveFace: boolean;
  /** Places whose skin is red or irritated today, with why: nothing stimulating there. */
  readonly irritated?: ReadonlyMap<PlaceId, string> | undefined;
  /** How often each kind of work was given in the seven days before. */
  readonly timesThisWeek?: ReadonlyMap<string, number> | undefined;
}

const oftenEnough = (times: number) =>
  `Given ${times === 1 ? 'once' : times === 2 ? 'twice' : `${times} times`} in the last seven days: not more often.`;

const isOff = ({ decision }: Pick<ModalityAnswer, 'decision'>) => rankOf(decision) >= rankOf('clear-first');
const heatFamilies = /^stone-(glide|press|rest)$/;

/** Takes out of a treatment what screening, the law and the therapist's training do not allow. */
export function allowOnly(library: Library, blocks: readonly TreatmentBlock[], allowance: Allowance): Allowed {
  const leftOut: LeftOut[] = [];
  const mostSeconds = new Map<string, number>();
  const kept = blocks.flatMap((block): TreatmentBlock[] => {
    const answer = allowance.screening.byModality.find(({ modality }) => modality === block.modality);
    const refuse = (why: string) => {
      const isKnown = leftOut.some((one) => one.choice === block.choice && one.block === null && one.why === why);
      if (!isKnown) leftOut.push({ choice: block.choice, block: null, what: block.modality, why, instead: null });
      return [];
    };
    if (!answer) return [block];
    if (isOff(answer)) return refuse(answer.reasons[0]?.text ?? 'Screening does not allow it.');
    const { limits } = answer;
    const times = allowance.timesThisWeek?.get(block.modality) ?? 0;
    if (limits.maxPerWeek !== undefined && times >= limits.maxPerWeek) return refuse(oftenEnough(times));
    const usualMinutes = allowance.usualMinutes.get(block.modality) ?? Infinity;
    if (limits.maxMinutes !== undefined && limits.maxMinutes < usualMinutes)
      mostSeconds.set(block.modality, limits.maxMinutes * 60);
    if (limits.avoidPosition?.includes(block.position)) {
      leftOut.push(lost(block, block.name, `Not ${block.position}: ${whyLimit(answer)}`));
      return [];
    }
    if (limits.noOil && block.hands === 'oiled') {
      leftOut.push(lost(block, block.name, `No oil: ${whyLimit(answer)}`));
      return [];
    }
    const steps = block.steps.flatMap((step) => {
      const result = allowStep(library, block, step, allowance, answer);
      leftOut.push(...result.leftOut);
      return result.steps;
    });
    return steps.length > 0 ? [{ ...block, steps }] : [];
  });
  return { blocks: kept, leftOut, mostSeconds };
}

const lost = (block: TreatmentBlock, what: string, why: string, instead: string | null = null): LeftOut => ({
  choice: block.choice,
  block: block.id,
  what,
  why,
  instead,
});

const whyLimit = ({ reasons }: ModalityAnswer) => reasons[0]?.text ?? 'screening asks for it.';

interface StepResult {
  readonly steps: readonly TreatmentStep[];
  readonly leftOut: readonly LeftOut[];
}

function allowStep(
  library: Library,
  block: TreatmentBlock,
  step: TreatmentStep,
  allowance: Allowance,
  answer: ModalityAnswer,
): StepResult {
  const untrained = needsTraining(step.technique, allowance.qualifications);
  if (untrained) return { steps: [], leftOut: [lost(block, step.technique.name, untrained)] };
  const rows = allowance.screening.regions.filter(
    (row) => row.modality === block.modality && step.places.includes(row.region),
  );
  const off = rows.filter(isOff);
  const places = step.places.filter((place) => !off.some(({ region }) => region === place));
  const reason = off[0] ? whyLimit(off[0]) : '';
  if (places.length === 0 && off.length > 0) return { steps: [], leftOut: [lost(block, step.technique.name, reason)] };
  const limits: readonly Limits[] = [answer.limits, ...rows.filter((row) => !isOff(row)).map((row) => row.limits)];
  const why = whyLimit(rows.find((row) => !isOff(row) && Object.keys(row.limits).length > 0) ?? answer);
  const instead = refusedTechnique(step, limits, allowance);
  const here = withPlaces(step, places);
  if (instead) {
    const calm = calmTechnique(library, block, step.technique, limits);
    const given = calm ? [pressed(replaced(here, calm), limits)] : [];
    return {
      steps: given,
      leftOut: [lost(block, step.technique.name, instead === 'limit' ? why : instead, calm?.name ?? null)],
    };
  }
  const partly = off.length > 0 ? [lost(block, `${step.technique.name}, in part`, reason)] : [];
  return { steps: [pressed(here, limits)], leftOut: partly };
}

/** @returns what training is missing, in words */
function needsTraining(technique: Technique, held: ReadonlySet<string>): string | undefined {
  if (hasTrait(technique, 'licensed') && !held.has('manual-medicine-licence'))
    return 'Only with a licence in manual medicine.';
  if (hasTrait(technique, 'inside-the-mouth') && !held.has('intraoral'))
    return 'Only with training in gloved work inside the mouth.';
  if (hasTrait(technique, 'guarded') && !held.has('aromatherapy-clinical'))
    return 'Only with training in clinical aromatherapy.';
  const isAdvanced = hasTrait(technique, 'advanced') && !held.has('manual-medicine-licence') && !held.has('massage');
  return isAdvanced ? 'Only for those trained in it.' : undefined;
}

/** @returns why a technique is not given here, `limit` when a limit names it, undefined when it may be given */
function refusedTechnique(
  { technique, regions, places }: TreatmentStep,
  limits: readonly Limits[],
  { hasReactiveFace, irritated }: Pick<Allowance, 'hasReactiveFace' | 'irritated'>,
): string | undefined {
  if (limits.some(({ skipTechniques }) => skipTechniques?.includes(technique.id))) return 'limit';
  if (limits.some(({ noHeat }) => noHeat) && heatFamilies.test(technique.family)) return 'No heat here.';
  if (limits.some(({ noCold }) => noCold) && technique.family === 'stone-cool') return 'No cold here.';
  if (hasTrait(technique, 'stimulating')) {
    const why = places.flatMap((place) => irritated?.get(place) ?? [])[0];
    if (why) return why;
  }
  if (hasReactiveFace && hasTrait(technique, 'stimulating') && regions.some(isOfHead))
    return 'Skin that reacts: nothing that stimulates it on the face.';
  return undefined;
}

/** What calms the same region with the same hands: a sweep for the face, a long stroke for the body. */
function calmTechnique(
  library: Library,
  block: TreatmentBlock,
  technique: Technique,
  limits: readonly Limits[],
): Technique | undefined {
  const wanted =
    block.hands === 'stone' ? ['stone-effleurage'] : block.hands === 'oiled' ? calmOiled(technique) : ['soothing-wave'];
  return wanted
    .filter((id) => id !== technique.id && !limits.some(({ skipTechniques }) => skipTechniques?.includes(id)))
    .flatMap((id) => library.techniques.get(id) ?? [])
    .find(({ family }) => !(heatFamilies.test(family) && limits.some(({ noHeat }) => noHeat)));
}

const calmOiled = ({ family }: Technique) =>
  family === 'facial' ? ['contour-strokes', 'soothing-wave'] : ['soothing-wave', 'finger-stroke'];

const replaced = (step: TreatmentStep, technique: Technique): TreatmentStep => ({
  ...step,
  technique,
  repetitions: technique.repetitions.usual,
  pressure: technique.pressure,
  note: '',
});

function withPlaces(step: TreatmentStep, places: readonly PlaceId[]): TreatmentStep {
  if (places.length === step.places.length) return step;
  const names = new Set(places.map(nameOf));
  return { ...step, places, regions: step.regions.filter((region) => names.has(region)) };
}

/** No firmer than the strictest limit; what was meant firmer says so. */
function pressed(step: TreatmentStep, limits: readonly Limits[]): TreatmentStep {
  const most = limits.flatMap(({ maxPressure }) => (maxPressure ? [touches.indexOf(maxPressure)] : []));
  const now = touches.indexOf(step.pressure);
  const allowed = Math.min(now, ...most);
  if (allowed === now) return step;
  const pressure = touches[allowed] ?? 'feather';
  return { ...step, pressure, cautions: [...step.cautions, `No firmer than ${pressure} today.`] };
}
