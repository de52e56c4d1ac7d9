import type { LimitKey, Limits } from './tables';

/** Names of what limits point to: techniques and practices, and groups of oils. */
export interface LimitNames {
  readonly practice: (id: string) => string;
  readonly oilGroup: (id: string) => string;
}

const pressureWords = { feather: 'feather light', light: 'light', medium: 'medium', firm: 'firm' } as const;
const positionWords: Readonly<Record<string, string>> = { prone: 'face down', 'supine-flat': 'flat on the back' };
const switches: Readonly<Partial<Record<LimitKey, string>>> = {
  noHeat: 'no heat of any kind',
  noCold: 'nothing cool',
  noOil: 'dry hands, no oil',
  noScent: 'unscented only',
  gloves: 'gloves',
  workAround: 'round the marked places',
  slowRise: 'sit up in steps',
  patchTest: 'patch test before first use',
  guardian: 'guardian signs and is present',
  askEachStep: 'say and ask before each step',
};

/** One limit in a few words that a therapist would use. */
export function limitInWords(limits: Limits, key: LimitKey, names: LimitNames): string {
  switch (key) {
    case 'maxPressure':
      return `${pressureWords[limits.maxPressure ?? 'firm']} at most`;
    case 'maxMinutes':
      return `${limits.maxMinutes} minutes at most`;
    case 'maxStoneC':
      return `stones ${limits.maxStoneC} °C at most at first touch`;
    case 'maxPerWeek':
      return limits.maxPerWeek === 1 ? 'once in seven days' : `${limits.maxPerWeek} times in seven days`;
    case 'dilutionMaxPercent':
      return `oils ${limits.dilutionMaxPercent} % at most`;
    case 'keepAwayCm':
      return `${limits.keepAwayCm} cm away from the mark`;
    case 'avoidPosition':
      return `not ${(limits.avoidPosition ?? []).map((p) => positionWords[p] ?? p).join(', not ')}`;
    case 'skipTechniques':
      return `leave out: ${(limits.skipTechniques ?? []).map(names.practice).join('; ')}`;
    case 'avoidOils':
      return `oils not used: ${(limits.avoidOils ?? []).map(names.oilGroup).join('; ')}`;
    case 'avoidMaterials':
      return (limits.avoidMaterials ?? []).map((m) => (m === 'latex' ? 'no latex' : m.replaceAll('-', ' '))).join(', ');
    case 'stoneSkin':
      return 'thin skin: cooler stones';
    case 'spineDirection':
      return 'strokes along the spine downward';
    case 'waitUntil':
      return `possible from ${limits.waitUntil}`;
    default:
      return switches[key] ?? key;
  }
}

/** All limits that hold, the ones that change the hands first. */
export function limitsInWords(
  limits: Limits,
  names: LimitNames,
): readonly { readonly key: LimitKey; readonly words: string }[] {
  const keys = Object.keys(limits) as LimitKey[];
  return keys
    .filter((key) => limits[key] !== false)
    .sort((a, b) => order.indexOf(a) - order.indexOf(b))
    .map((key) => ({ key, words: limitInWords(limits, key, names) }));
}

const order: readonly LimitKey[] = [
  'waitUntil',
  'workAround',
  'keepAwayCm',
  'maxPressure',
  'noHeat',
  'maxStoneC',
  'maxMinutes',
  'maxPerWeek',
  'avoidPosition',
  'noOil',
  'noScent',
  'dilutionMaxPercent',
  'avoidOils',
  'skipTechniques',
  'avoidMaterials',
  'noCold',
  'gloves',
  'slowRise',
  'patchTest',
  'guardian',
  'askEachStep',
  'stoneSkin',
  'spineDirection',
];
