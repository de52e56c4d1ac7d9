import { libraryWords } from './library.words';
import type { Direction, Family, HandNeed, Standing, Touch, Trait } from '../../core/library/technique';

export const familyWords: Readonly<Record<Family, string>> = {
  breath: 'breathing',
  'lymph-stretch': libraryWords.drainageSkinStretch,
  'lymph-sweep': libraryWords.drainageSweep,
  stretch: 'stretch',
  effleurage: 'effleurage',
  petrissage: 'petrissage',
  friction: 'friction',
  assessment: 'looking',
  hold: 'hold',
  facial: 'facial',
  ritual: 'ritual',
  'self-care': 'self-massage',
  intraoral: libraryWords.insideTheMouth,
  roll: 'roller',
  scrape: libraryWords.scrapingTool,
  brush: libraryWords.dryBrush,
  'stone-glide': libraryWords.stoneGlide,
  'stone-press': libraryWords.stonePress,
  'stone-rest': libraryWords.stoneAtRest,
  'stone-cool': libraryWords.coolStone,
  'spine-oil': libraryWords.oilsAlongTheSpine,
  scalp: 'scalp',
  pump: libraryWords.chestRecoil,
};

export const handWords: Readonly<Record<HandNeed, string>> = {
  dry: libraryWords.dryHands,
  oiled: libraryWords.oiledHands,
  gloved: libraryWords.glovedHands,
  stone: libraryWords.stoneInTheHand,
  brush: libraryWords.dryBrush,
  tool: 'tool',
  cloth: libraryWords.overCloth,
  any: libraryWords.handsAsTheyAre,
  none: libraryWords.noHands,
};

export const touchWords: Readonly<Record<Touch, string>> = {
  none: libraryWords.noPressure,
  feather: libraryWords.skinOnly,
  light: 'light',
  medium: 'medium',
  firm: 'firm',
};

export const directionWords: Readonly<Record<Direction, string>> = {
  'towards-node': libraryWords.towardsTheNodeGroup,
  'towards-heart': libraryWords.towardsTheHeart,
  'across-line': libraryWords.acrossTheLine,
  'along-muscle': libraryWords.alongTheMuscle,
  'bowel-clockwise': libraryWords.upTheClientsRightAcrossDown,
  'node-outward': libraryWords.besideTheNodeFirstThenFurther,
  none: libraryWords.inPlace,
};

export const standingWords: Readonly<Record<Standing, string>> = {
  head: libraryWords.atTheHead,
  side: libraryWords.atTheSide,
  feet: libraryWords.atTheFeet,
  any: 'anywhere',
};

export const traitWords: Readonly<Record<Trait, string>> = {
  intense: libraryWords.intenseSomethingSoothingFollows,
  soothing: 'soothing',
  stimulating: libraryWords.stimulatingNotOnSkinThatReacts,
  'both-hands-one-side': libraryWords.bothHandsOnOneSide,
  advanced: libraryWords.forThoseTrainedInIt,
  licensed: libraryWords.onlyWithALicence,
  guarded: libraryWords.passesTheOilLimitsFirst,
  'inside-mouth': libraryWords.insideTheMouthGloved,
  'by-client': libraryWords.doneByTheClient,
  'on-node': libraryWords.worksOnANodeGroupItself,
  'to-node': libraryWords.pushesTowardsTheNodeGroupOf,
  opens: libraryWords.opensTheWayForWhatFollows,
  traction: libraryWords.drawsOnHeadLimbOrJoint,
  'turns-neck': libraryWords.turnsTheNeck,
  'bends-neck': libraryWords.bendsTheNeck,
  pins: libraryWords.pinsTissueAndMovesAgainstIt,
  'over-throat': libraryWords.liesOrMovesOverTheThroat,
  'compresses-chest': libraryWords.pressesTheChest,
  'deep-belly': libraryWords.goesDeepIntoTheBelly,
  heat: libraryWords.warmStones,
  cold: libraryWords.coolStonesOrTool,
  scrape: libraryWords.scrapesWithAnEdge,
  scented: libraryWords.withEssentialOil,
  'neat-drops': libraryWords.dropsUndilutedOil,
  pinch: libraryWords.pinchesOrLiftsAFold,
  'press-hold': libraryWords.pressesOrRestsAndHolds,
  friction: libraryWords.rubsAcrossTheTissue,
  'breath-linked': libraryWords.goesWithTheBreath,
  'beside-spine': libraryWords.runsBesideTheSpine,
  'on-spine': libraryWords.runsOnTheSpine,
  'across-line': libraryWords.worksAcrossALineOfThe,
  'near-eye': libraryWords.besideTheEye,
  'thumb-load': libraryWords.tiresTheThumbs,
  'uses-forearm': libraryWords.withTheForearm,
  standing: 'standing',
  'seated-therapist': 'sitting',
  'one-side-at-a-time': libraryWords.oneSideAtATime,
  'both-sides-at-once': libraryWords.bothSidesAtOnce,
  'client-active': libraryWords.theClientDoesSomething,
  'client-turns-head': libraryWords.theClientTurnsTheHead,
  'lifts-leg': libraryWords.liftsTheLeg,
  'lifts-arm': libraryWords.liftsTheArm,
  assessing: libraryWords.looksAndFeels,
};

export const originWords = { shipped: '', changed: libraryWords.changedHere2, own: libraryWords.ourOwn2 } as const;

/** `outlet-first` as `outlet first`. */
export const plainWords = (id: string) => id.replaceAll('-', ' ');
