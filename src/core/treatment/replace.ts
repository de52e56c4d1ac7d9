import type { Anatomy, PlaceId } from '../anatomy/place';
import type { Judgement } from '../judgement/judgement';
import { judgeStep } from '../judgement/judge-step';
import type { Library } from '../library/protocol';
import { hasTrait, type Technique, touches } from '../library/technique';
import type { TreatmentBlock } from './block';

/** Strokes that calm: by what is on the hands, the first that may be given at the place stands in. */
const calmStrokes: Readonly<Record<'stone' | 'face' | 'body', readonly string[]>> = {
  stone: ['stone-effleurage'],
  face: ['contour-strokes', 'soothing-wave'],
  body: ['finger-stroke'],
};

/** Whether the hand stays where it lies; a stroke never stands in for a hold. */
const isHold = (technique: Technique): boolean =>
  technique.family === 'hold' || technique.family === 'stone-rest' || hasTrait(technique, 'press-hold');

/** Whether the hand strokes; looking, turning, breathing and the like have no other stroke in their place. */
const isStroke = ({ family }: Technique) => !['breath', 'assessment', 'ritual', 'pump', 'intraoral'].includes(family);

/**
 * What is done in the place of a technique that is out: the same kind of contact at the same places, lighter, with
 * nothing of what was refused. Undefined where there is no such thing: then nothing is done.
 */
export function standIn(
  library: Library,
  judgement: Judgement,
  block: TreatmentBlock,
  technique: Technique,
  places: readonly PlaceId[],
): Technique | undefined {
  if (isHold(technique) || !isStroke(technique) || block.hands === 'gloved') return undefined;
  if (isOverThroat(technique)) return undefined;
  const area = block.hands === 'stone' ? 'stone' : isOnHead(judgement.anatomy, places) ? 'face' : 'body';
  if (area === 'body' && block.hands !== 'oiled') return undefined;
  return calmStrokes[area]
    .flatMap((id) => library.techniques.get(id) ?? [])
    .find(
      (calm) =>
        calm.id !== technique.id &&
        touches.indexOf(calm.pressure) <= touches.indexOf(technique.pressure) &&
        judgeStep(judgement, { modality: block.modality, technique: calm, places, pressure: calm.pressure }).every(
          ({ out }) => !out,
        ),
    );
}

const isOverThroat = (technique: Technique) => hasTrait(technique, 'over-throat');

const isOnHead = (anatomy: Anatomy, places: readonly PlaceId[]) =>
  places.every((place) => anatomy.territories.get(place)?.part === 'head');
