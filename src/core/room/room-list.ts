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
import { roomSays } from './room.says';

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
      what: roomSays.nailsShortNoJewelleryHandsWarm,
      minutesBefore: 2,
      why: roomSays.beforeEveryClient,
    },
    {
      id: 'water',
      kind: 'water',
      what: roomSays.aGlassOfWaterForAfterwards,
      minutesBefore: 2,
      why: roomSays.theClientDrinksBeforeGettingUp,
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
          what: roomSays.mixForTheLayersAndLay(bottles),
          minutesBefore: blendMinutes,
          why: roomSays.theyDropOneAfterTheOther,
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
      what: roomSays.fillTheStoneBath(habits.hotStones ?? roomSays.switchItOn),
      minutesBefore: Math.max(0, habits.stoneWarmUpMinutes - begins),
      why: roomSays.theyNeedMinutesToBeWarm(habits.stoneWarmUpMinutes, comesWhen(begins)),
    });
  }
  const firstCool = blocks.find(takesStones(true));
  if (firstCool) {
    const begins = Math.floor(firstCool.startsAt / minute);
    items.push({
      id: 'cool-stones',
      kind: 'cool',
      what: roomSays.layTheCoolStonesIntoCold(habits.coolStones === undefined ? '' : `, ${habits.coolStones}`),
      minutesBefore: Math.max(0, coolMinutes - begins),
      why: roomSays.theyNeedMinutesToBeCool(coolMinutes, comesWhen(begins)),
    });
  }
  return items;
}

const comesWhen = (begins: number) =>
  begins === 0
    ? roomSays.theVisitBeginsWithThem
    : roomSays.theFirstComesIntoTheVisit(begins, begins === 1 ? 'minute' : 'minutes');

const cupWords = {
  body: roomSays.bodyOilInTheCup,
  scalp: roomSays.oilForScalpAndShouldersIn,
  neck: roomSays.aLittleOilForNeckAnd,
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
            what: roomSays.mlNoMore(what, need.ml),
            minutesBefore: blendMinutes,
            why: roomSays.forM2OfSkin((need.cm2 / cm2PerM2).toFixed(2)),
          },
        ]
      : [];
  return [...item(body, 'body', cupWords[body?.cup ?? 'body']), ...item(face, 'face', roomSays.faceOil)];
}

const skips = ({ skipTechniques = [] }: Limits, practice: string) => skipTechniques.includes(practice);

/** How the client is bedded in a position, for what may not be lain on. */
function bolsterFor(position: Position, limits: Limits): string {
  const isRaised = limits.avoidPosition?.includes('supine-flat') ?? false;
  switch (position) {
    case 'supine':
      return roomSays.aBolsterUnderTheKnees(isRaised ? roomSays.theHeadEndRaised : '');
    case 'prone':
      return skips(limits, 'face-cradle') ? roomSays.aBolsterUnderTheAnklesA : roomSays.aBolsterUnderTheAnklesAnd;
    case 'side-left':
    case 'side-right':
      return roomSays.aCushionBetweenTheKnees;
    case 'seated':
      return roomSays.aChairWithALowBack;
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
          ? roomSays.setOutAClothForThe(bolsterFor('seated', limits))
          : roomSays.bedSheetCoverTwoTowels(bolsterFor(start, limits)),
      minutesBefore: layOutMinutes,
      why:
        later.length > 0
          ? roomSays.then(later.map((position) => bolsterFor(position, limits)).join(', '))
          : roomSays.noTurnIsPlanned,
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
    ...(limits.noHeat ? [lay('bed-heating', roomSays.heatingOfTheBedOffNo, roomSays.heatIsKeptAwayASecond)] : []),
    ...(limits.noScent || skips(limits, 'diffuser')
      ? [lay('air', roomSays.airTheRoomNoScentIn, roomSays.scentIsKeptAwayOnlyUnscented)]
      : []),
    ...(isFacial
      ? [
          lay(
            'cloths',
            isCool ? roomSays.coolMoistClothsForTheFace : roomSays.warmMoistClothsForTheFace,
            [
              isCool ? roomSays.insteadOfWarmOnesNoHeat : roomSays.theyTakeUpWhatIsLeft,
              ...(isCovered ? [roomSays.laidBesideNeverOverNoseAnd] : []),
            ].join(' '),
          ),
        ]
      : []),
    ...(limits.guardian ? [lay('guardian', roomSays.aSeatForTheGuardian, roomSays.aGuardianStaysInTheRoom)] : []),
    ...(limits.slowRise ? [lay('chair', roomSays.aChairBesideTheBed, roomSays.theClientSitsUpInSteps)] : []),
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
  const material = avoidMaterials.includes('latex') ? roomSays.withoutLatex : '';
  if (gloved > 0) lay('gloves', roomSays.pairsOfGlovesOneToSpare(gloved + 1, material), roomSays.newOnesForTheMouthAnd);
  else if (gloves) lay('gloves', roomSays.n2PairsOfGlovesOneTo(material), roomSays.wornWhereItWasDecidedChanged);
  if (blocks.some(({ hands }) => hands === 'brush'))
    lay('brush', roomSays.aCleanDryBrushSoftSide, roomSays.itsOwnForEachClient);
  if (tools.length > 0) lay('tools', roomSays.clean(tools.join(', ')), roomSays.byZoneAsTheStepsSay);
  if (chosen.some(({ needsSlip }) => needsSlip))
    lay('slip', roomSays.somethingToGlideOnForThe, roomSays.neverOnDrySkin);
  return items;
}
