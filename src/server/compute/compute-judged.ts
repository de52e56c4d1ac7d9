import { anatomy } from '../../catalogue/anatomy';
import { homeRoutines } from '../../catalogue/homecare/routines.data';
import { routeOf } from '../../catalogue/homecare/route';
import { tellHomeStep } from '../../catalogue/homecare/tell';
import { english } from '../../catalogue/homecare/words.en';
import { shippedLibrary } from '../../catalogue/library/library';
import { frequencyRules } from '../../catalogue/screening/plan-rules';
import { screeningBook } from '../../catalogue/screening/screening';
import type { HomeSheetRequest, HomeSheetResponse, TreatmentRequest, TreatmentResponse } from '../../contracts/judged';
import { expandArea } from '../../core/anatomy/areas';
import { sideOf } from '../../core/anatomy/place';
import { defaultSchool, type DrainageCase, type QualificationId, readCase } from '../../core/drainage/case';
import { planDrainage } from '../../core/drainage/plan';
import { composeSheet, judgeRoutine, mostMinutes, mostPerWeek } from '../../core/homecare/compose';
import { type HomeReach, type HomeRoutine, stepsOf } from '../../core/homecare/sheet';
import { judgementOf } from '../../core/judgement/from-screening';
import type { Judgement } from '../../core/judgement/judgement';
import type { FieldError, Result } from '../../core/result';
import { drainageFindings, screenedDrainage } from '../../core/drainage/from-screening';
import { readScreening } from '../../core/screening/read-request';
import { screen } from '../../core/screening/screen';
import { rankOf } from '../../core/screening/tables';
import { isDrainageCourse } from '../../core/treatment/drainage-block';
import type { LeftOut } from '../../core/treatment/left-out';
import { techniqueOfKind } from '../../core/treatment/course-techniques';
import { decisionOf, treat } from '../../core/treatment/treat';
import { reasonInWords } from '../../core/judgement/words';
import { judgementNames } from '../screening/judge-visit';
import { computingAnswers } from './compute.answers';

type Case = Pick<TreatmentRequest, 'visitDate' | 'age' | 'conditions' | 'qualifications' | 'thisWeek'>;

interface Read {
  readonly judgement: Judgement;
  readonly drainage: Omit<DrainageCase, 'focus' | 'minutes'>;
  readonly affected: 'left' | 'right' | null;
}

/** A case of screening with the judgement on it. Errors: as screening names them, and unknown kinds of work. */
function readJudged(input: Case): Result<Read> {
  const unknown = Object.keys(input.thisWeek).filter((id) => !screeningBook.modalities.has(id));
  if (unknown.length > 0)
    return {
      ok: false,
      errors: unknown.map((id) => ({ path: `thisWeek.${id}`, message: computingAnswers.thereIsNoKindOfWork(id) })),
    };
  const { visitDate, age, conditions, qualifications } = input;
  const read = readScreening(screeningBook, {
    ...{ visitDate, conditions: conditions as never, qualifications },
    ...(age === undefined ? {} : { age }),
  });
  if (!read.ok) return read;
  const screening = screen(screeningBook, read.value);
  const present = read.value.conditions as never;
  const sides = new Set(
    conditions.flatMap(({ side, regions = [] }) => [...(side ? [side] : []), ...regions.map(sideOf)]),
  );
  const [only] = sides;
  return {
    ok: true,
    value: {
      judgement: judgementOf(screeningBook, read.value, screening, {
        conditions: present,
        frequencyRules,
        ledger: { timesThisWeek: new Map(Object.entries(input.thisWeek)), hoursSince: new Map() },
      }),
      drainage: {
        purpose: 'swelling',
        findings: drainageFindings(screeningBook, present),
        school: defaultSchool,
        fill: false,
        qualifications: qualifications as readonly QualificationId[],
        screened: screenedDrainage(screening),
      },
      affected: sides.size === 1 && (only === 'left' || only === 'right') ? only : null,
    },
  };
}

