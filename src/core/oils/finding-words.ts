import type { Drops, Percent } from '../quantities';
import type { OilId } from '../ids';
import { list } from '../drainage/wording';
import { formatNumber, roundTo } from '../units';
import { dropsPerMlOf } from './amounts';
import type { BlendPart, OilBook } from './book';
import { oilOf } from './book';
import type { BlendCase, BlendFacts, CheckedPart } from './blend-case';
import { hoursOutOfSun, type Share } from './limits';
import { alreadyOn } from './on-skin';
import { capitalise } from '../wording/capitalise';

/** `0.5 %`, `12 %`: no more figures than help. */
export const percentText = (percent: Percent): string =>
  `${roundTo(percent, percent < 0.1 ? 3 : 2)}`.replace('-', '−') + ' %';

const fewDrops = ['no drops', 'one drop', 'two drops', 'three drops'];

export const dropsText = (drops: Drops): string => fewDrops[drops] ?? `${drops} drops`;

/** Sentences for what is wrong with a blend, each with what would mend it. */
export function wordsOf(book: OilBook, input: BlendCase, facts: BlendFacts) {
  const { volumeMl, area } = input;
  const before = alreadyOn(book, input);
  const name = (oil: OilId) => oilOf(book, oil).name;
  const place = { face: 'on the face', body: 'on the body', local: 'on a small area', bath: 'in a bath' }[area];
  const partOf = (oil: OilId) => input.parts.find((part) => part.oil === oil);
  const mostDrops = (oil: OilId, percent: Percent) =>
    Math.floor(
      (Math.max(0, percent - (before.get(oil) ?? 0)) / 100) * volumeMl * dropsPerMlOf(book, partOf(oil) ?? { oil }) +
        1e-9,
    );
  const inVolume = `in ${roundTo(volumeMl, 1)} mL`;
  const nameOf = (id: string) => book.constituents.get(id)?.name ?? id;
  const carriersOf = (id: string) =>
    facts.parts
      .flatMap((part) => {
        const share = oilOf(book, part.oil).constituents.find((one) => one.id === id);
        // Only what this blend brings can be taken out of it again.
        const own = (100 * part.ml) / volumeMl;
        const percent = share ? (own * share[`${input.basis}Percent`]) / 100 : 0;
        return percent > 0 ? [{ part, percent }] : [];
      })
      .sort((a, b) => b.percent - a.percent);

  return {
    avoid: (oil: OilId, reason: string) => `${name(oil)} is not for this client: ${reason}. Take it out.`,
    overOil: (part: CheckedPart) => {
      const limit = part.limitPercent ?? 0;
      const most = mostDrops(part.oil, limit);
      return `${name(part.oil)} would be ${percentText(part.percent)}, over its ${percentText(limit)} ${place}${before.has(part.oil) ? ', with what lies there already' : ''}: ${
        most === 0 ? 'leave it out, or mix more' : `${dropsText(most)} at most ${inVolume}`
      }.`;
    },
    overConstituent: (one: Share & { readonly id: string }) => {
      const from = carriersOf(one.id);
      const [main] = from;
      const excess = one.percent - (one.limitPercent ?? 0);
      return `${capitalise(nameOf(one.id))} would be ${percentText(one.percent)}, over its ${percentText(one.limitPercent ?? 0)} ${place}: ${mendOf(
        main,
        excess,
        from.map(({ part }) => name(part.oil)),
      )}.`;
    },
    overSun: () => {
      const names = facts.parts.filter(isSunny).map(({ oil }) => name(oil));
      return `${capitalise(list(names))} reach ${formatNumber(facts.phototoxic.sumOfFractions, 2)} of what skin bears in the sun: fewer drops, or ${hoursOutOfSun(book, facts.parts.filter(isSunny))} hours out of the sun afterwards.`;
    },
    nearOil: (part: CheckedPart) =>
      `${name(part.oil)} is at ${Math.round(100 * (part.shareOfLimit ?? 0))} % of its limit ${place}: no more than ${dropsText(mostDrops(part.oil, part.limitPercent ?? 0))} ${inVolume}.`,
    nearConstituent: (one: Share & { readonly id: string }) =>
      `${capitalise(nameOf(one.id))} is at ${Math.round(100 * (one.shareOfLimit ?? 0))} % of its limit ${place}: no more of ${list(carriersOf(one.id).map(({ part }) => name(part.oil)))}.`,
    nearSun: () =>
      `The oils that burn in the sun are at ${Math.round(100 * facts.phototoxic.sumOfFractions)} % of what skin bears: no more of ${list(facts.parts.filter(isSunny).map(({ oil }) => name(oil)))}.`,
    aboveGuide: () => {
      const { maxPercent, audience } = facts.guide;
      const total = percentText(facts.totalPercent);
      if (maxPercent === 0)
        return `${total} is more than nothing, and ${audience} has no essential oil: leave it unscented.`;
      const enoughMl = Math.ceil(((facts.totalPercent * volumeMl) / maxPercent) * 2 - 1e-9) / 2;
      return `${total} is above the ${percentText(maxPercent)} usual here (${audience}): take drops out, or mix them into ${enoughMl} mL.`;
    },
  };

  function isSunny({ oil, drops }: Pick<BlendPart, 'oil' | 'drops'>): boolean {
    return drops > 0 && oilOf(book, oil).phototoxic !== null;
  }

  /** Drops of the one oil that brings most of it, where that is enough. */
  function mendOf(
    main: { readonly part: CheckedPart; readonly percent: Percent } | undefined,
    excess: number,
    names: readonly string[],
  ): string {
    if (!main) return 'mix more';
    const perDrop = main.percent / main.part.drops;
    const drops = Math.ceil(excess / perDrop - 1e-9);
    return drops <= main.part.drops
      ? `${dropsText(drops)} less of ${name(main.part.oil)}`
      : `fewer drops of ${list(names)}, or more carrier`;
  }
}
