import { stoneBook } from '../../catalogue/stones/stones';
import type { RotationView } from '../../contracts/stone-views';
import { anatomy } from '../../catalogue/anatomy';
import { nameOf } from '../../core/anatomy/place';
import { rankOf } from '../../core/screening/tables';
import type { MaterialId, SizeId } from '../../core/stones/book';
import {
  bathForVisit,
  firstTouchOf,
  type StoneClient,
  type StoneHabits,
  stoneStepsOf,
} from '../../core/stones/from-plan';
import { rotate } from '../../core/stones/rotation';
import type { Stock, StoneStep } from '../../core/stones/step-times';
import type { StoneUseKind } from '../../core/stones/use';
import { warmUpSeconds } from '../../core/stones/warm-up';
import { waysOut } from '../../core/stones/ways-out';
import type { TableStep } from '../../core/table/table-step';
import type { Db } from '../db/connection';
import { findClient } from '../repositories/clients';
import { findHabits, listStones, type StoredStone } from '../repositories/stones';
import { listClosingsOfClient } from '../repositories/closings';
import { screeningCaseOf, type VisitRecord } from './read-visit';
import { screenCase } from './screen-visit';

/** What a rotation is made from besides the plan. */
export interface StoneTray {
  readonly habits: StoneHabits;
  readonly stones: readonly StoredStone[];
  readonly client: StoneClient;
  /** Why no heat at all; empty where it may be given. */
  readonly noHeat: string;
}

const warmestBathC = 56;
const coldMaterials: readonly MaterialId[] = ['marble', 'jadeite', 'nephrite'];

export async function readTray(db: Db, record: VisitRecord): Promise<StoneTray> {
  const [habits, stones, of] = await Promise.all([findHabits(db), listStones(db), stoneClientOf(db, record)]);
  return { habits, stones, ...of };
}

/** Minutes from cold water until all hot stones of the house are warm; null where the heater cannot. */
export function warmUpOf({ habits, stones }: Pick<StoneTray, 'habits' | 'stones'>): number | null {
  const hot = stones.filter(({ state, material }) => state === 'in-use' && !coldMaterials.includes(material));
  const seconds = warmUpSeconds(
    stoneBook.physics,
    stoneBook.materials,
    habits,
    hot.map(({ massG, ...stone }) => ({ ...stone, ...(massG === null ? {} : { massG }) })),
  );
  return seconds === null ? null : Math.ceil(seconds / 60);
}

/** A stock is of one size and one material; what is not basalt carries its material in its name. */
const classNameOf = (size: SizeId, material: MaterialId) => (material === 'basalt' ? size : `${size}-${material}`);

/** Like stones of the house that are sound. */
export function stockOf(stones: readonly Pick<StoredStone, 'size' | 'material' | 'state'>[]): readonly Stock[] {
  const stocks = new Map<string, Stock>();
  for (const { size, material, state } of stones) {
    if (state !== 'in-use') continue;
    const name = classNameOf(size, material);
    const known = stocks.get(name);
    stocks.set(name, { class: name, size, material, count: (known?.count ?? 0) + 1 });
  }
  return [...stocks.values()];
}

/** What of a client bears on stones: screening, age, liking, and what was said last time. */
async function stoneClientOf(
  db: Db,
  record: VisitRecord,
): Promise<{ readonly client: StoneClient; readonly noHeat: string }> {
  const answer = screenCase(screeningCaseOf(record), ['hot-stone']).byModality.find(
    ({ modality }) => modality === 'hot-stone',
  );
  const [person, closings] = await Promise.all([
    findClient(db, record.client.id),
    listClosingsOfClient(db, record.client.id),
  ]);
  const remark = [...closings.values()].findLast(({ warmth }) => warmth !== null)?.warmth ?? null;
  const likes = (JSON.parse(person?.likes_json ?? '{}') as { warmth?: StoneClient['likes'] }).warmth ?? '';
  const limits = answer?.limits ?? {};
  const isRefused = answer !== undefined && rankOf(answer.decision) >= rankOf('clear-first');
  return {
    client: {
      skin: limits.stoneSkin === 'thin' ? 'thin' : 'normal',
      mostC: limits.maxStoneC ?? null,
      likes,
      lastRemark: remark,
    },
    noHeat: limits.noHeat || isRefused ? (answer?.reasons[0]?.text ?? 'Screening allows no heat.') : '',
  };
}