/** A treatment for a case that nobody keeps. Errors: unknown protocols, places and what screening refuses to read. */
export function computeTreatment(input: TreatmentRequest): Result<TreatmentResponse> {
  const errors: FieldError[] = [
    ...input.protocols.flatMap((id, i): FieldError[] =>
      shippedLibrary.protocols.has(id)
        ? []
        : [{ path: `protocols.${i}`, message: computingAnswers.thereIsNoProtocolUseOne(id, someProtocols) }],
    ),
    ...input.focus.flatMap((id, i): FieldError[] =>
      expandArea(anatomy, id) ? [] : [{ path: `focus.${i}`, message: computingAnswers.thereIsNoAreaUseOne(id) }],
    ),
  ];
  if (errors.length > 0) return { ok: false, errors };
  const read = readJudged(input);
  if (!read.ok) return read;
  const { judgement, drainage, affected } = read.value;
  const choices = input.protocols.map((protocol, i) => ({ id: `c${i + 1}`, protocol }));
  const treatment = treat(
    {
      ...{ anatomy, library: shippedLibrary, judgement, affected, focus: input.focus },
      planFor: (focus, minutes) => {
        const readIt = readCase(anatomy, { ...drainage, focus: focus.length > 0 ? focus : ['whole-body'], minutes });
        if (!readIt.ok) throw new RangeError(readIt.errors[0]?.message ?? 'the case cannot be read');
        return planDrainage(anatomy, readIt.value);
      },
    },
    {
      ...{ choices, minutes: input.minutes, fill: input.fill },
      isShort: input.form === 'short',
      bothSides: input.hands === 'both-alike',
    },
  );
  const { plan, course } = treatment;
  const parts = plan.blocks.map((block): TreatmentResponse['parts'][number] => ({
    protocol: block.protocol,
    block: block.id.slice(block.choice.length + 1),
    modality: block.modality,
    position: block.position,
    hands: block.hands,
    steps:
      block.steps.some(isDrainageCourse) && course
        ? course.steps.map((step) => ({
            technique: techniqueOfKind[step.kind],
            places: [step.place, ...step.via],
            toward: step.toward,
            direction: 'as-written',
            pressure: step.pressure,
            repetitions: step.repetitions,
            seconds: step.seconds,
            cautions: step.rules.filter((rule) => cautionRules.has(rule)),
          }))
        : block.steps.map((step) => ({
            technique: step.technique.id,
            places: [...step.places],
            toward: step.toward ?? null,
            direction: step.isReversed ? 'reversed' : 'as-written',
            pressure: step.pressure,
            repetitions: step.repetitions,
            seconds: step.seconds,
            cautions: [...new Set(step.cautions.map(({ rule }) => rule))],
          })),
  }));
  const kinds = [...new Set(input.protocols.flatMap((id) => shippedLibrary.protocols.get(id)?.modality ?? []))];
  return {
    ok: true,
    value: {
      decision: decisionOf(treatment, judgement, kinds),
      parts,
      leftOut: plan.leftOut.map(leftOutView),
      minutesByModality: minutesByModality(parts),
      totalSeconds: plan.totalSeconds,
      fits: plan.fits,
    },
  };
}

const someProtocols = [...shippedLibrary.protocols.keys()].slice(0, 3).join(', ');

/** Rules of drainage that change how a step is done, not only where it stands. */
const cautionRules: ReadonlySet<string> = new Set([
  'feather-on-irradiated',
  'around-port',
  'soften-thickened',
  'bypass-knee',
  'away-from-nipple',
]);

const leftOutView = (one: LeftOut): TreatmentResponse['leftOut'][number] => ({
  protocol: one.protocol,
  block: one.block === null ? null : one.block.slice(one.choice.length + 1),
  technique: one.technique,
  places: [...one.places],
  rule: one.reason.rule,
  text: reasonInWords(judgementNames, one.reason),
  instead: one.instead,
});

function minutesByModality(parts: TreatmentResponse['parts']): Record<string, number> {
  const seconds = new Map<string, number>();
  for (const { modality, steps } of parts)
    seconds.set(modality, (seconds.get(modality) ?? 0) + steps.reduce((sum, step) => sum + step.seconds, 0));
  return Object.fromEntries([...seconds].map(([modality, all]) => [modality, Math.round((all / 60) * 100) / 100]));
}

