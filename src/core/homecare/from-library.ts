import type { Minutes } from '../quantities';
import type { Anatomy, PlaceId } from '../anatomy/place';
import type { Finding } from '../drainage/finding';
import { findHindrances } from '../drainage/hindrance';
import { shortLabel } from '../anatomy/place-labels';
import type { Library } from '../library/protocol';
import type { Technique } from '../library/technique';
import type { Result } from '../result';
import { secondsAt } from '../sequencing/time-fit';
import type { Judgement } from '../judgement/judgement';
import { judgeBlocks } from '../treatment/judge-blocks';
import { placesInWords, reasonInWords } from '../judgement/words';
import { withinMinutes } from '../treatment/within-minutes';
import type { TreatmentBlock, TreatmentStep } from '../treatment/block';
import { expandChoices } from '../treatment/expand';
import { fitBlocks, toFitStep } from '../treatment/fit-blocks';
import { isHeld, kindOf } from '../treatment/tell';
import { inParts } from './parts';
import { canReach } from './reach';
import type { HomeLeftOut, HomeReach, HomeRoutine, HomeSheet, HomeStep } from './sheet';
import { homecareSays } from './homecare.says';

export interface LibraryHomeWish {
  readonly side: 'left' | 'right' | null;
  readonly minutes: Minutes;
  readonly reach: HomeReach;
}

/**
 * A sheet from a protocol of the library, for this client: what screening, the ways of the fluid and the client’s own
 * reach do not allow goes out, with the reason; the rest is fitted to the minutes in the order of the protocol.
 * Errors: `routine` when nothing is left, `minutes` when the least of it does not fit.
 */
export function sheetFromLibrary(
  anatomy: Anatomy,
  library: Library,
  routine: HomeRoutine,
  findings: readonly Finding[],
  judgement: Judgement,
  wish: LibraryHomeWish,
): Result<HomeSheet> {
  if (routine.from === 'planner') throw new Error(`${routine.id} comes from the planner`);
  const choice = { id: routine.id, protocol: routine.from.protocol, blocks: routine.from.blocks };
  const judged = judgeBlocks(library, judgement, expandChoices(anatomy, library, [choice], wish.side), () => undefined);
  const held = withinMinutes(judged.blocks, judged.mostSeconds);
  const allowed = { ...judged, blocks: held.blocks };
  const leftOut: HomeLeftOut[] = [...judged.leftOut, ...held.leftOut].map((one) => ({
    what:
      one.technique === null
        ? one.blockName
        : `${library.techniques.get(one.technique)?.name ?? one.technique}: ${placesInWords(anatomy, one.places)}`,
    why: reasonInWords({ anatomy, book: judgement.book }, one.reason),
    ...{ rule: one.reason.rule, technique: one.technique, places: one.places },
  }));
  const { blocked, closed } = findHindrances(anatomy, findings);
  const mayTouch = (place: PlaceId) =>
    !blocked.has(place) && !closed.has(place) && canReach(anatomy, place, wish.reach);
  const blocks = allowed.blocks.flatMap((block): TreatmentBlock[] => {
    const steps = block.steps.flatMap((step): TreatmentStep[] => {
      const places = step.places.filter(mayTouch);
      const gone = step.places.filter((place) => !mayTouch(place));
      leftOut.push(
        ...gone.map((place) => ({
          ...{ what: shortLabel(anatomy, place), why: whyNot(place, blocked, closed) },
          ...{ rule: ruleOf(place, blocked, closed), technique: step.technique.id, places: [place] },
        })),
      );
      return places.length > 0 ? [{ ...step, places, technique: handOnce(step.technique) }] : [];
    });
    return steps.length > 0 ? [{ ...block, steps }] : [];
  });
  if (blocks.length === 0)
    return {
      ok: false,
      errors: [{ path: 'routine', message: leftOut[0]?.why ?? homecareSays.nothingOfItMayBeDone }],
    };
  const fit = fitBlocks(blocks, wish.minutes * 60, allowed.mostSeconds, false);
  if (!fit.fits)
    return {
      ok: false,
      errors: [
        {
          path: 'minutes',
          message: homecareSays.evenTheShortestFormTakesSeconds(fit.shortBySeconds),
        },
      ],
    };
  const repetitions = new Map(fit.repetitions.map((one) => [one.id, one.repetitions]));
  const steps = blocks.flatMap((block) =>
    block.steps.map((step) => toHomeStep(block, step, repetitions.get(step.id) ?? step.repetitions)),
  );
  return {
    ok: true,
    value: {
      routine: routine.id,
      side: wish.side,
      parts: inParts(anatomy, steps),
      seconds: Math.round(steps.reduce((sum, { seconds }) => sum + seconds, 0)),
      leftOut: onceEach(leftOut),
    },
  };
}

/** Where a therapist goes over a place in several placements, a client lays the whole hand down once. */
const handOnce = (technique: Technique): Technique => ({ ...technique, placements: 1 });

const whyNot = (place: PlaceId, blocked: ReadonlyMap<PlaceId, unknown>, closed: ReadonlySet<PlaceId>) =>
  blocked.has(place)
    ? homecareSays.closedNothingIsLedThere
    : closed.has(place)
      ? homecareSays.notToBeTouched
      : homecareSays.outOfReachAlone;

const ruleOf = (place: PlaceId, blocked: ReadonlyMap<PlaceId, unknown>, closed: ReadonlySet<PlaceId>) =>
  blocked.has(place) ? 'no-blocked-target' : closed.has(place) ? 'closed-wound-only' : 'reach';

const onceEach = (list: readonly HomeLeftOut[]): readonly HomeLeftOut[] =>
  list.filter(({ what }, i) => list.findIndex((one) => one.what === what) === i);

function toHomeStep(block: TreatmentBlock, step: TreatmentStep, repetitions: number): HomeStep {
  const { technique } = step;
  return {
    id: step.id,
    act: `technique:${technique.id}`,
    kind: kindOf(technique),
    places: step.places,
    toward: null,
    via: [],
    count: technique.family === 'breath' ? 'breaths' : isHeld(technique) ? 'hold' : 'times',
    repetitions,
    placements: 1,
    seconds: secondsAt(toFitStep(block, step), repetitions),
  };
}
