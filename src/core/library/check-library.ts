import { unflushed } from './flush';
import type { FieldError } from '../result';
import { findCycle, ringWords } from '../sequencing/cycle';
import type { Protocol, ProtocolBlock, ProtocolStep } from './protocol';
import { hasTrait, lymphFamilies, type Technique, touches } from './technique';
import { librarySays } from './library.says';

/** What may be named in a library. */
export interface Known {
  readonly techniques: ReadonlyMap<string, Technique>;
  /** Names of territories and node groups, without their side. */
  readonly regions: ReadonlySet<string>;
  readonly modalities: ReadonlySet<string>;
}

export const mostRepetitions = 100;

/** What is wrong with a technique, in words; nothing when it may be used. */
export function problemsOfTechnique(technique: Technique, path = ''): readonly FieldError[] {
  const at = (field: string) => (path === '' ? field : `${path}.${field}`);
  const { min, usual, max } = technique.repetitions;
  const errors: FieldError[] = [];
  if (min < 1) errors.push({ path: at('repetitions.min'), message: librarySays.atLeastOneRepetition });
  if (max > mostRepetitions)
    errors.push({ path: at('repetitions.max'), message: librarySays.atMostRepetitions(mostRepetitions) });
  if (!(min <= usual && usual <= max))
    errors.push({
      path: at('repetitions.usual'),
      message: librarySays.theUsualNumberLiesOutsideTo(usual, min, max),
    });
  if (!(technique.secondsPerRepetition > 0))
    errors.push({ path: at('secondsPerRepetition'), message: librarySays.aRepetitionTakesMoreThanNo });
  if (hasTrait(technique, 'intense') && hasTrait(technique, 'soothing'))
    errors.push({ path: at('traits'), message: librarySays.nothingIsIntenseAndSoothingAt });
  if (lymphFamilies.has(technique.family) && touches.indexOf(technique.pressure) > touches.indexOf('light'))
    errors.push({ path: at('pressure'), message: librarySays.drainageIsNeverFirmerThanLight });
  if (technique.cues.length === 0) errors.push({ path: at('cues'), message: librarySays.writeOneShortSentenceForThe });
  return errors;
}

/** What is wrong with a protocol, in words. */
export function problemsOfProtocol(protocol: Protocol, known: Known, path = ''): readonly FieldError[] {
  const at = (field: string) => (path === '' ? field : `${path}.${field}`);
  const errors: FieldError[] = [];
  if (!known.modalities.has(protocol.modality))
    errors.push({ path: at('modality'), message: librarySays.thereIsNoKindOfWork(protocol.modality) });
  if (protocol.source === 'steps' && protocol.blocks.length === 0)
    errors.push({ path: at('blocks'), message: librarySays.aProtocolNeedsAtLeastOne });
  const seen = new Set<string>();
  for (const [i, block] of protocol.blocks.entries()) {
    if (seen.has(block.id))
      errors.push({ path: at(`blocks.${i}.id`), message: librarySays.namesTwoBlocksEachNeedsIts(block.id) });
    seen.add(block.id);
    errors.push(...problemsOfBlock(block, known, at(`blocks.${i}`)));
  }
  return [...errors, ...problemsOfOrder(protocol, at)];
}

/** Blocks that wait for something that is not there, or for each other. */
function problemsOfOrder({ blocks }: Protocol, at: (field: string) => string): readonly FieldError[] {
  const ids = new Set(blocks.map(({ id }) => id));
  const unknown = blocks.flatMap(({ after = [] }, i) =>
    after.flatMap((id, k) =>
      ids.has(id) ? [] : [{ path: at(`blocks.${i}.after.${k}`), message: librarySays.thereIsNoBlockToCome(id) }],
    ),
  );
  if (unknown.length > 0) return unknown;
  const ring = findCycle(blocks.map(({ id, after = [] }) => ({ id, after })));
  if (!ring) return [];
  const first = blocks.findIndex(({ id }) => id === ring[0]);
  return [{ path: at(`blocks.${first}.after`), message: ringWords(ring) }];
}

function problemsOfBlock(block: ProtocolBlock, known: Known, path: string): readonly FieldError[] {
  if (block.steps.length === 0)
    return [{ path: `${path}.steps`, message: librarySays.theBlockHasNoStepsAdd(block.id) }];
  const errors = block.steps.flatMap((step, i) => problemsOfStep(step, block, known, `${path}.steps.${i}`));
  return [...errors, ...withoutFlush(block, known, path)];
}

function problemsOfStep(step: ProtocolStep, block: ProtocolBlock, known: Known, path: string): readonly FieldError[] {
  const errors: FieldError[] = [];
  const technique = known.techniques.get(step.technique);
  if (!technique) errors.push({ path: `${path}.technique`, message: librarySays.thereIsNoTechnique(step.technique) });
  if (step.regions.length === 0)
    errors.push({ path: `${path}.regions`, message: librarySays.sayWhereAtLeastOneRegion });
  for (const [i, region] of step.regions.entries())
    if (!known.regions.has(region))
      errors.push({ path: `${path}.regions.${i}`, message: librarySays.thereIsNoRegionOnThe(region) });
  if (step.repetitions !== undefined && !(step.repetitions >= 1 && step.repetitions <= mostRepetitions))
    errors.push({
      path: `${path}.repetitions`,
      message: librarySays.between1AndRepetitionsNot(mostRepetitions, step.repetitions),
    });
  if (technique && !agree(technique, block))
    errors.push({
      path: `${path}.technique`,
      message: librarySays.isDoneWithHandsButThe(technique.name, technique.hands, block.hands),
    });
  return errors;
}

/** Oil and stones are held in bare hands; cloth lies between. */
function agree({ hands }: Technique, block: ProtocolBlock): boolean {
  switch (hands) {
    case 'gloved':
    case 'brush':
    case 'stone':
      return block.hands === hands;
    default:
      return true;
  }
}

/** Intense steps that nothing soothing follows on the same region within the block. */
function withoutFlush(block: ProtocolBlock, known: Known, path: string): readonly FieldError[] {
  return unflushedSteps(block, known.techniques).map((i) => ({
    path: `${path}.steps.${i}`,
    message: librarySays.isIntenseFollowItInThis(
      known.techniques.get(block.steps[i]?.technique ?? '')?.name ?? librarySays.thisStep,
    ),
  }));
}

/** Numbers of the intense steps that no soothing one follows on one of the same regions. */
function unflushedSteps(
  { steps }: Pick<ProtocolBlock, 'steps'>,
  techniques: ReadonlyMap<string, Technique>,
): readonly number[] {
  const has = (step: ProtocolStep, trait: 'intense' | 'soothing') => {
    const technique = techniques.get(step.technique);
    return technique !== undefined && hasTrait(technique, trait);
  };
  return unflushed(steps, has);
}
