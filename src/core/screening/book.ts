import { type Anatomy, nameOf, type PlaceId, sideOf } from '../anatomy/place';
import type { CombinationRule, Condition, Effect, Modality, ScreeningTables } from './tables';

/** A limb or its quarter, by family and side: `upper.left`. */
export type LimbId = string;

/** The tables laid out for questions: what touches what, and where. Made once. */
export interface ScreeningBook extends Omit<ScreeningTables, 'conditions' | 'modalities'> {
  readonly anatomy: Anatomy;
  readonly conditions: ReadonlyMap<string, Condition>;
  readonly modalities: ReadonlyMap<string, Modality>;
  /** Territories that a modality can touch, in the order of the body. */
  readonly reach: ReadonlyMap<string, ReadonlySet<PlaceId>>;
  readonly limbs: ReadonlyMap<LimbId, { readonly limb: readonly PlaceId[]; readonly quadrant: readonly PlaceId[] }>;
  readonly limbOf: ReadonlyMap<PlaceId, LimbId>;
  /** Effects of a condition or rule on one modality, in the order of the tables. */
  effectsOn(modality: string, of: Condition | CombinationRule): readonly Effect[];
}

const sides = ['left', 'right'] as const;

/** @throws Error when a table names a place, a modality, a condition or a limit that does not exist */
export function makeBook(tables: ScreeningTables, anatomy: Anatomy): ScreeningBook {
  const conditions = byId(tables.conditions);
  const modalities = byId(tables.modalities);
  const names = new Set([...anatomy.territories.values()].map((t) => t.name));
  checkTables(tables, names, conditions, modalities);
  const reach = new Map(
    tables.modalities.map((m) => {
      const wanted = m.reach === 'all' ? names : new Set(m.reach);
      return [m.id, new Set([...anatomy.territories.keys()].filter((id) => wanted.has(nameOf(id))))];
    }),
  );
  const limbs = new Map(
    tables.families.flatMap((family) =>
      sides.map((side) => {
        const on = (list: readonly string[]) => list.map((name) => `${name}.${side}`);
        return [`${family.id}.${side}`, { limb: on(family.limb), quadrant: on(family.quadrant) }] as const;
      }),
    ),
  );
  const limbOf = new Map<PlaceId, LimbId>();
  for (const [id, { limb, quadrant }] of limbs) for (const place of [...limb, ...quadrant]) limbOf.set(place, id);
  const sorted = new Map<Condition | CombinationRule, Map<string, Effect[]>>();
  for (const owner of [...tables.conditions, ...tables.rules]) {
    const lists = new Map<string, Effect[]>(tables.modalities.map((m) => [m.id, []]));
    for (const effect of owner.effects)
      for (const id of effect.on === 'all' ? modalities.keys() : effect.on) lists.get(id)?.push(effect);
    sorted.set(owner, lists);
  }
  const effectsOn = (modality: string, of: Condition | CombinationRule) => sorted.get(of)?.get(modality) ?? [];
  return { ...tables, anatomy, conditions, modalities, reach, limbs, limbOf, effectsOn };
}

/** The territories that a marked place stands for: itself, or the skin of a node group. */
export function skinOf(book: ScreeningBook, id: PlaceId): readonly PlaceId[] {
  if (book.anatomy.territories.has(id)) return [id];
  const side = sideOf(id);
  return (book.basinSkin[nameOf(id)] ?? []).flatMap((name) =>
    (side === 'mid' ? sides : [side]).map((s) => `${name}.${s}`),
  );
}

function byId<T extends { readonly id: string }>(rows: readonly T[]): ReadonlyMap<string, T> {
  const map = new Map(rows.map((row) => [row.id, row]));
  if (map.size !== rows.length) throw new Error('screening: an id stands twice');
  return map;
}

function checkTables(
  tables: ScreeningTables,
  names: ReadonlySet<string>,
  conditions: ReadonlyMap<string, Condition>,
  modalities: ReadonlyMap<string, Modality>,
): void {
  const must = (known: { has(id: string): boolean }, id: string, where: string) => {
    if (!known.has(id)) throw new Error(`screening: ${where} names “${id}”, which does not exist`);
  };
  const limits = new Set(Object.keys(tables.limitKeys));
  const qualifications = new Set(tables.qualifications.map((q) => q.id));
  for (const owner of [...tables.conditions, ...tables.rules]) {
    for (const effect of owner.effects) {
      if (effect.on !== 'all') for (const id of effect.on) must(modalities, id, owner.id);
      if (typeof effect.where !== 'string') for (const name of effect.where) must(names, name, owner.id);
      for (const key of Object.keys(effect.limits ?? {})) must(limits, key, owner.id);
      for (const id of (effect.requires ?? []).flat()) must(qualifications, id, owner.id);
    }
  }
  for (const condition of tables.conditions) {
    for (const name of condition.defaultRegions ?? []) must(names, name, condition.id);
    for (const up of condition.followUps ?? []) for (const id of up.answeredBy) must(conditions, id, condition.id);
  }
  for (const rule of tables.rules) {
    for (const id of [...(rule.when.allOf ?? []), ...(rule.when.anyOf ?? [])]) must(conditions, id, rule.id);
    for (const id of rule.when.modalitiesAll ?? []) must(modalities, id, rule.id);
  }
  for (const flag of tables.redFlags) must(conditions, flag.condition, flag.id);
  for (const modality of tables.modalities) {
    if (modality.reach !== 'all') for (const name of modality.reach) must(names, name, modality.id);
    for (const id of modality.requires.flat()) must(qualifications, id, modality.id);
  }
  for (const { id, limb, quadrant } of tables.families)
    for (const name of [...limb, ...quadrant]) must(names, name, id);
}
