import { sideOf } from '../anatomy/place';
import { daysBetween } from '../calendar/days';
import { qualificationIds } from '../drainage/case';
import { readScreening, type ScreeningRequest } from '../screening/read-request';
import { type ModalityAnswer, screen } from '../screening/screen';
import { type Decision, decisions, rankOf } from '../screening/tables';
import { conditionInWords } from './case-words';
import type { Drill, DrillFault } from './drill';
import { scoreOf } from './drill';
import { isBelievable } from './believable';
import { decisionNames } from './names';
import type { SkillId } from './skills';
import { trainingSays } from './training.says';

interface ScreenCase {
  readonly request: ScreeningRequest;
  readonly known: readonly string[];
  readonly answers: readonly ModalityAnswer[];
  /** Keys of limits to choose from, some of which do not hold. */
  readonly offered: readonly string[];
  readonly holding: readonly string[];
}

export interface ScreenQuestion {
  readonly words: string;
  readonly visitDate: string;
  readonly age: number | null;
  readonly modalities: readonly { readonly id: string; readonly label: string }[];
  readonly decisions: readonly Decision[];
  readonly limits: readonly { readonly id: string; readonly label: string }[];
}

export interface ScreenAnswer {
  readonly decisions: Readonly<Record<string, Decision>>;
  /** The limit that matters most, out of those that are offered; null where none holds. */
  readonly limit: string | null;
}

const day = '2026-09-14';
const works = ['lymph-drainage', 'facial-massage', 'body-massage', 'abdominal-massage', 'hot-stone', 'aromatherapy'];
/** Comes out of days that have passed: nobody has it in mind beforehand. */
const notOffered = 'waitUntil';

/** A made-up client in plain speech: may this be done today, and with what in mind. */
export const screenDrill: Drill<ScreenCase, ScreenQuestion, ScreenAnswer> = {
  make: (books, draw, level) => {
    const { screening: book, anatomy } = books;
    const asked = draw.some(
      works.filter((id) => book.modalities.has(id)),
      level === 1 ? 2 : 3,
    );
    const age = draw.pick([26, 38, 47, 59, 72, 84]);
    const known = [...book.conditions.values()].filter(
      (one) =>
        one.askAt.includes('intake') &&
        (one.locatable === 'no' || one.locatable === 'side' || level > 1) &&
        isBelievable(one, age),
    );
    const chosen = draw.some(known, level === 1 ? 1 : draw.whole(1, Math.min(3, level)));
    const regions = [...anatomy.territories.keys()].filter((id) => sideOf(id) !== 'mid');
    const request: ScreeningRequest = {
      ...{ visitDate: day, age, modalities: asked },
      qualifications: [...qualificationIds],
      conditions: chosen.map(({ id, locatable, dated }) => ({
        id,
        ...(locatable === 'side' ? { side: draw.pick(['left', 'right'] as const) } : {}),
        ...(locatable === 'region' || locatable === 'point' ? { regions: [draw.pick(regions)] } : {}),
        ...(dated ? { date: draw.pick(['2026-09-01', '2026-07-10', '2025-11-02', '2021-03-15']) } : {}),
      })),
    };
    const read = readScreening(book, request);
    if (!read.ok) return undefined;
    const { byModality } = screen(book, read.value);
    const holding = [...new Set(byModality.flatMap(({ limits }) => Object.keys(limits)))].filter(
      (key) => key !== notOffered && book.limitKeys[key] !== undefined,
    );
    const others = draw.some(
      Object.keys(book.limitKeys).filter((key) => key !== notOffered && !holding.includes(key)),
      3,
    );
    return {
      ...{ request, holding, answers: byModality },
      known: chosen.map(({ label }, i) => {
        const { side, regions, date } = request.conditions[i] ?? {};
        return conditionInWords(anatomy, {
          label,
          ...(side && side !== 'both' && { side }),
          ...(regions && { regions }),
          ...(date !== undefined && { daysAgo: daysBetween(date, request.visitDate) }),
        });
      }),
      offered: draw.shuffled([...holding.slice(0, 2), ...others]),
    };
  },
  ask: ({ screening: book }, { request, known, answers, offered }) => ({
    words: [
      request.age === undefined ? trainingSays.aClient : trainingSays.clientOf(request.age),
      trainingSays.known(known.join('; ')),
      trainingSays.whatMayBeDone,
    ].join(' '),
    ...{ visitDate: request.visitDate, age: request.age ?? null, decisions },
    modalities: answers.map(({ modality }) => ({
      id: modality,
      label: book.modalities.get(modality)?.label ?? modality,
    })),
    limits: offered.map((id) => ({ id, label: book.limitKeys[id]?.label ?? id })),
  }),
  errors: (_books, { answers, offered }, answer) => {
    const asked = answers.map(({ modality }) => modality);
    return [
      ...Object.keys(answer.decisions)
        .filter((id) => !asked.includes(id))
        .map((id) => ({ path: `decisions.${id}`, message: trainingSays.notAsked(id) })),
      ...asked
        .filter((id) => answer.decisions[id] === undefined)
        .map((id) => ({ path: `decisions.${id}`, message: trainingSays.decideOn(id) })),
      ...(answer.limit !== null && !offered.includes(answer.limit)
        ? [{ path: 'limit', message: trainingSays.noSuchLimit(answer.limit) }]
        : []),
    ];
  },
  judge: (books, of, answer) => {
    const faults: DrillFault[] = [];
    let lost = 0;
    let isDangerous = false;
    for (const { modality, decision, reasons } of of.answers) {
      const given = answer.decisions[modality] ?? 'ok';
      if (given === decision) continue;
      const label = books.screening.modalities.get(modality)?.label ?? modality;
      faults.push({
        rule: reasons[0]?.condition ?? 'nothing-found',
        skill: skillOfDecision[decision],
        text: trainingSays.decisionIs(label, decisionNames[decision], reasons[0]?.text ?? trainingSays.nothingAgainst),
      });
      const isTooFree = rankOf(given) < rankOf(decision);
      isDangerous ||= isTooFree && rankOf(decision) >= rankOf('refer');
      lost += (isTooFree ? 1 : 0.5) / of.answers.length;
    }
    const isRightLimit = of.holding.length === 0 ? answer.limit === null : of.holding.includes(answer.limit ?? '');
    if (!isRightLimit) {
      lost += 0.2;
      const [most] = of.offered.filter((id) => of.holding.includes(id));
      faults.push({
        rule: 'limit',
        text:
          most === undefined
            ? trainingSays.noLimitHolds
            : trainingSays.limitIs(books.screening.limitKeys[most]?.label ?? most),
      });
    }
    // What should have been stopped and was not weighs most.
    return { score: isDangerous ? scoreOf(Math.min(0.1, 0.3 - lost)) : scoreOf(1 - lost), faults };
  },
  best: (_books, { answers, offered, holding }) => ({
    decisions: Object.fromEntries(answers.map(({ modality, decision }) => [modality, decision])),
    limit: offered.find((id) => holding.includes(id)) ?? null,
  }),
  skills: (_books, { answers }) => [
    ...new Set(answers.map(({ decision }) => skillOfDecision[decision])),
    'limit-that-matters',
  ],
};

const skillOfDecision: Readonly<Record<Decision, SkillId>> = {
  ok: 'what-goes',
  modify: 'what-changes',
  'clear-first': 'what-refers',
  refer: 'what-refers',
  stop: 'what-stops',
};
