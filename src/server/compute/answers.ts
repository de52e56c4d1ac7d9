import { anatomy } from '../../catalogue/anatomy';
import { oilBook } from '../../catalogue/oils/oils';
import { screeningBook } from '../../catalogue/screening/screening';
import { stoneBook } from '../../catalogue/stones/stones';
import { trainingBooks } from '../../catalogue/training';
import type { computeRoutes } from '../../contracts/routes/compute';
import { readCase } from '../../core/drainage/case';
import { checkCourse, stepErrors } from '../../core/drainage/check';
import { courseOf } from '../../core/course/course';
import { flowErrors } from '../../core/flow/errors';
import { flowOf } from '../../core/flow/flow';
import { flowGraph, usualStart } from '../../core/flow/model';
import { planDrainage, readChosen } from '../../core/drainage/plan';
import { bestAnswer, checkAnswer, layeredAnswer } from '../../core/oils/answers';
import { bestBlend } from '../../core/oils/best/best-blend';
import type { OilId } from '../../core/ids';
import { checkBlend, onJudgedArea } from '../../core/oils/check';
import { unknownNames } from '../../core/oils/known';
import { layeredDrops } from '../../core/oils/layered';
import { dropsLeft } from '../../core/oils/on-skin';
import { readScreening } from '../../core/screening/read-request';
import { screen } from '../../core/screening/screen';
import { findCycle, ringWords } from '../../core/sequencing/cycle';
import { sequenceBlocks } from '../../core/sequencing/sequence';
import { costsFrom } from '../../contracts/sequencing';
import { fitTime } from '../../core/sequencing/time-fit';
import { contactOf } from '../../core/stones/contact';
import { rotate } from '../../core/stones/rotation';
import { bathOf, glideOfStone } from '../../core/stones/set';
import { sizeOfClass } from '../../contracts/stones';
import { limbChange } from '../../core/swelling/limb-change';
import { limbVolume } from '../../core/swelling/limb-volume';
import { measurementError } from '../../core/swelling/measurement-error';
import { trendOf } from '../../core/swelling/trend';
import { markDrill, questionOf } from '../../core/training/drills';
import { type Handler, unwrap } from '../http/endpoint';
import { invalidFields, problem, unfeasible } from '../http/problem';
import { computeHomeSheet, computeTreatment } from './compute-judged';
import { computingAnswers } from './compute.answers';

/** What undiluted drops would be mixed into. */
const carrier = 'grapeseed';

const missing = {
  'missing-unaffected': computingAnswers.theChangeAgainstTheOtherLimb,
  'missing-weight': computingAnswers.theWeightAdjustedChangeNeedsThe,
} as const;

/** A refusal of one field that has a kind and words of its own. */
const refused = (type: string, path: string, title: string) =>
  problem({ type: `/problems/${type}`, title, status: 422, errors: [{ path, message: title }] });

type ComputeRoutes = typeof computeRoutes;
export type Question = keyof ComputeRoutes;

type ComputeAnswers = {
  readonly [K in Question]: (
    asked: Pick<Parameters<Handler<ComputeRoutes[K]>>[0], 'body'>,
  ) => Awaited<ReturnType<Handler<ComputeRoutes[K]>>>;
};

