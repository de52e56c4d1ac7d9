import type { Celsius, Millilitres, Percent } from '../quantities';
import { exceeds, reaches } from '../statistics';

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
    isAtLeast(s.warmerC, warmC) ? 'clearly warmer than the other side' : '',
    isAtLeast(s.pain, clearPain) ? 'pain' : '',
    isUp ? 'larger by 5 % or more within a week' : '',
  ].filter(Boolean);
}

function infectionOf(s: Signs): string | undefined {
  const signs = infectionSigns(s);
  const general = joined([isFeverish(s) && 'fever', s.isShivering && 'shivering', s.hasRedStreaks && 'red streaks']);
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
  return isMuch ? 'suddenly larger, beyond measuring error' : undefined;
}

const hasInflamedSigns = (s: Signs) =>
  isAtLeast(s.pain, clearPain) || isAtLeast(s.warmerC, warmC) || isAtLeast(s.redness, 1) || s.isRednessSpreading;

function painfulCalf(s: Signs): string | undefined {
  if (!isAtLeast(s.calfPain, 2)) return undefined;
  const signs = joined([
    isAtLeast(s.calfGirthDifferenceCm, 3) && '3 cm or more larger',
    s.isPittingOnOneSide && 'pits on that side only',
    isAtLeast(s.warmerC, warmC) && 'clearly warmer',
    s.isNewlySwollen && 'newly swollen',
  ]);
  return signs ? `one calf painful and ${signs}` : undefined;
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
    holds: (s) => (s.areBothLegsNewlySwollen && s.isBreathless ? 'both legs newly swollen and breathless' : undefined),
  },
  {
    id: 'chest-pain-or-collapse',
    level: 'emergency',
    holds: (s) =>
      s.hasChestPainOrCollapse ? 'chest pain, coughing blood, collapse or sudden breathlessness' : undefined,
  },
  {
    id: 'cold-pale-limb',
    level: 'emergency',
    holds: (s) =>
      s.isLimbColdPaleOrNumb || s.isRefillSlowOnOneSide ? 'limb cold, pale, blue, numb or slow to refill' : undefined,
  },
  {
    id: 'face-tongue-swelling',
    level: 'emergency',
    holds: (s) =>
      s.areLipsTongueOrThroatSwollen || (s.isSwollen && s.isBreathingNoisyOrSwallowingHard)
        ? 'lips, tongue or throat swollen, or noisy breathing'
        : undefined,
  },
  {
    id: 'face-arm-chest-veins',
    level: 'emergency',
    holds: (s) =>
      s.isFaceNeckOrArmNewlySwollen && (s.areChestVeinsWidened || s.isBreathless)
        ? 'face, neck or arm newly swollen with wide chest veins or breathlessness'
        : undefined,
  },
  {
    id: 'infection-unwell',
    level: 'emergency',
    holds: (s) =>
      infectionSigns(s).length > 0 &&
      (s.isConfusedOrFaint || (s.breathsPerMinute !== undefined && exceeds(s.breathsPerMinute, 24)))
        ? 'signs of infection in somebody confused, faint or breathing fast'
        : undefined,
  },
  {
    id: 'pregnancy-sudden',
    level: 'emergency',
    holds: (s) => {
      const isTime = isAtLeast(s.weeksPregnant, 20) || (s.weeksAfterBirth !== undefined && s.weeksAfterBirth <= 6);
      const isAlarming = s.isFaceOrHandSuddenlySwollen || (s.isSwollen && s.hasHeadacheVisionOrRibPain);
      return isTime && isAlarming ? 'sudden swelling in late pregnancy or after a birth' : undefined;
    },
  },
  { id: 'painful-calf', level: 'same-day', holds: painfulCalf },
  {
    id: 'arm-clot',
    level: 'same-day',
    holds: (s) =>
      s.limb === 'arm' && s.isNewlySwollen && (s.isArmPainfulBlueOrVeined || s.isLineOrPortOnThatSide)
        ? 'one arm newly swollen with pain, colour or veins, or a line on that side'
        : undefined,
  },
  { id: 'local-infection', level: 'same-day', holds: infectionOf },
  {
    id: 'sudden-increase',
    level: 'same-day',
    holds: (s) => {
      const increase = suddenIncrease(s);
      return increase && hasInflamedSigns(s) ? `${increase}, with pain, warmth or redness` : undefined;
    },
  },
  {
    id: 'open-or-weeping-skin',
    level: 'same-day',
    holds: (s) => (openSkin(s)?.isWithSigns ? 'weeping or broken skin with redness, smell, pain or fever' : undefined),
  },
  {
    id: 'fluid-weight-gain',
    level: 'same-day',
    holds: (s) =>
      s.isSwollen && (isAtLeast(s.weightUpIn3DaysKg, 2) || isAtLeast(s.weightUpIn7DaysKg, 3))
        ? 'weight up quickly, with swelling'
        : undefined,
  },
  {
    id: 'after-surgery',
    level: 'same-day',
    holds: (s) => {
      if (s.weeksAfterSurgery === undefined || s.weeksAfterSurgery > 6) return undefined;
      const signs = joined([
        isFeverish(s) && 'fever',
        s.isWoundOpenOrDischarging && 'the wound opens or leaks',
        s.hasTenseBulge && 'a tense bulge',
        s.isPainRisingOverADay && 'pain that rises',
        isAtLeast(s.suddenOneSidedGirthCm, 2) && 'one side suddenly larger',
      ]);
      return signs ? `within six weeks of surgery: ${signs}` : undefined;
    },
  },
  {
    id: 'severe-pain',
    level: 'same-day',
    holds: (s) =>
      isAtLeast(s.pain, 7) || s.hasNewWeaknessOrNumbness ? 'pain of 7 or more, or new weakness or numbness' : undefined,
  },
  {
    id: 'sudden-increase-quiet',
    level: 'soon',
    holds: (s) => {
      if (hasInflamedSigns(s)) return undefined;
      const isQuick =
        s.increase?.isBeyondError && s.increase.days <= 7 && isAtLeast(s.increase.volumePercent ?? undefined, 5);
      return suddenIncrease(s) ?? (isQuick ? 'larger by 5 % or more within a week' : undefined);
    },
  },
  {
    id: 'cancer-new-swelling',
    level: 'soon',
    holds: (s) =>
      s.hasCancerHistory &&
      s.wasSwellingAssessed === false &&
      (isAtLeast(s.excessPercent, 5) || isAtLeast(s.girthDifferenceCm, 2) || isAtLeast(s.newHeavinessOrTightness, 3))
        ? 'swelling after cancer that no clinician has looked at'
        : undefined,
  },
  {
    id: 'new-lump',
    level: 'soon',
    holds: (s) =>
      s.hasNewLumpOrSkinChange || isAtLeast(s.nodeForDays, 14) || s.hasBruiseColouredPatches
        ? 'a new lump, node, dimple or bruise-coloured patch'
        : undefined,
  },
  {
    id: 'open-skin-quiet',
    level: 'soon',
    holds: (s) => (openSkin(s)?.isWithSigns === false ? 'weeping or broken skin' : undefined),
  },
  {
    id: 'both-sided-unexplained',
    level: 'soon',
    holds: (s) =>
      isAtLeast(s.bothSidedSwellingDays, 7) && !s.isCauseKnown
        ? 'both sides swollen for a week without a known cause'
        : undefined,
  },
  {
    id: 'bruising-unexplained',
    level: 'soon',
    holds: (s) =>
      (isAtLeast(s.bruising, 3) || isAtLeast(s.capillaryFragility, 3)) && (!s.isCauseKnown || s.takesBloodThinners)
        ? 'strong bruising or fragile vessels'
        : undefined,
  },
  {
    id: 'growing-despite-care',
    level: 'note',
    holds: (s) =>
      s.isExcessRising && isAtLeast(s.daysOfCare, 28)
        ? 'the excess has been rising over four weeks of care'
        : undefined,
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
