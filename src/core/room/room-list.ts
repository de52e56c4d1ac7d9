import type { Minutes } from '../quantities';
import type { RegionGroups } from '../anatomy/place';
import { facialModalities } from '../library/protocol';
import type { Limits } from '../screening/tables';
import { stoneUseOf } from '../stones/use';
import { toolFor } from '../treatment/tool';
import type { Position } from '../sequencing/block';
import type { PlannedBlock } from '../treatment/plan-treatment';
import type { SpreadTable } from './medium';
import { type OilNeed, oilNeeds } from './oil-needs';

export type RoomItemId =
  | 'stone-bath'
  | 'cool-stones'
  | 'body-oil'
  | 'face-oil'
  | 'layer-oils'
  | 'bed'
  | 'bed-heating'
  | 'air'
  | 'cloths'
  | 'gloves'
  | 'brush'
  | 'tools'
  | 'slip'
  | 'guardian'
  | 'chair'
  | 'hands'
  | 'water';

/** Something to heat, blend or lay out before a client comes, counted back from the appointment. */
export interface RoomItem {
  /** What it is, whatever it is called; absent in lists that were stored before it was kept. */
  readonly id?: RoomItemId | undefined;
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
  readonly stoneWarmUpMinutes: Minutes;
  readonly spread: SpreadTable;
  /** Skin of this client (m²), where height and weight are known. */
  readonly surfaceM2?: number | undefined;
  /** What goes into the hot bath and how warm it is set, as worked out for the house's own stones; the cold one the same. */
  readonly hotStones?: string | undefined;
  readonly coolStones?: string | undefined;
  /** Bottles for drops straight onto the skin, in the order of the layers, with their drops. */
  readonly layerOils?: string | undefined;
}

const cm2PerM2 = 10_000;
const coolMinutes = 15;
const blendMinutes = 10;
const layOutMinutes = 10;
const smallThingsMinutes = 5;
const minute = 60;

/**
 * What a treatment needs, the earliest first, as far as the limits of this client allow it; where something is left out,
 * what is made ready instead.
 */
export function roomList(
  groups: RegionGroups,
  blocks: readonly PlannedBlock[],
  start: Position,
  habits: RoomHabits,
  limits: Limits = {},
): readonly RoomItem[] {
  if (blocks.length === 0) return [];
  const items: RoomItem[] = [
    ...stones(blocks, habits),
    ...media(groups, blocks, habits),
    ...layerOils(habits),
    ...bed(blocks, start, limits),
    ...comforts(blocks, limits),
    ...smallThings(groups, blocks, limits),
    {
      id: 'hands',
      kind: 'hands',
      what: 'Nails short, no jewellery, hands warm',
      minutesBefore: 2,
      why: 'Before every client.',
    },
    {
      id: 'water',
      kind: 'water',
      what: 'A glass of water for afterwards',
      minutesBefore: 2,
      why: 'The client drinks before getting up.',
    },
  ];
  return items.sort((a, b) => b.minutesBefore - a.minutesBefore);
}

const layerOils = ({ layerOils: bottles }: RoomHabits): readonly RoomItem[] =>
  bottles === undefined
    ? []
    : [
        {
          id: 'layer-oils',
          kind: 'lay-out',
          what: `Mix for the layers, and lay out in this order: ${bottles}`,
          minutesBefore: blendMinutes,
          why: 'They drop one after the other, without looking for a bottle.',
        },
      ];

const takesStones =
  (isCold: boolean) =>
  ({ steps }: PlannedBlock): boolean =>
    steps.some(({ technique, stones: wish }) => stoneUseOf(technique, wish)?.isCold === isCold);

function stones(blocks: readonly PlannedBlock[], habits: RoomHabits): readonly RoomItem[] {
  const items: RoomItem[] = [];
  const firstHot = blocks.find(takesStones(false));
  if (firstHot) {
    const begins = Math.floor(firstHot.startsAt / minute);
    items.push({
      id: 'stone-bath',
      kind: 'heat',
      what: `Fill the stone bath, ${habits.hotStones ?? 'switch it on'}`,
      minutesBefore: Math.max(0, habits.stoneWarmUpMinutes - begins),
      why: `They need ${habits.stoneWarmUpMinutes} minutes to be warm; ${comesWhen(begins)}.`,
    });
  }
  const firstCool = blocks.find(takesStones(true));
  if (firstCool) {
    const begins = Math.floor(firstCool.startsAt / minute);
    items.push({
      id: 'cool-stones',
      kind: 'cool',
      what: `Lay the cool stones into cold water${habits.coolStones === undefined ? '' : `, ${habits.coolStones}`}`,
      minutesBefore: Math.max(0, coolMinutes - begins),
      why: `They need ${coolMinutes} minutes to be cool; ${comesWhen(begins)}.`,
    });
  }
  return items;
}

const comesWhen = (begins: number) =>
  begins === 0
    ? 'the visit begins with them'
    : `the first comes ${begins} ${begins === 1 ? 'minute' : 'minutes'} into the visit`;