/** Home routines by the protocol that they come from, and by their own id. */
const routineOf = (id: string): HomeRoutine | undefined =>
  homeRoutines.find((one) => one.id === id || (one.from !== 'planner' && one.from.protocol === id)) ??
  homeRoutines.find((one) => one.id === plannedRoutines[id]);

const plannedRoutines: Readonly<Record<string, string>> = {
  'home-one-leg': 'one-leg',
  'home-after-armpit-one': 'after-armpit',
  'home-after-armpit-both': 'after-armpit',
};

const routineIds = [
  ...homeRoutines.map(({ id, from }) => (from === 'planner' ? id : from.protocol)),
  ...Object.keys(plannedRoutines),
];

/** A sheet for home for a case that nobody keeps. Errors: an unknown routine, a missing side, and what the case refuses. */
export function computeHomeSheet(input: HomeSheetRequest): Result<HomeSheetResponse> {
  const routine = routineOf(input.routine);
  if (!routine)
    return {
      ok: false,
      errors: [
        { path: 'routine', message: computingAnswers.thereIsNoRoutineUse(input.routine, routineIds.join(', ')) },
      ],
    };
  const read = readJudged(input);
  if (!read.ok) return read;
  const { judgement, drainage, affected } = read.value;
  const side = input.side ?? (input.routine === 'home-after-armpit-both' ? 'both' : affected);
  const decision = judgement.kind(routine.modality)?.answer.decision ?? 'ok';
  const out = judgeRoutine(judgement, routine);
  const perWeek = mostPerWeek(judgement, routine);
  const nothing = (text: string, rule: string): Result<HomeSheetResponse> => ({
    ok: true,
    value: {
      decision: rankOf(decision) >= rankOf('clear-first') ? decision : 'refer',
      steps: [],
      leftOut: [{ protocol: input.routine, block: null, technique: null, places: [], rule, text, instead: null }],
      perWeek: 0,
    },
  });
  if (out) return nothing(reasonInWords(judgementNames, out), out.rule);
  if (routine.from === 'planner' && side === null)
    return { ok: false, errors: [{ path: 'side', message: computingAnswers.sayTheSideLeftRightOr }] };
  const most = mostMinutes(judgement, routine);
  const sheet = composeSheet(
    anatomy,
    shippedLibrary,
    judgement,
    routine,
    { ...drainage, focus: [], minutes: 1 },
    {
      side,
      minutes: Math.min(input.minutes ?? routine.minutes.usual, most),
      reach: reachOf(input.reach),
    },
  );
  if (!sheet.ok) {
    const [first] = sheet.errors;
    if (first?.path === 'minutes') return sheet;
    return nothing(first?.message ?? '', first?.path ?? 'routine');
  }
  const { leftOut } = sheet.value;
  return {
    ok: true,
    value: {
      decision: decision === 'ok' && leftOut.length > 0 ? 'modify' : decision,
      steps: stepsOf(sheet.value).map((step) => {
        const told = tellHomeStep(english, step, routeOf(sheet.value));
        return {
          technique: step.act.startsWith('technique:')
            ? step.act.slice('technique:'.length)
            : techniqueOfKind[step.kind],
          places: [...step.places],
          toward: step.toward,
          repetitions: step.repetitions,
          words: `${told.title}: ${told.how}`,
        };
      }),
      leftOut: leftOut.map(({ why, rule, technique, places }) => ({
        protocol: input.routine,
        block: null,
        technique: technique ?? null,
        places: [...(places ?? [])],
        rule: rule ?? 'reach',
        text: why,
        instead: null,
      })),
      perWeek,
    },
  };
}

/** Everything usual when nothing is said; else what is named, with hands unless only one is. */
function reachOf(reach: readonly string[] | undefined): HomeReach {
  if (!reach) return { bends: true, usesLeft: true, usesRight: true };
  const has = (part: string) => reach.includes(part);
  const [left, right] = [has('left-hand'), has('right-hand')];
  return {
    bends: has('feet') || has('legs'),
    usesLeft: left || !right,
    usesRight: right || !left,
    back: has('back'),
  };
}
