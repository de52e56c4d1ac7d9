import { stoneBook } from '../../catalogue/stones/stones';
import type { RotationView } from '../../contracts/stone-views';
import { anatomy } from '../../catalogue/anatomy';
import { nameOf } from '../../core/anatomy/place';
import type { Judgement } from '../../core/judgement/judgement';
import { type ProductViolation, stoneViolations } from '../../core/judgement/product-violations';
import { stonesAt } from '../../core/judgement/visit-limits';
import type { MaterialId, SizeId } from '../../core/stones/book';
import { bathForVisit, firstTouchOf, type StoneClient } from '../../core/stones/first-touch';
import { stoneStepsOf } from '../../core/table/stone-steps';
import type { StoneHabits } from '../../core/stones/habits';
import { fitTray, nearSizes } from '../../core/stones/fit-tray';
import { changesOfHands, oneMore, oneMoreInWords } from '../../core/stones/one-more';
import type { Rotation } from '../../core/stones/rotation';
import type { Stock, StoneStep } from '../../core/stones/step-times';
import type { StoneUseKind } from '../../core/stones/use';
import { warmUpSeconds } from '../../core/stones/warm-up';
import { type WayOut, waysOut } from '../../core/stones/ways-out';
import type { TableStep } from '../../core/table/table-step';
import type { Db } from '../db/connection';
import { findClient } from '../clients/clients.repository';
import { findHabits, listStones, type StoredStone } from './stones.repository';
import { listClosingsOfClient } from '../visits/closings.repository';
import { judgeVisit } from '../screening/judge-visit';
import type { VisitRecord } from '../visits/visit-record';
import { likesColumn } from '../clients/clients.documents';
import { stonesAnswers } from './stones.answers';

