import { describe, expect, it } from 'vitest';
import { referralsFor, type Signs, stopsTreatment } from './referral';

const ids = (signs: Signs) => referralsFor(signs).map(({ id }) => id);
const rise = { days: 7, volumePercent: 6, volumeMl: 150, isGirthUpAtTwoPoints: false, isBeyondError: true };

describe('when to stop and refer', () => {
  it('says nothing about nothing', () => {
    expect(referralsFor({})).toEqual([]);
    expect(referralsFor({ pain: 3, redness: 1, excessPercent: 30, isSwollen: true })).toEqual([]);
  });

  it.each<[string, Signs, Signs]>([
    ['both-legs-breathless', { areBothLegsNewlySwollen: true, isBreathless: true }, { areBothLegsNewlySwollen: true }],
    ['chest-pain-or-collapse', { hasChestPainOrCollapse: true }, {}],
    ['cold-pale-limb', { isRefillSlowOnOneSide: true }, {}],
    ['face-tongue-swelling', { isSwollen: true, isBreathingNoisyOrSwallowingHard: true }, { isSwollen: true }],
    [
      'face-arm-chest-veins',
      { isFaceNeckOrArmNewlySwollen: true, areChestVeinsWidened: true },
      { areChestVeinsWidened: true },
    ],
    ['infection-unwell', { redness: 2, breathsPerMinute: 25 }, { redness: 2, breathsPerMinute: 24 }],
    [
      'pregnancy-sudden',
      { weeksPregnant: 20, isFaceOrHandSuddenlySwollen: true },
      { weeksPregnant: 19, isFaceOrHandSuddenlySwollen: true },
    ],
    ['painful-calf', { calfPain: 2, calfGirthDifferenceCm: 3 }, { calfPain: 1, calfGirthDifferenceCm: 3 }],
    [
      'arm-clot',
      { limb: 'arm', isNewlySwollen: true, isLineOrPortOnThatSide: true },
      { limb: 'leg', isNewlySwollen: true, isLineOrPortOnThatSide: true },
    ],
    ['local-infection', { redness: 2, warmerC: 2 }, { redness: 2, warmerC: 1.9 }],
    [
      'sudden-increase',
      { limb: 'arm', increase: { ...rise, volumeMl: 200 }, pain: 4 },
      { limb: 'leg', increase: { ...rise, volumeMl: 200 }, redness: 1 },
    ],
    ['open-or-weeping-skin', { isSkinOpenOrWeeping: true, hasSmell: true }, { isSkinOpenOrWeeping: true }],
    ['fluid-weight-gain', { isSwollen: true, weightUpIn3DaysKg: 2 }, { isSwollen: true, weightUpIn7DaysKg: 2.9 }],
    ['after-surgery', { weeksAfterSurgery: 6, temperatureC: 38 }, { weeksAfterSurgery: 7, temperatureC: 38 }],
    ['severe-pain', { pain: 7 }, { pain: 6.9 }],
    [
      'sudden-increase-quiet',
      { limb: 'leg', increase: rise },
      { limb: 'leg', increase: { ...rise, isBeyondError: false } },
    ],
    [
      'cancer-new-swelling',
      { hasCancerHistory: true, wasSwellingAssessed: false, excessPercent: 5 },
      { hasCancerHistory: true, wasSwellingAssessed: true, excessPercent: 15 },
    ],
    ['new-lump', { nodeForDays: 14 }, { nodeForDays: 13 }],
    ['open-skin-quiet', { isSkinOpenOrWeeping: true }, { isSkinOpenOrWeeping: true, redness: 1 }],
    ['both-sided-unexplained', { bothSidedSwellingDays: 7 }, { bothSidedSwellingDays: 7, isCauseKnown: true }],
    [
      'bruising-unexplained',
      { bruising: 3, isCauseKnown: true, takesBloodThinners: true },
      { bruising: 3, isCauseKnown: true },
    ],
    ['growing-despite-care', { isExcessRising: true, daysOfCare: 28 }, { isExcessRising: true, daysOfCare: 27 }],
  ])('%s', (id, at, below) => {
    expect(ids(at)).toContain(id);
    expect(ids(below)).not.toContain(id);
  });

  it('takes one local sign with fever, shivering or streaks for infection', () => {
    expect(ids({ pain: 4, isShivering: true })).toContain('local-infection');
    expect(ids({ increase: rise, temperatureC: 38 })).toContain('local-infection');
    expect(ids({ temperatureC: 39 })).not.toContain('local-infection');
  });

  it('puts the most urgent first, and stops the work for the first two levels', () => {
    const found = referralsFor({ pain: 7, hasChestPainOrCollapse: true, nodeForDays: 20 });
    expect(found.map(({ level }) => level)).toEqual(['emergency', 'same-day', 'soon']);
    expect(found.map(({ level }) => stopsTreatment(level))).toEqual([true, true, false]);
  });
});
