import type { Minutes } from '../quantities';
import { expandArea } from '../anatomy/areas';
import type { Anatomy, PlaceId } from '../anatomy/place';
import { type DrainageCase, readCase } from '../drainage/case';
import { planDrainage } from '../drainage/plan';
import type { Step } from '../drainage/step';
import { shortLabel } from '../anatomy/place-labels';
import type { Result } from '../result';
import { rankOf } from '../screening/tables';
import { inParts } from './parts';
import { canReach, outOfReach } from './reach';
import type { HomeLeftOut, HomeReach, HomeSheet, HomeStep } from './sheet';
import { homecareSays } from './homecare.says';

export interface PlannedHomeWish {
  readonly routine: 'one-leg' | 'after-armpit';
  readonly side: 'left' | 'right' | 'both';
  readonly minutes: Minutes;
  readonly reach: HomeReach;
  /** Places that the judgement keeps off in what a client does alone, each with its rule. */
  readonly keptOff?: ReadonlyMap<PlaceId, string> | undefined;
}

/** What each routine is about; what the client cannot reach goes out of it. */
const focusOf = ({ routine, side }: PlannedHomeWish): readonly PlaceId[] =>
  (side === 'both' ? ['left', 'right'] : [side]).flatMap((one) =>
    routine === 'one-leg'
      ? [`leg.${one}`]
      : [`chest-upper.${one}`, `breast.${one}`, `flank-upper.${one}`, `arm.${one}`],
  );

/**
 * A sheet from the planner of drainages, for one body alone with its own hands: breath first, never towards closed
 * nodes, never across what cannot be reached. What the therapist’s plan would lead over the back is led another way,
 * or left out.
 * @param input the case of the client as for a visit; its focus, school and minutes are replaced
 * Errors: `side` when nothing of it can be reached or led anywhere, `decision` when screening does not allow it.
 */
export function sheetFromPlan(anatomy: Anatomy, input: DrainageCase, wish: PlannedHomeWish): Result<HomeSheet> {
  const wanted = focusOf(wish).flatMap((id) => expandArea(anatomy, id) ?? []);
  const keptOff = wish.keptOff ?? new Map<PlaceId, string>();
  const far = [...new Set([...outOfReach(anatomy, wish.reach), ...keptOff.keys()])];
  const focus = wanted.filter((id) => !far.includes(id));
  const refuse = (path: string, message: string): Result<HomeSheet> => ({ ok: false, errors: [{ path, message }] });
  if (focus.length === 0) return refuse('side', homecareSays.nothingOfItIsWithinThe);
  const read = readCase(anatomy, aloneCase(input, focus, far, wish.minutes));
  if (!read.ok) return read;
  const plan = planDrainage(anatomy, read.value);
  if (rankOf(plan.decision) >= rankOf('clear-first'))
    return refuse('decision', plan.reasons[0]?.text ?? homecareSays.screeningDoesNotAllowIt);
  const helped = plan.steps.find(
    (step) => step.kind !== 'breathe' && (!canReach(anatomy, step.place, wish.reach) || keptOff.has(step.place)),
  );
  if (helped) return refuse('reach', homecareSays.theHasToBeWorkedAnd(shortLabel(anatomy, helped.place)));
  if (!plan.steps.some(({ kind }) => kind === 'drain')) return refuse('side', homecareSays.thereIsNoOpenWayThat);
  const steps = plan.steps.map(toHomeStep);
  return {
    ok: true,
    value: {
      routine: wish.routine,
      side: wish.side,
      parts: inParts(anatomy, steps),
      seconds: plan.totalSeconds,
      leftOut: [
        ...leftOutOf(
          anatomy,
          wanted.filter((id) => far.includes(id) && !keptOff.has(id)),
          homecareSays.outOfReachAlone,
          'reach',
        ),
        ...leftOutOf(
          anatomy,
          wanted.filter((id) => keptOff.has(id)),
          homecareSays.keptOffNotTouchedAlone,
          'kept-off',
        ),
        ...leftOutOf(anatomy, plan.waiting, homecareSays.noTimeOrNowhereToLead, 'time'),
        ...plan.rejected.map(({ to, why }) => ({
          ...{ what: shortLabel(anatomy, to), why, rule: 'no-blocked-target', technique: null, places: [to] },
        })),
      ],
    },
  };
}

/** The case without a therapist’s hands: nothing is touched, or crossed, that cannot be reached. */
function aloneCase(
  input: DrainageCase,
  focus: readonly PlaceId[],
  far: readonly PlaceId[],
  minutes: Minutes,
): DrainageCase {
  const drainage = { decision: 'ok', reasons: [] } as const;
  const screened = input.screened ?? { drainage, rerouting: drainage, keptOff: [], lighterAt: {} };
  return {
    ...input,
    focus,
    minutes,
    fill: false,
    school: { ...input.school, start: 'breath-first', hand: 'stretch', removedSide: 'reroute-only' },
    screened: { ...screened, keptOff: [...new Set([...screened.keptOff, ...far])] },
  };
}

const toHomeStep = (step: Step): HomeStep => ({
  id: step.id,
  act: step.kind,
  kind: step.kind,
  places: [step.place],
  toward: step.toward,
  via: step.via,
  count: step.kind === 'breathe' ? 'breaths' : 'times',
  repetitions: step.repetitions,
  placements: step.placements,
  seconds: step.seconds,
});

function leftOutOf(anatomy: Anatomy, places: readonly PlaceId[], why: string, rule: string): readonly HomeLeftOut[] {
  return [...new Set(places)].map((place) => ({
    ...{ what: shortLabel(anatomy, place), why, rule, technique: null, places: [place] },
  }));
}
