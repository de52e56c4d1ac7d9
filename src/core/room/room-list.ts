import type { RegionGroups } from '../anatomy/place';
import { toolFor } from '../facial/tool';
import type { Position } from '../sequencing/block';
import type { PlannedBlock } from '../treatment/plan-treatment';
import type { SpreadTable } from './medium';
import { type OilNeed, oilNeeds } from './oil-needs';

/** Something to heat, blend or lay out before a client comes, counted back from the appointment. */
export interface RoomItem {
  readonly kind: 'heat' | 'cool' | 'blend' | 'lay-out' | 'hands' | 'water';
  readonly what: string;
  /** Whole minutes before the beginning; 0: at the door. */
  readonly minutesBefore: number;
  readonly why: string;
  /** Of a blend: what it is spread on. */
  readonly area?: 'body' | 'face';
}

/** How the house gets its room ready. */
export interface RoomHabits {
  /** From cold water to the temperature of the bath. */
  readonly stoneWarmUpMinutes: number;
  /** A pair of palm stones that glide: how long it stays useful, and how long it needs to be warm again (s). */
  readonly stoneUsefulSeconds: number;
  readonly stoneReheatSeconds: number;
  readonly spread: SpreadTable;
  /** Skin of this client (m²), where height and weight are known. */
  readonly surfaceM2?: number | undefined;
  /** What goes into the bath and how warm it is set, where that was worked out for the house's own stones. */
  readonly stones?: string | undefined;
}

const cm2PerM2 = 10_000;
const coolMinutes = 15;
const blendMinutes = 10;
const layOutMinutes = 10;
const smallThingsMinutes = 5;
const minute = 60;

/** What a treatment needs, the earliest first. */
export function roomList(
  groups: RegionGroups,
  blocks: readonly PlannedBlock[],
  start: Position,
  habits: RoomHabits,
): readonly RoomItem[] {
  if (blocks.length === 0) return [];
  const items: RoomItem[] = [
    ...stones(groups, blocks, habits),
    ...media(groups, blocks, habits),
    ...bed(blocks, start),
    ...smallThings(groups, blocks),
    { kind: 'hands', what: 'Nails short, no jewellery, hands warm', minutesBefore: 2, why: 'Before every client.' },
    {
      kind: 'water',
      what: 'A glass of water for afterwards',
      minutesBefore: 2,
      why: 'The client drinks before getting up.',
    },
  ];
  return items.sort((a, b) => b.minutesBefore - a.minutesBefore);
}

const isHotFamily = (family: string) => ['stone-glide', 'stone-press', 'stone-rest'].includes(family);

const isCoolBlock = ({ steps }: PlannedBlock) => steps.some(({ technique }) => technique.family === 'stone-cool');
const isHotBlock = ({ hands, steps }: PlannedBlock) =>
  hands === 'stone' && steps.some(({ technique }) => isHotFamily(technique.family));

function stones(groups: RegionGroups, blocks: readonly PlannedBlock[], habits: RoomHabits): readonly RoomItem[] {
  const items: RoomItem[] = [];
  const hot = blocks.filter(isHotBlock);
  const [firstHot] = hot;
  if (firstHot) {
    const begins = Math.floor(firstHot.startsAt / minute);
    items.push({
      kind: 'heat',
      what: `Fill the stone bath, ${habits.stones ?? `switch it on: ${stonesInWords(groups, hot, habits)}`}`,
      minutesBefore: Math.max(0, habits.stoneWarmUpMinutes - begins),
      why: `They need ${habits.stoneWarmUpMinutes} minutes to be warm; ${comesWhen(begins)}.`,
    });
  }
  const firstCool = blocks.find(isCoolBlock);
  if (firstCool) {
    const begins = Math.floor(firstCool.startsAt / minute);
    items.push({
      kind: 'cool',
      what: 'Lay the cool stones into cold water',
      minutesBefore: Math.max(0, coolMinutes - begins),
      why: `They need ${coolMinutes} minutes to be cool; ${comesWhen(begins)}.`,
    });
  }
  return items;
}

const comesWhen = (begins: number) =>
  begins === 0 ? 'the visit begins with them' : `the first comes ${begins} minutes into the visit`;

