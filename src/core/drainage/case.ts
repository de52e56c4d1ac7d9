import type { Minutes } from '../quantities';
import type { FindingId, Finding } from './finding';
import { expandArea } from '../anatomy/areas';
import type { Anatomy, PlaceId } from '../anatomy/place';
import type { FieldError, Result } from '../result';
import { findHindrances, type Hindrances } from './hindrance';
import { type NodeFindingId, nodeFindingIds, nodeFindingOf, sidesOfFinding } from '../anatomy/node-findings';
import type { ScreenedDrainage } from './screened';
import { drainageSays } from './drainage.says';

export const purposes = ['swelling', 'wellness', 'after-procedure', 'sinus', 'puffy-face'] as const;
export type Purpose = (typeof purposes)[number];

/** What a house does where practitioners disagree. */
export interface School {
  readonly start: 'neck-first' | 'breath-first';
  readonly hand: 'stretch' | 'sweep' | 'roller';
  readonly removedSide: 'reroute-only' | 'reroute-and-stimulate';
  readonly exits: 1 | 2;
}

export const defaultSchool: School = { start: 'neck-first', hand: 'stretch', removedSide: 'reroute-only', exits: 2 };

export const qualificationIds = [
  'massage',
  'lymph-basic',
  'lymphoedema-certified',
  'oncology-massage',
  'aromatherapy-clinical',
  'stone',
  'intraoral',
  'manual-medicine-licence',
  'esthetics',
] as const;
export type QualificationId = (typeof qualificationIds)[number];

/** One client on one day: what shall be drained, what is in the way, who works, how long. */
export interface DrainageCase {
  readonly focus: readonly PlaceId[];
  readonly purpose: Purpose;
  readonly findings: readonly Finding[];
  readonly school: School;
  readonly minutes: Minutes;
  /** Spend time that is left over on more repetitions instead of ending early. */
  readonly fill: boolean;
  readonly qualifications: readonly QualificationId[];
  /** Groups that the therapist wants closed ways to go to, instead of the planner's choice; lawful ones only. */
  readonly use?: readonly PlaceId[] | undefined;
  /** Groups that closed ways shall not go to. */
  readonly refuse?: readonly PlaceId[] | undefined;
  /** Absent: nobody has been screened, as in a calculation from findings alone. */
  readonly screened?: ScreenedDrainage | undefined;
}

/** A case that has been read against the body: every id in it exists and nothing contradicts. */
export interface ReadCase extends DrainageCase {
  /** Territories of the focus, in the order of the catalogue. */
  readonly territories: readonly PlaceId[];
  readonly hindrances: Hindrances;
}

export const longestVisitMinutes = 480;

/**
 * Reads a case against the body.
 * Errors: an unknown place, an empty focus, minutes outside 1–480, a finding without its place or side,
 * or findings that cannot both be true; each names its field.
 */
export function readCase(anatomy: Anatomy, input: DrainageCase): Result<ReadCase> {
  const errors: FieldError[] = [
    ...focusErrors(anatomy, input.focus),
    ...minutesErrors(input.minutes),
    ...input.findings.flatMap((finding, index) => findingErrors(anatomy, finding, index)),
    ...contradictions(input.findings),
    ...groupErrors(anatomy, input.use, 'use'),
    ...groupErrors(anatomy, input.refuse, 'refuse'),
  ];
  if (errors.length > 0) return { ok: false, errors };
  const wanted = new Set(input.focus.flatMap((id) => expandArea(anatomy, id) ?? []));
  const territories = [...anatomy.territories.keys()].filter((id) => wanted.has(id));
  const hindrances = findHindrances(anatomy, input.findings, input.screened?.keptOff);
  return { ok: true, value: { ...input, territories, hindrances } };
}

function focusErrors(anatomy: Anatomy, focus: readonly PlaceId[]): FieldError[] {
  if (focus.length === 0) return [{ path: 'focus', message: drainageSays.chooseAtLeastOneAreaTo }];
  return focus.flatMap((id, index) => {
    if (expandArea(anatomy, id)) return [];
    const message = anatomy.basins.has(id)
      ? drainageSays.isANodeGroupNameThe(id)
      : drainageSays.thereIsNoAreaOrTerritory(id);
    return [{ path: `focus.${index}`, message }];
  });
}

function groupErrors(anatomy: Anatomy, groups: readonly PlaceId[] | undefined, path: string): FieldError[] {
  return (groups ?? []).flatMap((id, index) =>
    anatomy.basins.has(id) ? [] : [{ path: `${path}.${index}`, message: drainageSays.isNotANodeGroupUse(id) }],
  );
}

function minutesErrors(minutes: Minutes): FieldError[] {
  return minutes >= 1 && minutes <= longestVisitMinutes
    ? []
    : [
        {
          path: 'minutes',
          message: drainageSays.aVisitLasts1ToMinutes(longestVisitMinutes, minutes),
        },
      ];
}

function isNodeFinding(id: FindingId): id is NodeFindingId {
  return (nodeFindingIds as readonly string[]).includes(id);
}

function findingErrors(anatomy: Anatomy, finding: Finding, index: number): FieldError[] {
  const at = `findings.${index}`;
  const exists = (id: PlaceId) => anatomy.territories.has(id) || anatomy.basins.has(id);
  const unknown = (id: PlaceId, path: string): FieldError[] =>
    exists(id) ? [] : [{ path, message: drainageSays.thereIsNoPlaceOnThe(id) }];
  if (isNodeFinding(finding.id)) {
    return finding.side ? [] : [{ path: `${at}.side`, message: drainageSays.sayOnWhichSideLeftRight }];
  }
  if (finding.id === 'scar') {
    if (!finding.crosses?.length) {
      return [{ path: `${at}.crosses`, message: drainageSays.sayBetweenWhichTwoNeighboursThe }];
    }
    return finding.crosses.flatMap((pair, i) => {
      const path = `${at}.crosses.${i}`;
      if (pair.length !== 2 || pair[0] === pair[1]) {
        return [{ path, message: drainageSays.aScarRunsBetweenTwoDifferent }];
      }
      return pair.flatMap((id, j) => unknown(id, `${path}.${j}`));
    });
  }
  if (finding.id === 'cancer-history') return [];
  if (!finding.regions?.length) return [{ path: `${at}.regions`, message: drainageSays.markAtLeastOnePlaceOn }];
  return finding.regions.flatMap((id, i) => {
    const path = `${at}.regions.${i}`;
    if (finding.id === 'thickened' && anatomy.basins.has(id)) {
      return [{ path, message: drainageSays.isANodeGroupThickenedSkin(id) }];
    }
    return unknown(id, path);
  });
}

/** All nodes of a group cannot be gone while only a few were taken. */
function contradictions(findings: readonly Finding[]): FieldError[] {
  return findings.flatMap((finding, index) => {
    const some = nodeFindingOf(finding.id);
    if (some?.loss !== 'sentinel') return [];
    const sides: readonly string[] = sidesOfFinding(finding);
    const clash = findings.find((other) => {
      const all = nodeFindingOf(other.id);
      return all?.loss === 'removed' && all.of === some.of && sidesOfFinding(other).some((s) => sides.includes(s));
    });
    if (!clash) return [];
    const message = drainageSays.andOnTheSameSideCannot(clash.id, finding.id);
    return [{ path: `findings.${index}`, message }];
  });
}
