import { type Anatomy, nameOf, type PlaceId, type Territory } from '../anatomy/place';
import type { Purpose } from '../drainage/case';
import type { Finding } from '../drainage/finding';
import { nodeFindingOf, type NodeRegion } from '../anatomy/node-findings';
import { list } from '../drainage/wording';
import { bareLabel, shortLabel } from '../anatomy/place-labels';
import { assertNever } from '../result';
import { capitalise } from '../wording/capitalise';

const areaNames: Readonly<Record<string, string>> = {
  leg: 'leg',
  arm: 'arm',
  'trunk-upper': 'upper trunk',
  'trunk-lower': 'lower trunk',
  face: 'face',
  neck: 'neck',
  abdomen: 'belly',
  'whole-body': 'whole body',
};

const trunkAreas: ReadonlySet<string> = new Set(['trunk-upper', 'trunk-lower']);

/** `left leg`, `both arms`, `face and neck`: a focus as a therapist says it. */
export function focusInWords(anatomy: Anatomy, focus: readonly PlaceId[]): string {
  const words: string[] = [];
  const done = new Set<PlaceId>();
  for (const id of focus) {
    if (done.has(id)) continue;
    const [name = '', side] = id.split('.');
    const label = areaNames[name];
    if (!label) {
      if (anatomy.territories.has(id)) words.push(shortLabel(anatomy, id));
      continue;
    }
    const other = `${name}.${side === 'left' ? 'right' : 'left'}`;
    if (side && focus.includes(other)) {
      done.add(other);
      words.push(`both ${trunkAreas.has(name) ? `sides of the ${label}` : `${label}s`}`);
    } else words.push(side ? `${side} ${label}` : label);
  }
  return list(words);
}

const purposeWords: Readonly<Record<Purpose, string>> = {
  swelling: 'swelling',
  wellness: 'wellness',
  'after-procedure': 'after a procedure',
  sinus: 'sinuses',
  'puffy-face': 'puffy face',
};

/** `leg drainage`-like line for a visit: what and why. */
export function workInWords(anatomy: Anatomy, focus: readonly PlaceId[], purpose: Purpose): string {
  const where = focusInWords(anatomy, focus);
  return purpose === 'puffy-face' || purpose === 'sinus'
    ? `drainage, ${purposeWords[purpose]}`
    : `drainage, ${where} · ${purposeWords[purpose]}`;
}

const nodeNames: Readonly<Record<NodeRegion, string>> = {
  axillary: 'armpit',
  inguinal: 'groin',
  pelvic: 'pelvic',
  neck: 'neck',
};

/** One finding in a few words: `left groin nodes removed`, `scar between …`. */
export function findingInWords(anatomy: Anatomy, finding: Finding): string {
  const some = placesInWords(anatomy, finding.regions ?? []);
  switch (finding.id) {
    case 'nodes-removed-axillary':
    case 'nodes-removed-inguinal':
    case 'nodes-removed-pelvic':
    case 'nodes-removed-neck':
    case 'nodes-sentinel-axillary':
    case 'nodes-sentinel-inguinal':
    case 'nodes-sentinel-neck': {
      const nodes = nodeFindingOf(finding.id);
      const few = nodes?.loss === 'sentinel' ? 'a few ' : '';
      return `${few}${finding.side ?? ''} ${nodes ? nodeNames[nodes.of] : ''} nodes removed`.trim();
    }
    case 'irradiated':
      return `irradiated: ${some}`;
    case 'open-wound':
      return `open skin: ${some}`;
    case 'port':
      return `port: ${some}`;
    case 'thickened':
      return `thickened skin: ${some}`;
    case 'scar': {
      const [pair] = finding.crosses ?? [];
      return pair
        ? `scar between the ${shortLabel(anatomy, pair[0] ?? '')} and the ${shortLabel(anatomy, pair[1] ?? '')}`
        : 'scar';
    }
    case 'cancer-history':
      return 'cancer treated';
    default:
      return assertNever(finding.id);
  }
}

const limbParts = [
  ['arm', 'upper'],
  ['leg', 'lower'],
] as const;

/**
 * Places in a few words: whole limbs and both sides are named as such, three places one by one, more by count.
 * `left arm, right upper chest`.
 */
export function placesInWords(anatomy: Anatomy, places: readonly PlaceId[]): string {
  const left = new Set(places);
  const words: string[] = [];
  if (left.size >= anatomy.territories.size) return 'the whole body';
  const takeOut = (fits: (t: Territory) => boolean): boolean => {
    const all = [...anatomy.territories.values()].filter(fits);
    if (!all.every((t) => left.has(t.id))) return false;
    for (const t of all) left.delete(t.id);
    return true;
  };
  for (const [limb, quadrant] of limbParts) {
    const halves = (['left', 'right'] as const).flatMap((side) => {
      const isLimb = takeOut((t) => t.side === side && t.part === limb);
      const isQuarter = takeOut((t) => t.side === side && t.part === 'trunk' && t.quadrant === quadrant);
      return isLimb || isQuarter ? [{ side, isLimb, isQuarter }] : [];
    });
    const [a, b] = halves;
    if (a && b && a.isLimb === b.isLimb && a.isQuarter === b.isQuarter)
      words.push(
        a.isLimb
          ? `both ${limb}s${a.isQuarter ? ' and their quarters of the trunk' : ''}`
          : `both ${quadrant} quarters of the trunk`,
      );
    else
      for (const { side, isLimb, isQuarter } of halves)
        words.push(
          isLimb
            ? `${side} ${limb}${isQuarter ? ' and its quarter of the trunk' : ''}`
            : `${side} ${quadrant} quarter of the trunk`,
        );
  }
  const heads = (['left', 'right'] as const).filter((side) => takeOut((t) => t.side === side && t.part === 'head'));
  if (heads.length === 2) words.push('head');
  else if (heads[0]) words.push(`${heads[0]} side of the head`);
  const names = new Map<string, PlaceId[]>();
  for (const id of left) names.set(nameOf(id), [...(names.get(nameOf(id)) ?? []), id]);
  const single = [...names.values()].map((ids) => {
    const [id = ''] = ids;
    return ids.length === 2 ? `${bareLabel(anatomy, id)}, both sides` : shortLabel(anatomy, id);
  });
  const [first = '', second = ''] = single;
  if (single.length > 3) words.push(first, second, `${single.length - 2} more places`);
  else words.push(...single);
  return list(words);
}

/** Findings for a glance, the ones that close a way first. */
export function findingsInWords(anatomy: Anatomy, findings: readonly Finding[]): string {
  const weight = (finding: Finding) =>
    nodeFindingOf(finding.id)?.loss === 'removed' ? 0 : finding.id === 'cancer-history' ? 2 : 1;
  const sorted = [...findings].sort((a, b) => weight(a) - weight(b));
  return capitalise(sorted.map((finding) => findingInWords(anatomy, finding)).join(' · '));
}

const months = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];

/** `2023-06-12` as `12 June 2023`, `2023-06` as `June 2023`, `2023` as it is. */
export function dayInWords(isoDate: string): string {
  const [year = '', month, day] = isoDate.split('-');
  if (month === undefined) return year;
  const named = months[Number(month) - 1] ?? month;
  return day === undefined ? `${named} ${year}` : `${Number(day)} ${named} ${year}`;
}

/** Whole years on a day; null when the birthday is not known. */
export function ageOn(bornOn: string | null, onDate: string): number | null {
  if (!bornOn) return null;
  const years = Number(onDate.slice(0, 4)) - Number(bornOn.slice(0, 4));
  return onDate.slice(5) < bornOn.slice(5) ? years - 1 : years;
}
