import type { Celsius, Millilitres, Percent } from '../quantities';
import { exceeds, reaches } from '../statistics';
import { swellingSays } from './swelling.says';

/** How urgent; the highest wins. The first two stop the treatment. */
export const referralLevels = ['emergency', 'same-day', 'soon', 'note'] as const;
export type ReferralLevel = (typeof referralLevels)[number];

/** How much larger a limb is than at the last visit. */
export interface Increase {
  readonly days: number;
  readonly volumePercent: Percent | null;
  readonly volumeMl: Millilitres | null;
  /** Two neighbouring points are both at least 2 cm larger. */
  readonly isGirthUpAtTwoPoints: boolean;
  readonly isBeyondError: boolean;
}

/**
 * What was said, seen and measured of a swollen part. Absent: not known. “New” is by the client's word: within 14 days,
 * for infection within 72 hours.
 */
export interface Signs {
  readonly limb?: 'arm' | 'leg';
  readonly areBothLegsNewlySwollen?: boolean;
  readonly isBreathless?: boolean;
  readonly hasChestPainOrCollapse?: boolean;
  readonly isLimbColdPaleOrNumb?: boolean;
  readonly isRefillSlowOnOneSide?: boolean;
  readonly areLipsTongueOrThroatSwollen?: boolean;
  readonly isSwollen?: boolean;
  readonly isBreathingNoisyOrSwallowingHard?: boolean;
  readonly isFaceNeckOrArmNewlySwollen?: boolean;
  readonly areChestVeinsWidened?: boolean;
  readonly isConfusedOrFaint?: boolean;
  readonly breathsPerMinute?: number;
  readonly weeksPregnant?: number;
  readonly weeksAfterBirth?: number;
  readonly isFaceOrHandSuddenlySwollen?: boolean;
  readonly hasHeadacheVisionOrRibPain?: boolean;
  /** Pain or tenderness of one calf, 0–10. */
  readonly calfPain?: number;
  readonly calfGirthDifferenceCm?: number;
  readonly isPittingOnOneSide?: boolean;
  /** Warmer than the mirror point (°C). */
  readonly warmerC?: Celsius;
  readonly isNewlySwollen?: boolean;
  readonly isArmPainfulBlueOrVeined?: boolean;
  readonly isLineOrPortOnThatSide?: boolean;
  readonly isRednessSpreading?: boolean;
  /** 0–4. */
  readonly redness?: number;
  /** 0–10, in the swollen part. */
  readonly pain?: number;
  readonly temperatureC?: Celsius;
  readonly isShivering?: boolean;
  readonly hasRedStreaks?: boolean;
  readonly increase?: Increase;
  readonly isSkinOpenOrWeeping?: boolean;
  readonly hasSmell?: boolean;
  readonly weightUpIn3DaysKg?: number;
  readonly weightUpIn7DaysKg?: number;
  readonly weeksAfterSurgery?: number;
  readonly isWoundOpenOrDischarging?: boolean;
  readonly hasTenseBulge?: boolean;
  readonly isPainRisingOverADay?: boolean;
  readonly suddenOneSidedGirthCm?: number;
  readonly hasNewWeaknessOrNumbness?: boolean;
  readonly hasCancerHistory?: boolean;
  readonly wasSwellingAssessed?: boolean;
  readonly excessPercent?: Percent;
  readonly girthDifferenceCm?: number;
  readonly newHeavinessOrTightness?: number;
  readonly hasNewLumpOrSkinChange?: boolean;
  readonly nodeForDays?: number;
  readonly hasBruiseColouredPatches?: boolean;
  readonly bothSidedSwellingDays?: number;
  readonly isCauseKnown?: boolean;
  readonly bruising?: number;
  readonly capillaryFragility?: number;
  readonly takesBloodThinners?: boolean;
  readonly isExcessRising?: boolean;
  readonly daysOfCare?: number;
}

export interface Referral {
  readonly id: string;
  readonly level: ReferralLevel;
  /** What was found, in a colleague's words; never a diagnosis. */
  readonly why: string;
}

interface ReferralRule {
  readonly id: string;
  readonly level: ReferralLevel;
  /** What speaks for it, or undefined where it does not hold. */
  readonly holds: (signs: Signs) => string | undefined;
}

const feverC = 38;
const warmC = 2;
const clearPain = 4;
const newDays = 14;

const isAtLeast = (value: number | undefined, limit: number) => value !== undefined && reaches(value, limit);
const isFeverish = (s: Signs) => isAtLeast(s.temperatureC, feverC);
const joined = (parts: readonly (string | false | undefined)[]) => parts.filter(Boolean).join(', ');

