import { nameOf, type PlaceId, sideOf } from '../../core/anatomy/place';
import type { HomePart, HomeSheet, HomeStep } from '../../core/homecare/sheet';
import type { HomeGroup, HomeRoute } from './home-places';
import { isDoor, routeOf } from './route';
import { tellHomeStep } from './tell';
import type { HomeWords } from './words';

/** A line of a sheet on paper: one step, or neighbours of one group of regions told together. */
export interface HomeLine {
  readonly steps: readonly HomeStep[];
  readonly title: string;
  /** How often, and which way where the words do not say it. */
  readonly count: string;
  readonly how: string;
  /** The same for the same work on another limb: it is explained once. */
  readonly key: string;
}

/** A part of a sheet in lines, in the order of its steps. */
type Told = Pick<HomeSheet, 'routine' | 'side' | 'parts'>;

export function linesOf(words: HomeWords, sheet: Told, part: HomePart): readonly HomeLine[] {
  const route = routeOf(sheet);
  const groups = route === undefined ? [] : groupsFor(words, sheet, part, route);
  const lines: { group: HomeGroup | undefined; steps: HomeStep[] }[] = [];
  for (const step of part.steps) {
    const last = lines.at(-1);
    // A long stroke belongs to what was done just before it.
    const group = step.kind === 'carry' && last?.group ? last.group : groups.find((one) => holds(one, step, part));
    // What a part holds of one group is one line, at its first place.
    const known = lines.find((line) => group !== undefined && line.group === group);
    if (known) known.steps.push(step);
    else if (last && !group && !last.group && areOneLine(last.steps, step)) last.steps.push(step);
    else lines.push({ group, steps: [step] });
  }
  return lines.map(({ group, steps }) => {
    const [first] = steps as [HomeStep];
    const step = { ...first, places: [...new Set(steps.flatMap(({ places }) => places))] };
    const text = group && route && isWhole(group, steps) ? wordsFor(group, route) : undefined;
    if (!group || text === undefined || text === null) {
      const told = tellHomeStep(words, step, route);
      const names = step.places.map(nameOf).join(' ');
      return {
        steps,
        key: `${step.act} ${names} ${told.how}`,
        title: told.title,
        how: told.how,
        count: [told.count, told.brief].filter(Boolean).join(', '),
      };
    }
    const how = asFitted(words, text, steps);
    return {
      ...{ steps, how, key: `${group.title} ${how}` },
      title: `${group.title}: ${whereOf(words, steps)}`,
      count: countsOf(words, steps),
    };
  });
}

/** Words that begin with breathing are for steps that do. */
const isWhole = ({ regions }: HomeGroup, steps: readonly HomeStep[]) =>
  !regions.includes('abdominal-deep') || steps.some(({ kind }) => kind === 'breathe');

/** Those of the sheet's limb whose words fit the way that it leads; the last one closes. */
function groupsFor(words: HomeWords, { routine }: Told, part: HomePart, route: HomeRoute): readonly HomeGroup[] {
  const all = (words.groups ?? []).filter((group) => wordsFor(group, route) !== null);
  // Words for an arm that is led round ready the roads; what lies in the chest itself goes its own ways.
  if (part.id === 'trunk' && (route === 'arm' || route === 'arms')) return all.filter(({ leads }) => leads);
  const own = all.filter(({ sheet }) => sheet === (routine === 'one-leg' ? 'leg' : 'arm'));
  return part.id === 'close' ? own.slice(-1) : own.slice(0, -1);
}

/** The last strokes over the ways are one line; so is the same on both sides. */
const areOneLine = (told: readonly HomeStep[], step: HomeStep): boolean =>
  step.kind === 'return' ? told[0]?.kind === 'return' : told.length === 1 && areMirrored(told[0], step);