/** What each question is answered with; nothing but its body is known, and nothing is stored. */
export const computeAnswers: ComputeAnswers = {
  drainagePlan: ({ body }) => {
    const plan = planDrainage(anatomy, unwrap(readChosen(anatomy, body)));
    // A turn is at no place of the body.
    const steps = plan.steps.map(({ position = 'supine', ...step }) => ({
      ...step,
      position,
      place: step.kind === 'turn' ? null : step.place,
    }));
    return { ...plan, steps };
  },
  drainageCheck: ({ body }) => {
    const read = unwrap(readCase(anatomy, body));
    const errors = stepErrors(anatomy, body.steps);
    return errors.length > 0 ? invalidFields(errors) : { violations: checkCourse(anatomy, read, body.steps) };
  },
  flow: ({ body }) => {
    const read = unwrap(readCase(anatomy, body));
    const unknown = flowErrors(anatomy, body);
    if (unknown.length > 0) return invalidFields(unknown);
    const graph = flowGraph(anatomy, read.hindrances, read.findings);
    const start = body.start ?? usualStart(anatomy, read.territories);
    return flowOf({ graph, steps: body.steps, start, seconds: body.seconds, every: body.every });
  },
  course: ({ body }) => courseOf(body),
  limbVolume: ({ body }) => {
    const result = limbVolume(body);
    if (result.ok) return result.value;
    const { kind, field, message } = result.refusal;
    return refused(kind, field, message);
  },
  limbChange: ({ body: { before, after, mode } }) => {
    const result = limbChange(before, after, mode);
    return result.ok ? result.value : refused(result.refusal, result.field, missing[result.refusal]);
  },
  measurementError: ({ body }) =>
    measurementError(body.duplicates) ??
    refused('too-few-pairs', 'duplicates', computingAnswers.atLeastTwoPairsOfReadings),
  trend: ({ body: { points, confidence } }) =>
    trendOf(points, confidence) ?? refused('too-few-points', 'points', computingAnswers.aTrendNeedsValuesOnAt),
  screening: ({ body }) => screen(screeningBook, unwrap(readScreening(screeningBook, body))),
  treatment: ({ body }) => unwrap(computeTreatment(body)),
  homeSheet: ({ body }) => unwrap(computeHomeSheet(body)),
  blendCheck: ({ body }) => {
    const unknown = [
      ...unknownNames(oilBook, { ...body, conditions: body.client.conditions, oils: body.parts }),
      ...body.already.flatMap((one, i) =>
        unknownNames(oilBook, { conditions: [], oils: one.parts, oilsPath: `already.${i}.parts` }),
      ),
    ];
    if (unknown.length > 0) return invalidFields(unknown);
    const check = checkBlend(oilBook, body);
    if (check && body.already.length === 0) return checkAnswer(check);
    if (check) {
      const left = ({ oil }: { readonly oil: OilId }) => dropsLeft(oilBook, onJudgedArea(body), oil, body.basis);
      return { ...checkAnswer(check), dropsLeft: body.parts.map((part) => ({ oil: part.oil, drops: left(part) })) };
    }
    const message = computingAnswers.theseDropsAreMoreThanThe(body.volumeMl);
    return unfeasible([{ path: 'parts', message }]);
  },
  blendBest: ({ body }) => {
    const oils = { oils: body.candidates, oilsPath: 'candidates' };
    const unknown = unknownNames(oilBook, { conditions: body.client.conditions, ...oils });
    if (unknown.length > 0) return invalidFields(unknown);
    const answer = bestBlend(oilBook, body);
    return answer.kind === 'found' ? bestAnswer(answer.blend) : unfeasible([answer.why]);
  },
  layeredDrops: ({ body }) => {
    const unknown = unknownNames(oilBook, { conditions: body.client.conditions, oils: body.parts });
    return unknown.length > 0 ? invalidFields(unknown) : layeredAnswer(layeredDrops(oilBook, body), carrier);
  },
  stoneContact: ({ body }) => contactOf(stoneBook, body),
  stoneBath: ({ body }) => bathOf(stoneBook, body),
  stoneGlide: ({ body }) => {
    const { usefulSeconds, curve } = glideOfStone(stoneBook, body);
    return { usefulS: usefulSeconds, curve };
  },
  stoneRotation: ({ body }) => {
    const stock = body.stock.map((one) => ({ ...one, size: sizeOfClass(one.class) ?? ('palm' as const) }));
    return rotate(stoneBook, { ...body, stock });
  },
  sequence: ({ body: { blocks, start, costs } }) => {
    const ring = findCycle(blocks);
    if (!ring) return unwrap(sequenceBlocks(blocks, start, costsFrom(costs)));
    const at = blocks.findIndex(({ id }) => id === ring[0]);
    return problem({
      type: '/problems/cycle',
      title: computingAnswers.someBlocksWaitForEachOther,
      status: 422,
      detail: ringWords(ring),
      errors: [{ path: `blocks.${at}.after`, message: ringWords(ring) }],
    });
  },
  drill: ({ body }) => questionOf(trainingBooks, body) as never,
  drillAnswer: ({ body: { answer, ...wish } }) => {
    const marked = markDrill(trainingBooks, wish, answer);
    if (marked.ok) {
      const { score, faults, best } = marked.value;
      return { score, faults: faults.map(({ rule, text }) => ({ rule, text })), best } as never;
    }
    return invalidFields(marked.errors.map(({ path, message }) => ({ path: `answer.${path}`, message })));
  },
  timeFit: ({ body: { steps, availableSeconds, fill } }) => fitTime(steps, availableSeconds, fill),
};