/** What a rotation is made from besides the plan. */
export interface StoneTray {
  readonly habits: StoneHabits;
  readonly stones: readonly StoredStone[];
  readonly client: StoneClient;
  /** What is decided for the visit, asked for every stone at its places. */
  readonly judgement: Judgement;
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
function stockOf(stones: readonly Pick<StoredStone, 'size' | 'material' | 'state'>[]): readonly Stock[] {
  const stocks = new Map<string, Stock>();
  for (const { size, material, state } of stones) {
    if (state !== 'in-use') continue;
    const name = classNameOf(size, material);
    const known = stocks.get(name);
    stocks.set(name, { class: name, size, material, count: (known?.count ?? 0) + 1 });
  }
  return [...stocks.values()];
}

/** What of a client bears on stones: the judgement, liking, and what was said last time. */
async function stoneClientOf(db: Db, record: VisitRecord): Promise<Pick<StoneTray, 'client' | 'judgement' | 'noHeat'>> {
  const judgement = judgeVisit(record);
  const [person, closings] = await Promise.all([
    findClient(db, record.client.id),
    listClosingsOfClient(db, record.client.id),
  ]);
  const remark = [...closings.values()].findLast(({ warmth }) => warmth !== null)?.warmth ?? null;
  const likes = person ? likesColumn.read(person.likes_json).warmth : '';
  const { isOff, ...whole } = stonesAt(judgement, false, []);
  const reasons = judgement.kind('hot-stone')?.answer.reasons;
  return {
    judgement,
    client: { ...whole, likes, lastRemark: remark },
    noHeat: isOff ? (reasons?.[0]?.text ?? stonesAnswers.screeningAllowsNoHeat) : '',
  };
}

type Tray = Pick<StoneTray, 'client' | 'habits' | 'judgement' | 'stones'>;

/** What the steps of a plan ask of hot or of cold stones. */
function askedOf(
  steps: readonly TableStep[],
  { client, habits, judgement, stones }: Tray,
  isCold: boolean,
): readonly StoneStep[] {
  const stock = stockOf(stones);
  const touch = (use: StoneUseKind, places: readonly string[]) => {
    const isOnFace = places.some((place) => anatomy.groups.face.has(nameOf(place)));
    if (isCold) return isOnFace ? habits.coldFaceC : habits.coldBodyC + 1;
    const { mostC, skin } = stonesAt(judgement, false, places);
    const isThin = skin === 'thin' || places.some((place) => hasThinSkin(nameOf(place)));
    const here = { ...client, mostC, skin: isThin ? 'thin' : client.skin } as const;
    return firstTouchOf(stoneBook.limits, here, use.mode, use.towelLayers).firstC;
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
  const input = {
    ...{
      bathC,
      toleranceC: habits.toleranceC,
      ambientC: stoneBook.physics.ambientC,
      steps: asked,
      spares: 'hands' as const,
    },
    stock: stockOf(stones).filter(({ material }) => coldMaterials.includes(material) === isCold),
  };
  const { rotation, input: fitted } = fitTray(stoneBook, input);
  const sizeOf = (name: string) => input.stock.find((stock) => stock.class === name)?.size;
  const ways = waysOut(stoneBook, input, rotation, isCold ? habits.coldBathC : warmestBathC);
  const changed = ({ given }: WayOut) =>
    given.steps.flatMap(({ id, class: name, count }, i) => {
      const before = asked[i];
      const size = sizeOf(name);
      return size === undefined || (before?.class === name && before.count === count)
        ? []
        : [{ step: id, size, count }];
    });
  return [
    {
      ...{ isCold, bathC, names, rotation: numberedAsInTray(rotation, stones, isCold) },
      changes: changesOfHands(rotation),
      sizes: Object.fromEntries(
        fitted.steps.flatMap((step) => {
          const size = sizeOf(step.class);
          return size ? [[step.id, size]] : [];
        }),
      ),
      spared: oneMore(stoneBook, input, rotation).map(oneMoreInWords),
      waysOut: ways.map((way) => ({ kind: way.kind, words: way.words, changes: changed(way) })),
    },
  ];
}

/** Stones bear the numbers that they have in the tray; those that are missing get numbers behind all of them. */
function numberedAsInTray(rotation: Rotation, stones: readonly StoredStone[], isCold: boolean): Rotation {
  const own = new Map<string, number[]>();
  for (const { id, size, material, state } of stones) {
    if (state !== 'in-use' || coldMaterials.includes(material) !== isCold) continue;
    const name = classNameOf(size, material);
    own.set(name, [...(own.get(name) ?? []), id]);
  }
  const most = Math.max(0, ...stones.map(({ id }) => id));
  const uses = rotation.uses.map((use) => {
    const at = use.stone.lastIndexOf('-');
    const [name, number] = [use.stone.slice(0, at), Number(use.stone.slice(at + 1))];
    return { ...use, stone: `${name}-${own.get(name)?.[number - 1] ?? most + number}` };
  });
  return { ...rotation, uses };
}

/** The stock that a use takes from: of its size or the nearest one in the tray, marble or jade for cold ones. */
function classFor(stock: readonly Stock[], use: StoneUseKind): string {
  const fits = (size: SizeId) =>
    stock.find((one) => one.size === size && coldMaterials.includes(one.material) === use.isCold)?.class;
  return [use.size, ...nearSizes[use.size], 'palm' as const].map(fits).find((name) => name !== undefined) ?? use.size;
}

/** What the check apart finds in the stones of a plan; nothing with any of it is stored. */
export function stonesAgainst(steps: readonly TableStep[], tray: Tray): readonly ProductViolation[] {
  const checked = [false, true].flatMap((isCold) => {
    const asked = new Map(askedOf(steps, tray, isCold).map(({ id, firstContactC }) => [id, firstContactC]));
    return steps.flatMap(({ id, told }) => {
      const firstContactC = asked.get(id);
      return firstContactC === undefined || !told ? [] : [{ id, isCold, firstContactC, places: told.places }];
    });
  });
  return stoneViolations(checked, tray.judgement);
}