/** The same on the other side: told once. */
function areMirrored(a: HomeStep | undefined, b: HomeStep): boolean {
  const names = ({ places, toward, via }: HomeStep) => [...places, ...via, toward ?? ''].map(nameOf).join(' ');
  return (
    a !== undefined &&
    a.places.length === 1 &&
    b.places.length === 1 &&
    a.act === b.act &&
    a.repetitions === b.repetitions &&
    a.count === b.count &&
    names(a) === names(b) &&
    sideOf(a.places[0] ?? '') !== sideOf(b.places[0] ?? '')
  );
}

/** What closes is one line, whatever of it comes. */
const holds = ({ regions, leads }: HomeGroup, step: HomeStep, { id }: HomePart) =>
  id === 'close' || (regions.includes(nameOf(step.places[0] ?? '')) && (!leads || isLedSo[leads](step)));

const below = ['flank-upper', 'flank-lower', 'abdomen-upper', 'abdomen-lower', 'inguinal'];
const isLedSo: Readonly<Record<NonNullable<HomeGroup['leads']>, (step: HomeStep) => boolean>> = {
  down: ({ toward }) => toward !== null && below.includes(nameOf(toward)),
  out: ({ places: [place = ''], toward }) =>
    nameOf(place) === 'breast' && toward !== null && below.includes(nameOf(toward)),
  across: ({ places: [place = ''], toward }) => toward !== null && sideOf(toward) !== sideOf(place),
};

/** @returns null where the line is left out on that way */
function wordsFor({ words, wordsOpen, wordsBoth }: HomeGroup, route: HomeRoute): string | null {
  if (route === 'open') return wordsOpen ?? words;
  return route === 'arms' && wordsBoth !== undefined ? wordsBoth : words;
}

/** The side, or for doors each of them by name. */
function whereOf(words: HomeWords, steps: readonly HomeStep[]): string {
  const places = [...new Set(steps.flatMap((step) => step.places))];
  const doors = places.filter(isDoor);
  if (doors.length > 0) return doors.map((place) => words.placeName(place)).join(', ');
  const sides = new Set(places.map((place: PlaceId) => sideOf(place)).filter((side) => side !== 'mid'));
  const [only] = sides;
  return sides.size === 1 && (only === 'left' || only === 'right') ? words.sides[only] : words.sides.both;
}

/** The words name usual counts; where the minutes asked for others, those are said. */
function asFitted({ counts }: HomeWords, text: string, steps: readonly HomeStep[]): string {
  const breaths = steps.find(({ count }) => count === 'breaths')?.repetitions;
  const times = steps.find(
    ({ count, kind }) => count === 'times' && (kind === 'clear' || kind === 'close'),
  )?.repetitions;
  const minutes = Math.max(1, Math.round(steps.reduce((sum, { seconds }) => sum + seconds, 0) / 60));
  return text
    .replace('{breaths}', String(breaths ?? usualTimes))
    .replace('{times}', String(times ?? usualTimes))
    .replace('{minutes}', counts.minutes(minutes))
    .replace(/\b(?:ten|five)(?= (?:slow )?breaths)/, (usual) => (breaths === undefined ? usual : String(breaths)))
    .replace(/\bfive(?= times)/, (usual) => (times === undefined ? usual : String(times)))
    .replace(/, for two minutes/, `, for ${counts.minutes(minutes)}`);
}

const usualTimes = 5;

/** `5 × at each place, 10 breaths`. */
function countsOf(words: HomeWords, steps: readonly HomeStep[]): string {
  const told = (breaths: boolean) =>
    steps
      .filter(({ kind, count }) => kind !== 'carry' && kind !== 'return' && (count === 'breaths') === breaths)
      .map((step) => tellHomeStep(words, { ...step, placements: 1 }).count);
  const times = told(false);
  const counted = [...new Set(times)].join(', ') + (times.length > 1 ? ` ${words.counts.each}` : '');
  return [counted, ...new Set(told(true))].filter(Boolean).join(', ');
}
