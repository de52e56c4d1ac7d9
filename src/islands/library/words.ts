import type { Direction, Family, HandNeed, Standing, Touch, Trait } from '../../core/library/technique';

export const familyWords: Readonly<Record<Family, string>> = {
  breath: 'breathing',
  'lymph-stretch': 'drainage, skin stretch',
  'lymph-sweep': 'drainage, sweep',
  stretch: 'stretch',
  effleurage: 'effleurage',
  petrissage: 'petrissage',
  friction: 'friction',
  assessment: 'looking',
  hold: 'hold',
  facial: 'facial',
  ritual: 'ritual',
  'self-care': 'self-massage',
  intraoral: 'inside the mouth',
  roll: 'roller',
  scrape: 'scraping tool',
  brush: 'dry brush',
  'stone-glide': 'stone, glide',
  'stone-press': 'stone, press',
  'stone-rest': 'stone at rest',
  'stone-cool': 'cool stone',
  'spine-oil': 'oils along the spine',
  scalp: 'scalp',
  pump: 'chest recoil',
};

export const handWords: Readonly<Record<HandNeed, string>> = {
  dry: 'dry hands',
  oiled: 'oiled hands',
  gloved: 'gloved hands',
  stone: 'stone in the hand',
  brush: 'dry brush',
  tool: 'tool',
  cloth: 'over cloth',
  any: 'hands as they are',
  none: 'no hands',
};

export const touchWords: Readonly<Record<Touch, string>> = {
  none: 'no pressure',
  feather: 'skin only',
  light: 'light',
  medium: 'medium',
  firm: 'firm',
};

export const directionWords: Readonly<Record<Direction, string>> = {
  'towards-node': 'towards the node group',
  'towards-heart': 'towards the heart',
  'across-line': 'across the line',
  'along-muscle': 'along the muscle',
  'bowel-clockwise': 'up the client’s right, across, down the left',
  'node-outward': 'beside the node first, then further out',
  none: 'in place',
};

export const standingWords: Readonly<Record<Standing, string>> = {
  head: 'at the head',
  side: 'at the side',
  feet: 'at the feet',
  any: 'anywhere',
};

export const traitWords: Readonly<Record<Trait, string>> = {
  intense: 'intense: something soothing follows',
  soothing: 'soothing',
  stimulating: 'stimulating: not on skin that reacts',
  'both-hands-one-side': 'both hands on one side',
  advanced: 'for those trained in it',
  licensed: 'only with a licence',
  guarded: 'passes the oil limits first',
  'inside-the-mouth': 'inside the mouth, gloved',
  'by-the-client': 'done by the client',
};

export const originWords = { shipped: '', changed: 'changed here', own: 'our own' } as const;

/** `outlet-first` as `outlet first`. */
export const plainWords = (id: string) => id.replaceAll('-', ' ');
