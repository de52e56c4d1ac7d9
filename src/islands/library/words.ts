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
  'inside-mouth': 'inside the mouth, gloved',
  'by-client': 'done by the client',
  'on-node': 'works on a node group itself',
  'to-node': 'pushes towards the node group of its region',
  opens: 'opens the way for what follows',
  traction: 'draws on head, limb or joint',
  'turns-neck': 'turns the neck',
  'bends-neck': 'bends the neck',
  pins: 'pins tissue and moves against it',
  'over-throat': 'lies or moves over the throat',
  'compresses-chest': 'presses the chest',
  'deep-belly': 'goes deep into the belly',
  heat: 'warm stones',
  cold: 'cool stones or tool',
  scrape: 'scrapes with an edge',
  scented: 'with essential oil',
  'neat-drops': 'drops undiluted oil',
  pinch: 'pinches or lifts a fold',
  'press-hold': 'presses or rests and holds',
  friction: 'rubs across the tissue',
  'breath-linked': 'goes with the breath',
  'beside-spine': 'runs beside the spine',
  'on-spine': 'runs on the spine',
  'across-line': 'works across a line of the face',
  'near-eye': 'beside the eye',
  'thumb-load': 'tires the thumbs',
  'uses-forearm': 'with the forearm',
  standing: 'standing',
  'seated-therapist': 'sitting',
  'one-side-at-a-time': 'one side at a time',
  'both-sides-at-once': 'both sides at once',
  'client-active': 'the client does something',
  'client-turns-head': 'the client turns the head',
  'lifts-leg': 'lifts the leg',
  'lifts-arm': 'lifts the arm',
  assessing: 'looks and feels',
};

export const originWords = { shipped: '', changed: 'changed here', own: 'our own' } as const;

/** `outlet-first` as `outlet first`. */
export const plainWords = (id: string) => id.replaceAll('-', ' ');