/** A pair glides until it has cooled, while those before it are warming again. */
function stonesInWords(groups: RegionGroups, hot: readonly PlannedBlock[], habits: RoomHabits): string {
  const longest = Math.max(...hot.map(({ steps }) => steps.reduce((sum, { seconds }) => sum + seconds, 0)));
  const swaps = Math.ceil(longest / habits.stoneUsefulSeconds);
  const inTurn = 1 + Math.ceil(habits.stoneReheatSeconds / habits.stoneUsefulSeconds);
  const palm = 2 * Math.min(swaps, inTurn);
  const isOnSmallParts = (block: PlannedBlock) =>
    block.steps.some(({ regions }) => regions.some((region) => groups['small-stone-set'].has(region)));
  const strips = hot.some(({ steps }) => steps.some(({ technique }) => technique.id === 'stone-strip'));
  const rests = hot.some(({ steps }) => steps.some(({ technique }) => technique.family === 'stone-rest'));
  return [
    `${palm} palm stones`,
    ...(strips ? ['2 edge stones'] : []),
    ...(hot.some(isOnSmallParts) ? ['4 small ones'] : []),
    ...(rests ? ['4 placement stones'] : []),
  ].join(', ');
}

function media(
  groups: RegionGroups,
  blocks: readonly PlannedBlock[],
  { spread, surfaceM2 }: RoomHabits,
): readonly RoomItem[] {
  const { body, face } = oilNeeds(groups, blocks, spread, surfaceM2);
  const item = (need: OilNeed | null, area: 'body' | 'face', what: string): RoomItem[] =>
    need
      ? [
          {
            kind: 'blend',
            area,
            what: `${what}: ${need.ml} mL, no more`,
            minutesBefore: blendMinutes,
            why: `For ${(need.cm2 / cm2PerM2).toFixed(2)} m² of skin.`,
          },
        ]
      : [];
  return [...item(body, 'body', 'Body oil in the cup'), ...item(face, 'face', 'Face oil')];
}

const bolsters: Readonly<Partial<Record<Position, string>>> = {
  supine: 'a bolster under the knees',
  prone: 'a bolster under the ankles and the face rest',
  'side-left': 'a cushion between the knees',
  'side-right': 'a cushion between the knees',
  seated: 'a chair with a low back',
};

function bed(blocks: readonly PlannedBlock[], start: Position): readonly RoomItem[] {
  const later = [...new Set(blocks.map(({ position }) => position))].filter((position) => position !== start);
  const seated = start === 'seated';
  return [
    {
      kind: 'lay-out',
      what: seated
        ? `Set out ${bolsters.seated ?? ''}, a cloth for the shoulders`
        : `Bed: sheet, cover, two towels, ${bolsters[start] ?? 'a cushion'}`,
      minutesBefore: layOutMinutes,
      why:
        later.length > 0
          ? `Then ${later.map((position) => bolsters[position] ?? position).join(', ')}.`
          : 'No turn is planned.',
    },
  ];
}

function smallThings(groups: RegionGroups, blocks: readonly PlannedBlock[]): readonly RoomItem[] {
  const gloved = blocks.filter(({ hands }) => hands === 'gloved').length;
  const chosen = blocks.flatMap(({ steps }) =>
    steps.flatMap(({ technique, regions }) => toolFor(groups, technique, regions) ?? []),
  );
  const tools = [...new Set(chosen.map(({ tool }) => tool))];
  const items: RoomItem[] = [];
  const lay = (what: string, why: string) =>
    items.push({ kind: 'lay-out', what, minutesBefore: smallThingsMinutes, why });
  if (gloved > 0)
    lay(`${gloved + 1} pairs of gloves, one to spare`, 'New ones for the mouth, and nothing else touched with them.');
  if (blocks.some(({ hands }) => hands === 'brush'))
    lay('A clean dry brush, soft side out', 'Its own for each client.');
  if (tools.length > 0) lay(`Clean: ${tools.join(', ')}`, 'By zone, as the steps say.');
  if (chosen.some(({ needsSlip }) => needsSlip))
    lay('Something to glide on for the scraping tool', 'Never on dry skin.');
  return items;
}
