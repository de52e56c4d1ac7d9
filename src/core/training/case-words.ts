import { uncapitalise } from '../wording/capitalise';
import type { Anatomy, PlaceId } from '../anatomy/place';
import { shortLabel } from '../anatomy/place-labels';
import type { ReadCase } from '../drainage/case';
import type { Finding } from '../drainage/finding';
import { list } from '../drainage/wording';
import type { OilClient } from '../oils/client';
import type { StoneClient } from '../stones/first-touch';
import { trainingSays } from './training.says';

const findingWords: Readonly<Record<string, string>> = {
  'nodes-removed-axillary': trainingSays.armpitNodesRemoved,
  'nodes-removed-inguinal': trainingSays.groinNodesRemoved,
  irradiated: trainingSays.irradiatedSkin,
  scar: trainingSays.aScar,
  thickened: trainingSays.thickenedSkin,
  port: trainingSays.aPort,
};

const plain = (id: string) => id.replaceAll('-', ' ');

/** A place as it is said in a case; one that the map does not draw by its own words. */
export const placeInWords = (anatomy: Anatomy, id: string): string =>
  anatomy.territories.has(id) || anatomy.basins.has(id) ? shortLabel(anatomy, id) : plainPlace(id);

/** `left upper arm` for `upper-arm.left`. */
function plainPlace(id: string): string {
  const [name = '', side = ''] = id.split('.');
  return `${side} ${plain(name)}`.trim();
}

/** Something known, with where it is. */
function locatedInWords(
  anatomy: Anatomy,
  what: string,
  { side, regions, crosses }: Pick<Finding, 'side' | 'regions' | 'crosses'>,
): string {
  if (side) return trainingSays.onSide(what, side);
  if (regions?.length) return trainingSays.atPlaces(what, list(regions.map((id) => placeInWords(anatomy, id))));
  const [pair] = crosses ?? [];
  return pair ? trainingSays.betweenPlaces(what, list(pair.map((id) => placeInWords(anatomy, id)))) : what;
}

const findingInWords = (anatomy: Anatomy, finding: Finding): string =>
  locatedInWords(anatomy, findingWords[finding.id] ?? plain(finding.id), finding);

interface KnownCondition {
  readonly label: string;
  readonly side?: 'left' | 'right';
  readonly regions?: readonly PlaceId[];
  /** Days before the visit, where it has a day. */
  readonly daysAgo?: number;
}

/** A condition as a colleague would tell it: `numb places at the left forearm, 10 weeks ago`. */
export function conditionInWords(anatomy: Anatomy, { label, daysAgo, ...where }: KnownCondition): string {
  const second = label.charAt(1);
  const isAbbreviation = second !== ' ' && second === second.toUpperCase();
  const what = isAbbreviation ? label : uncapitalise(label);
  const located = locatedInWords(anatomy, what, where);
  return daysAgo === undefined ? located : trainingSays.someTimeAgo(located, spanInWords(daysAgo));
}

/** Whole days, weeks, months or years, as people say how long ago something was. */
export function spanInWords(days: number): string {
  if (days < 21) return trainingSays.days(days);
  if (days < 100) return trainingSays.weeks(Math.floor(days / 7));
  return days < 730 ? trainingSays.months(Math.floor(days / 30.4)) : trainingSays.years(Math.floor(days / 365.2));
}

/** A body to be drained, as a colleague would tell it. */
export function bodyInWords(
  anatomy: Anatomy,
  where: string,
  findings: readonly Finding[],
  of: Pick<ReadCase, 'school' | 'minutes'>,
): string {
  return [
    trainingSays.toBeDrained(where, of.minutes),
    findings.length === 0
      ? trainingSays.nothingInTheWay
      : trainingSays.known(findings.map((one) => findingInWords(anatomy, one)).join('; ')),
    of.school.start === 'neck-first' ? trainingSays.beginsAtTheNeck : trainingSays.beginsWithBreath,
    ...(of.school.removedSide === 'reroute-and-stimulate' && findings.some(({ id }) => id.startsWith('nodes-removed'))
      ? [trainingSays.touchesWhatIsLeft]
      : []),
  ].join(' ');
}

interface Stone extends StoneClient {
  readonly size: string;
  readonly material: string;
  readonly towelLayers: number;
}

/** A stone and whom it is for. */
export function stoneInWords({ size, material, towelLayers, skin, mostC, likes, lastRemark }: Stone): string {
  const on =
    towelLayers === 0
      ? trainingSays.onBareSkin
      : towelLayers === 1
        ? trainingSays.onTowel
        : trainingSays.onTowels(towelLayers);
  return [
    trainingSays.stoneAtRest(size, material, on, skin),
    ...(mostC === null ? [] : [trainingSays.screeningAllows(mostC)]),
    ...(likes === 'cooler' ? [trainingSays.likesMilder] : []),
    ...(lastRemark === null ? [] : [lastRemark > 1 ? trainingSays.wasMuchTooWarm : trainingSays.wasTooWarm]),
    trainingSays.howWarmHowLong,
  ].join(' ');
}

interface Bottle {
  readonly area: string;
  readonly volumeMl: number;
  readonly wishPercent: number;
  readonly conditions: readonly string[];
}

/** A bottle and whom it is for. */
export function bottleInWords({ age, skin }: OilClient, { area, volumeMl, wishPercent, conditions }: Bottle): string {
  return [
    trainingSays.bottle(volumeMl, area === 'local' ? trainingSays.oneSpot : area, wishPercent),
    trainingSays.forWhom(age === null ? trainingSays.anAdult : trainingSays.yearsOld(age), skin),
    ...(conditions.length === 0 ? [] : [trainingSays.alsoKnown(conditions.join('; '))]),
    trainingSays.eachOrNone,
  ].join(' ');
}

/** `40 s`, `4:10 min`. */
export const timeInWords = (seconds: number): string =>
  seconds < 90
    ? `${Math.round(seconds)} s`
    : `${Math.floor(seconds / 60)}:${String(Math.round(seconds % 60)).padStart(2, '0')} min`;

/** `+120`, `−40`. */
export const signed = (value: number): string => `${value > 0 ? '+' : value < 0 ? '−' : ''}${Math.abs(value)}`;
