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

/** `left chest upper` for `chest-upper.left`: as it is said in a case, without the map. */
function placeInWords(id: string): string {
  const [name = '', side = ''] = id.split('.');
  return `${side} ${plain(name)}`.trim();
}

function findingInWords({ id, side, regions, crosses }: Finding): string {
  const what = findingWords[id] ?? plain(id);
  if (side) return trainingSays.onSide(what, side);
  if (regions?.length) return trainingSays.atPlaces(what, list(regions.map(placeInWords)));
  const [pair] = crosses ?? [];
  return pair ? trainingSays.betweenPlaces(what, list(pair.map(placeInWords))) : what;
}

/** A body to be drained, as a colleague would tell it. */
export function bodyInWords(
  where: string,
  findings: readonly Finding[],
  of: Pick<ReadCase, 'school' | 'minutes'>,
): string {
  return [
    trainingSays.toBeDrained(where, of.minutes),
    findings.length === 0 ? trainingSays.nothingInTheWay : trainingSays.known(findings.map(findingInWords).join('; ')),
    of.school.start === 'neck-first' ? trainingSays.beginsAtTheNeck : trainingSays.beginsWithBreath,
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
