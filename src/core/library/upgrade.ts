import type { Family, Technique, Trait } from './technique';

/** Kinds of work that a family is judged as when nobody has said more; shown in the editor, to be changed there. */
const kindsOfFamily: Readonly<Record<Family, readonly string[]>> = {
  breath: ['breathing'],
  'lymph-stretch': ['lymph-drainage'],
  'lymph-sweep': ['lymph-drainage'],
  stretch: ['body-massage', 'neck-mobilisation'],
  effleurage: ['body-massage'],
  petrissage: ['body-massage'],
  friction: ['body-massage'],
  assessment: ['body-massage'],
  hold: ['body-massage', 'neck-mobilisation'],
  facial: ['facial-massage'],
  ritual: ['scalp-ritual', 'body-massage'],
  'self-care': ['home-self-care', 'facial-massage'],
  intraoral: ['facial-intraoral'],
  roll: ['facial-roller'],
  scrape: ['facial-scraping-tool', 'body-massage'],
  brush: ['dry-brush'],
  'stone-glide': ['hot-stone', 'body-massage'],
  'stone-press': ['hot-stone', 'body-massage'],
  'stone-rest': ['hot-stone'],
  'stone-cool': ['cold-stone'],
  'spine-oil': ['spine-oil-layering', 'body-massage'],
  scalp: ['scalp-ritual'],
  pump: ['thoracic-pump'],
};

/** What the hands of a family always do to the tissue; the careful side where a family can go either way. */
const traitsOfFamily: Readonly<Partial<Record<Family, readonly Trait[]>>> = {
  breath: ['breath-linked'],
  'lymph-stretch': ['to-node'],
  'lymph-sweep': ['to-node'],
  friction: ['friction'],
  intraoral: ['inside-mouth'],
  scrape: ['scrape'],
  'stone-glide': ['heat'],
  'stone-press': ['heat', 'press-hold'],
  'stone-rest': ['heat', 'press-hold'],
  'stone-cool': ['cold'],
  'spine-oil': ['scented', 'beside-spine'],
  pump: ['compresses-chest'],
  hold: ['press-hold'],
};

export const proposedKinds = (family: Family): readonly string[] => kindsOfFamily[family];

const oldNames: Readonly<Record<string, Trait>> = { 'inside-the-mouth': 'inside-mouth', 'by-the-client': 'by-client' };

/**
 * A technique as it is read today, from one that was written before techniques said what they are judged as: proposed
 * from its family, never from its id or name. One that says so already is left as it is.
 */
export function upgradeTechnique(value: unknown): unknown {
  if (typeof value !== 'object' || value === null) return value;
  const old = value as Partial<Technique> & { readonly traits?: readonly string[] };
  if (old.judgedAs !== undefined || old.family === undefined || !(old.family in kindsOfFamily)) return value;
  const own = Array.isArray(old.traits) ? old.traits.map((trait) => oldNames[trait] ?? (trait as Trait)) : [];
  return {
    ...old,
    traits: [...new Set([...own, ...(traitsOfFamily[old.family] ?? [])])],
    judgedAs: kindsOfFamily[old.family],
    why: old.why ?? '',
    never: old.never ?? '',
    feel: old.feel ?? '',
    words: old.words ?? [],
  };
}