const cupWords = {
  body: 'Body oil in the cup',
  scalp: 'Oil for scalp and shoulders in the cup',
  neck: 'A little oil for neck and shoulders in the cup',
} as const;

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
            id: area === 'body' ? 'body-oil' : 'face-oil',
            kind: 'blend',
            area,
            what: `${what}: ${need.ml} mL, no more`,
            minutesBefore: blendMinutes,
            why: `For ${(need.cm2 / cm2PerM2).toFixed(2)} m² of skin.`,
          },
        ]
      : [];
  return [...item(body, 'body', cupWords[body?.cup ?? 'body']), ...item(face, 'face', 'Face oil')];
}

const skips = ({ skipTechniques = [] }: Limits, practice: string) => skipTechniques.includes(practice);

/** How the client is bedded in a position, for what may not be lain on. */
function bolsterFor(position: Position, limits: Limits): string {
  const isRaised = limits.avoidPosition?.includes('supine-flat') ?? false;
  switch (position) {
    case 'supine':
      return `${isRaised ? 'the head end raised, ' : ''}a bolster under the knees`;
    case 'prone':
      return skips(limits, 'face-cradle')
        ? 'a bolster under the ankles, a flat cushion under the forehead instead of the face rest'
        : 'a bolster under the ankles and the face rest';
    case 'side-left':
    case 'side-right':
      return 'a cushion between the knees';
    case 'seated':
      return 'a chair with a low back';
  }
}

function bed(blocks: readonly PlannedBlock[], start: Position, limits: Limits): readonly RoomItem[] {
  const later = [...new Set(blocks.map(({ position }) => position))].filter((position) => position !== start);
  return [
    {
      id: 'bed',
      kind: 'lay-out',
      what:
        start === 'seated'
          ? `Set out ${bolsterFor('seated', limits)}, a cloth for the shoulders`
          : `Bed: sheet, cover, two towels, ${bolsterFor(start, limits)}`,
      minutesBefore: layOutMinutes,
      why:
        later.length > 0
          ? `Then ${later.map((position) => bolsterFor(position, limits)).join(', ')}.`
          : 'No turn is planned.',
    },
  ];
}

/** What makes a room pleasant for most, and what it is instead for whom it is not. */
function comforts(blocks: readonly PlannedBlock[], limits: Limits): readonly RoomItem[] {
  const lay = (id: RoomItemId, what: string, why: string): RoomItem => ({
    ...{ id, kind: 'lay-out', what, why, minutesBefore: smallThingsMinutes },
  });
  const isFacial = blocks.some(({ modality, hands }) => facialModalities.has(modality) && hands === 'oiled');
  const isCool = limits.noHeat || skips(limits, 'hot-towel') || skips(limits, 'steam');
  const isCovered = skips(limits, 'wrap-or-mask');
  return [
    ...(limits.noHeat
      ? [lay('bed-heating', 'Heating of the bed off, no warm packs', 'Heat is kept away; a second cover instead.')]
      : []),
    ...(limits.noScent || skips(limits, 'diffuser')
      ? [lay('air', 'Air the room: no scent in it', 'Scent is kept away; only unscented products.')]
      : []),
    ...(isFacial
      ? [
          lay(
            'cloths',
            isCool ? 'Cool moist cloths for the face' : 'Warm moist cloths for the face',
            [
              isCool ? 'Instead of warm ones: no heat and no steam.' : 'They take up what is left of the oil.',
              ...(isCovered ? ['Laid beside, never over nose and mouth; no mask.'] : []),
            ].join(' '),
          ),
        ]
      : []),
    ...(limits.guardian ? [lay('guardian', 'A seat for the guardian', 'A guardian stays in the room.')] : []),
    ...(limits.slowRise
      ? [lay('chair', 'A chair beside the bed', 'The client sits up in steps and stays seated some minutes.')]
      : []),
  ];
}

function smallThings(
  groups: RegionGroups,
  blocks: readonly PlannedBlock[],
  { gloves, avoidMaterials = [] }: Limits,
): readonly RoomItem[] {
  const gloved = blocks.filter(({ hands }) => hands === 'gloved').length;
  const chosen = blocks.flatMap(({ steps }) =>
    steps.flatMap(({ technique, regions }) => toolFor(groups, technique, regions) ?? []),
  );
  const tools = [...new Set(chosen.map(({ tool }) => tool))];
  const items: RoomItem[] = [];
  const lay = (id: RoomItemId, what: string, why: string) =>
    items.push({ id, kind: 'lay-out', what, minutesBefore: smallThingsMinutes, why });
  const material = avoidMaterials.includes('latex') ? ' without latex' : '';
  if (gloved > 0)
    lay(
      'gloves',
      `${gloved + 1} pairs of gloves${material}, one to spare`,
      'New ones for the mouth, and nothing else touched with them.',
    );
  else if (gloves)
    lay('gloves', `2 pairs of gloves${material}, one to spare`, 'Worn where it was decided; changed between places.');
  if (blocks.some(({ hands }) => hands === 'brush'))
    lay('brush', 'A clean dry brush, soft side out', 'Its own for each client.');
  if (tools.length > 0) lay('tools', `Clean: ${tools.join(', ')}`, 'By zone, as the steps say.');
  if (chosen.some(({ needsSlip }) => needsSlip))
    lay('slip', 'Something to glide on for the scraping tool', 'Never on dry skin.');
  return items;
}