type Tray = Pick<StoneTray, 'client' | 'habits' | 'stones'>;

/** What the steps of a plan ask of hot or of cold stones. */
function askedOf(steps: readonly TableStep[], { client, habits, stones }: Tray, isCold: boolean): readonly StoneStep[] {
  const stock = stockOf(stones);
  const touch = (use: StoneUseKind, places: readonly string[]) => {
    if (isCold) return use.size === 'facial' ? habits.coldFaceC : habits.coldBodyC + 1;
    const skin = places.some((place) => hasThinSkin(nameOf(place))) ? 'thin' : client.skin;
    return firstTouchOf(stoneBook.limits, { ...client, skin }, use.mode, use.towelLayers).firstC;
  };
  return stoneStepsOf(steps, isCold, habits, touch, (use) => classFor(stock, use));
}

/** Face, neck and lids have thin skin on everybody. */
const hasThinSkin = (name: string) => anatomy.groups.face.has(name) || anatomy.groups.neck.has(name);

/** Hot and cold stones have baths of their own and are planned apart. */
export function rotationsOf(steps: readonly TableStep[], tray: Tray): readonly RotationView[] {
  const names = Object.fromEntries(steps.map((step) => [step.id, step.told?.block ?? '']));
  return [false, true].flatMap((isCold) => rotationView(askedOf(steps, tray, isCold), tray, isCold, names));
}

/** One visit of a day, as far as its stones go. */
export interface DayPart {
  readonly name: string;
  /** Seconds from the first of them. */
  readonly offsetS: number;
  readonly steps: readonly TableStep[];
  readonly tray: Tray;
}

/** All visits of a day out of the same baths; the hot one as mild as the mildest visit asks for. */
export function rotateDay(parts: readonly DayPart[]): readonly RotationView[] {
  const [first] = parts;
  if (!first) return [];
  const names: Record<string, string> = {};
  return [false, true].flatMap((isCold) => {
    const asked = parts.flatMap(({ name, offsetS, steps, tray }, i) =>
      askedOf(steps, tray, isCold).map((step): StoneStep => {
        const id = `${i} ${step.id}`;
        names[id] = name;
        return { ...step, id, startS: step.startS + offsetS };
      }),
    );
    const mildest = Math.min(...asked.map(({ firstContactC }) => firstContactC));
    const even = isCold ? asked : asked.map((step) => ({ ...step, firstContactC: mildest }));
    return rotationView(even, first.tray, isCold, names);
  });
}

function rotationView(
  asked: readonly StoneStep[],
  { habits, stones }: Tray,
  isCold: boolean,
  names: Readonly<Record<string, string>>,
): readonly RotationView[] {
  if (asked.length === 0) return [];
  const { pickupDropC } = stoneBook.rotation;
  const bathC = isCold ? habits.coldBathC : bathForVisit(habits.hotBathC, asked, pickupDropC);
  const given = {
    ...{ bathC, toleranceC: habits.toleranceC, ambientC: stoneBook.physics.ambientC, steps: asked },
    stock: stockOf(stones).filter(({ material }) => coldMaterials.includes(material) === isCold),
  };
  const rotation = rotate(stoneBook, given);
  const ways = waysOut(stoneBook, given, rotation, isCold ? habits.coldBathC : warmestBathC);
  return [{ isCold, bathC, rotation, names, waysOut: ways.map(({ kind, words }) => ({ kind, words })) }];
}

/** The stock that a use takes from: of its size, marble or jade for cold ones; palm stones where that size is not there. */
function classFor(stock: readonly Stock[], use: StoneUseKind): string {
  const fits = (size: SizeId) =>
    stock.find((one) => one.size === size && coldMaterials.includes(one.material) === use.isCold)?.class;
  return fits(use.size) ?? fits('palm') ?? fits('facial') ?? use.size;
}