/** The four local signs of infection, by name. */
function infectionSigns(s: Signs): readonly string[] {
  const isUp = s.increase !== undefined && s.increase.days <= 7 && isAtLeast(s.increase.volumePercent ?? undefined, 5);
  return [
    s.isRednessSpreading || isAtLeast(s.redness, 2) ? 'redness' : '',
    isAtLeast(s.warmerC, warmC) ? swellingSays.clearlyWarmerThanTheOtherSide : '',
    isAtLeast(s.pain, clearPain) ? 'pain' : '',
    isUp ? swellingSays.largerBy5OrMoreWithin : '',
  ].filter(Boolean);
}

function infectionOf(s: Signs): string | undefined {
  const signs = infectionSigns(s);
  const general = joined([
    isFeverish(s) && 'fever',
    s.isShivering && 'shivering',
    s.hasRedStreaks && swellingSays.redStreaks,
  ]);
  if (signs.length >= 2) return signs.join(', ');
  return signs.length === 1 && general ? `${signs[0]} with ${general}` : undefined;
}

/** A sudden increase since a visit at most 14 days ago. */
function suddenIncrease({ limb, increase }: Signs): string | undefined {
  if (!increase?.isBeyondError || increase.days > newDays) return undefined;
  const isMuch =
    isAtLeast(increase.volumePercent ?? undefined, 10) ||
    isAtLeast(increase.volumeMl ?? undefined, limb === 'arm' ? 200 : 400) ||
    increase.isGirthUpAtTwoPoints;
  return isMuch ? swellingSays.suddenlyLargerBeyondMeasuringError : undefined;
}

const hasInflamedSigns = (s: Signs) =>
  isAtLeast(s.pain, clearPain) || isAtLeast(s.warmerC, warmC) || isAtLeast(s.redness, 1) || s.isRednessSpreading;

function painfulCalf(s: Signs): string | undefined {
  if (!isAtLeast(s.calfPain, 2)) return undefined;
  const signs = joined([
    isAtLeast(s.calfGirthDifferenceCm, 3) && swellingSays.n3CmOrMoreLarger,
    s.isPittingOnOneSide && swellingSays.pitsOnThatSideOnly,
    isAtLeast(s.warmerC, warmC) && swellingSays.clearlyWarmer,
    s.isNewlySwollen && swellingSays.newlySwollen,
  ]);
  return signs ? swellingSays.oneCalfPainfulAnd(signs) : undefined;
}

function openSkin(s: Signs): { readonly isWithSigns: boolean } | undefined {
  if (!s.isSkinOpenOrWeeping) return undefined;
  return { isWithSigns: isAtLeast(s.redness, 1) || !!s.hasSmell || isAtLeast(s.pain, clearPain) || isFeverish(s) };
}

