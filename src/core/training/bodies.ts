import type { Anatomy, PlaceId } from '../anatomy/place';
import { type DrainageCase, defaultSchool, qualificationIds, readCase, type School } from '../drainage/case';
import type { Result } from '../result';
import { list } from '../drainage/wording';
import type { Finding } from '../drainage/finding';
import type { Body } from './body';
import type { Level } from './kinds';
import type { Draw } from './draw';
import { bodyInWords, placeInWords } from './case-words';
import { trainingSays } from './training.says';

type Limb = 'arm' | 'leg';
type Side = 'left' | 'right';

const parts: Readonly<Record<Limb, readonly (readonly string[])[]>> = {
  arm: [
    ['hand-back', 'palm', 'fingers'],
    ['forearm-inner', 'forearm-outer', 'wrist'],
    ['upper-arm-inner', 'upper-arm-outer', 'shoulder-cap'],
  ],
  leg: [
    ['foot-top', 'sole', 'toes'],
    ['calf-upper', 'calf-lower', 'shin-upper', 'shin-lower'],
    ['knee-front', 'knee-inner', 'knee-outer', 'knee-crease'],
  ],
};

const nodesOf = { arm: 'axillary', leg: 'inguinal' } as const;
/** Skin that may be irradiated or scarred beside a limb: what a way round would lead over. */
const beside = { arm: ['chest-upper', 'upper-back'], leg: ['flank-lower', 'abdomen-lower'] } as const;

/** A body to be drained: the higher the level, the more is in the way. */
export function bodyOf(anatomy: Anatomy, draw: Draw, level: Level): Body | undefined {
  const limb: Limb = draw.pick(['arm', 'leg']);
  const side: Side = draw.pick(['left', 'right']);
  const isFace = level === 1 && draw.isLikely(0.25);
  const findings = level === 1 ? [] : findingsOf(anatomy, draw, { limb, side, level });
  const focus = isFace
    ? draw.some(['cheek', 'forehead', 'jaw', 'temple', 'chin'], 3).map((name) => `${name}.${side}`)
    : level <= 2
      ? draw.pick(parts[limb]).map((name) => `${name}.${side}`)
      : [`${limb}.${side}`];
  const known = focus.filter((id) => anatomy.territories.has(id) || level > 2);
  const minutes = draw.pick(level < 4 ? [25, 30, 40] : limb === 'arm' ? [15, 20] : [20, 25]);
  const school: School = {
    ...defaultSchool,
    exits: 1,
    start: draw.pick(['neck-first', 'breath-first']),
    removedSide: level === 4 && draw.isLikely(0.5) ? 'reroute-and-stimulate' : 'reroute-only',
  };
  const read = readCase(anatomy, {
    ...{ focus: known, findings, school, minutes },
    ...{ purpose: 'swelling', fill: false, qualifications: [...qualificationIds] },
  });
  if (!read.ok) return undefined;
  const where = isFace
    ? trainingSays.theFaceOn(side)
    : level <= 2
      ? trainingSays.partOfTheLimb(side, limb)
      : trainingSays.theLimb(side, limb);
  return { read: read.value, words: bodyInWords(anatomy, where, findings, { school, minutes }) };
}

function findingsOf(
  anatomy: Anatomy,
  draw: Draw,
  { limb, side, level }: { readonly limb: Limb; readonly side: Side; readonly level: Level },
): readonly Finding[] {
  const found: Finding[] = [{ id: `nodes-removed-${nodesOf[limb]}`, side }];
  if (level === 2) return found;
  const here = beside[limb].map((name) => `${name}.${side}`).filter((id) => anatomy.territories.has(id));
  const place: PlaceId | undefined = here.length > 0 ? draw.pick(here) : undefined;
  if (place === undefined) return found;
  if (draw.isLikely(0.5)) found.push({ id: 'irradiated', regions: [place] });
  else {
    const over = (anatomy.edgesInto.get(place) ?? [])
      .map(({ from }) => from)
      .filter((id) => anatomy.territories.has(id));
    if (over.length > 0) found.push({ id: 'scar', crosses: [[draw.pick(over), place]] });
  }
  if (level === 4) {
    const thick = limb === 'arm' ? `forearm-outer.${side}` : `shin-lower.${side}`;
    if (anatomy.territories.has(thick)) found.push({ id: 'thickened', regions: [thick] });
    if (draw.isLikely(0.4)) found.push({ id: 'port', regions: [`chest-upper.${side === 'left' ? 'right' : 'left'}`] });
  }
  return found;
}

/** What a plan is made from, without whose it is: nothing of it names, dates or ages anybody. */
export type CourseCase = Pick<DrainageCase, 'focus' | 'purpose' | 'findings' | 'school' | 'minutes' | 'fill'>;

/** Of a plan's case what may leave it to be practised on. */
export const courseCaseOf = ({ focus, purpose, findings, school, minutes, fill }: DrainageCase): CourseCase => ({
  ...{ focus, purpose, school, minutes, fill },
  findings: findings.map(({ id, side, regions, crosses }) => ({
    id,
    ...(side && { side }),
    ...(regions && { regions }),
    ...(crosses && { crosses }),
  })),
});

/** A body taken from a plan. Errors: as the planner names them. */
export function bodyOfCourse(anatomy: Anatomy, of: CourseCase): Result<Body> {
  const read = readCase(anatomy, { ...of, qualifications: [...qualificationIds] });
  if (!read.ok) return read;
  const where = list(of.focus.map((id) => placeInWords(anatomy, id)));
  return { ok: true, value: { read: read.value, words: bodyInWords(anatomy, where, of.findings, of) } };
}