/** Custom of a practice that is not medical, leaning towards caution; none of it is a diagnosis. */
const rules: readonly ReferralRule[] = [
  {
    id: 'both-legs-breathless',
    level: 'emergency',
    holds: (s) =>
      s.areBothLegsNewlySwollen && s.isBreathless ? swellingSays.bothLegsNewlySwollenAndBreathless : undefined,
  },
  {
    id: 'chest-pain-or-collapse',
    level: 'emergency',
    holds: (s) => (s.hasChestPainOrCollapse ? swellingSays.chestPainCoughingBloodCollapseOr : undefined),
  },
  {
    id: 'cold-pale-limb',
    level: 'emergency',
    holds: (s) => (s.isLimbColdPaleOrNumb || s.isRefillSlowOnOneSide ? swellingSays.limbColdPaleBlueNumbOr : undefined),
  },
  {
    id: 'face-tongue-swelling',
    level: 'emergency',
    holds: (s) =>
      s.areLipsTongueOrThroatSwollen || (s.isSwollen && s.isBreathingNoisyOrSwallowingHard)
        ? swellingSays.lipsTongueOrThroatSwollenOr
        : undefined,
  },
  {
    id: 'face-arm-chest-veins',
    level: 'emergency',
    holds: (s) =>
      s.isFaceNeckOrArmNewlySwollen && (s.areChestVeinsWidened || s.isBreathless)
        ? swellingSays.faceNeckOrArmNewlySwollen
        : undefined,
  },
  {
    id: 'infection-unwell',
    level: 'emergency',
    holds: (s) =>
      infectionSigns(s).length > 0 &&
      (s.isConfusedOrFaint || (s.breathsPerMinute !== undefined && exceeds(s.breathsPerMinute, 24)))
        ? swellingSays.signsOfInfectionInSomebodyConfused
        : undefined,
  },
  {
    id: 'pregnancy-sudden',
    level: 'emergency',
    holds: (s) => {
      const isTime = isAtLeast(s.weeksPregnant, 20) || (s.weeksAfterBirth !== undefined && s.weeksAfterBirth <= 6);
      const isAlarming = s.isFaceOrHandSuddenlySwollen || (s.isSwollen && s.hasHeadacheVisionOrRibPain);
      return isTime && isAlarming ? swellingSays.suddenSwellingInLatePregnancyOr : undefined;
    },
  },
  { id: 'painful-calf', level: 'same-day', holds: painfulCalf },
  {
    id: 'arm-clot',
    level: 'same-day',
    holds: (s) =>
      s.limb === 'arm' && s.isNewlySwollen && (s.isArmPainfulBlueOrVeined || s.isLineOrPortOnThatSide)
        ? swellingSays.oneArmNewlySwollenWithPain
        : undefined,
  },
  { id: 'local-infection', level: 'same-day', holds: infectionOf },
  {
    id: 'sudden-increase',
    level: 'same-day',
    holds: (s) => {
      const increase = suddenIncrease(s);
      return increase && hasInflamedSigns(s) ? swellingSays.withPainWarmthOrRedness(increase) : undefined;
    },
  },
  {
    id: 'open-or-weeping-skin',
    level: 'same-day',
    holds: (s) => (openSkin(s)?.isWithSigns ? swellingSays.weepingOrBrokenSkinWithRedness : undefined),
  },
  {
    id: 'fluid-weight-gain',
    level: 'same-day',
    holds: (s) =>
      s.isSwollen && (isAtLeast(s.weightUpIn3DaysKg, 2) || isAtLeast(s.weightUpIn7DaysKg, 3))
        ? swellingSays.weightUpQuicklyWithSwelling
        : undefined,
  },
  {
    id: 'after-surgery',
    level: 'same-day',
    holds: (s) => {
      if (s.weeksAfterSurgery === undefined || s.weeksAfterSurgery > 6) return undefined;
      const signs = joined([
        isFeverish(s) && 'fever',
        s.isWoundOpenOrDischarging && swellingSays.theWoundOpensOrLeaks,
        s.hasTenseBulge && swellingSays.aTenseBulge,
        s.isPainRisingOverADay && swellingSays.painThatRises,
        isAtLeast(s.suddenOneSidedGirthCm, 2) && swellingSays.oneSideSuddenlyLarger,
      ]);
      return signs ? swellingSays.withinSixWeeksOfSurgery(signs) : undefined;
    },
  },
  {
    id: 'severe-pain',
    level: 'same-day',
    holds: (s) => (isAtLeast(s.pain, 7) || s.hasNewWeaknessOrNumbness ? swellingSays.painOf7OrMoreOr : undefined),
  },
  {
    id: 'sudden-increase-quiet',
    level: 'soon',
    holds: (s) => {
      if (hasInflamedSigns(s)) return undefined;
      const isQuick =
        s.increase?.isBeyondError && s.increase.days <= 7 && isAtLeast(s.increase.volumePercent ?? undefined, 5);
      return suddenIncrease(s) ?? (isQuick ? swellingSays.largerBy5OrMoreWithin : undefined);
    },
  },
  {
    id: 'cancer-new-swelling',
    level: 'soon',
    holds: (s) =>
      s.hasCancerHistory &&
      s.wasSwellingAssessed === false &&
      (isAtLeast(s.excessPercent, 5) || isAtLeast(s.girthDifferenceCm, 2) || isAtLeast(s.newHeavinessOrTightness, 3))
        ? swellingSays.swellingAfterCancerThatNoClinician
        : undefined,
  },
  {
    id: 'new-lump',
    level: 'soon',
    holds: (s) =>
      s.hasNewLumpOrSkinChange || isAtLeast(s.nodeForDays, 14) || s.hasBruiseColouredPatches
        ? swellingSays.aNewLumpNodeDimpleOr
        : undefined,
  },
  {
    id: 'open-skin-quiet',
    level: 'soon',
    holds: (s) => (openSkin(s)?.isWithSigns === false ? swellingSays.weepingOrBrokenSkin : undefined),
  },
  {
    id: 'both-sided-unexplained',
    level: 'soon',
    holds: (s) =>
      isAtLeast(s.bothSidedSwellingDays, 7) && !s.isCauseKnown ? swellingSays.bothSidesSwollenForAWeek : undefined,
  },
  {
    id: 'bruising-unexplained',
    level: 'soon',
    holds: (s) =>
      (isAtLeast(s.bruising, 3) || isAtLeast(s.capillaryFragility, 3)) && (!s.isCauseKnown || s.takesBloodThinners)
        ? swellingSays.strongBruisingOrFragileVessels
        : undefined,
  },
  {
    id: 'growing-despite-care',
    level: 'note',
    holds: (s) =>
      s.isExcessRising && isAtLeast(s.daysOfCare, 28) ? swellingSays.theExcessHasBeenRisingOver : undefined,
  },
];

/** Every rule that holds, most urgent first. One is enough; an unknown sign speaks for nothing. */
export function referralsFor(signs: Signs): readonly Referral[] {
  const found = rules.flatMap(({ id, level, holds }): Referral[] => {
    const why = holds(signs);
    return why ? [{ id, level, why }] : [];
  });
  return found.sort((a, b) => referralLevels.indexOf(a.level) - referralLevels.indexOf(b.level));
}

/** Whether the work stops until somebody has written down what was done. */
export const stopsTreatment = (level: ReferralLevel) => level === 'emergency' || level === 'same-day';
