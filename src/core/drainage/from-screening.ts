import { type PlaceId, sideOf } from '../anatomy/place';
import type { Finding, FindingId } from './finding';
import { nodeFindingOf } from '../anatomy/node-findings';
import type { ScreenedDecision, ScreenedDrainage } from './screened';
import type { ScreeningBook } from '../screening/book';
import type { PresentCondition } from '../screening/read-request';
import type { ModalityAnswer, Screening } from '../screening/screen';
import { type Pressure, pressures, rankOf } from '../screening/tables';

/** A condition as it is kept on a record: a scar also says what it crosses. */
export interface RecordedCondition extends PresentCondition {
  readonly crosses?: readonly (readonly PlaceId[])[];
}

/** What the planner of drainage calls it; the screening's other conditions are not its business. */
export function drainageFindings(book: ScreeningBook, conditions: readonly RecordedCondition[]): readonly Finding[] {
  const findings = conditions.flatMap((present): Finding[] => {
    const condition = book.conditions.get(present.id);
    const id = (present.id === 'nodes-removed-pelvic' ? present.id : condition?.drainageFinding) as
      FindingId | undefined;
    if (!condition || !id) return [];
    if (nodeFindingOf(id)) return [{ id, side: present.side ?? sideIn(present.regions) }];
    if (id === 'scar') return present.crosses?.length ? [{ id, crosses: present.crosses }] : [];
    const regions = placesOf(condition.defaultRegions, present);
    return regions.length > 0 ? [{ id, regions }] : [];
  });
  const hasCancer = conditions.some(({ id }) => book.conditions.get(id)?.tags.includes('cancer'));
  return hasCancer ? [...findings, { id: 'cancer-history' }] : findings;
}

function sideIn(regions: readonly PlaceId[] | undefined): 'left' | 'right' | 'both' {
  const sides = new Set((regions ?? []).map(sideOf));
  if (sides.size !== 1 || sides.has('mid')) return 'both';
  return sides.has('left') ? 'left' : 'right';
}

function placesOf(usual: readonly string[] | undefined, { regions, side }: PresentCondition): readonly PlaceId[] {
  if (regions && regions.length > 0) return regions;
  const sides = side === 'left' || side === 'right' ? [side] : ['left', 'right'];
  return (usual ?? []).flatMap((name) => sides.map((s) => `${name}.${s}`));
}

/** What the planner of drainage has to obey; the screening must have weighed both kinds of drainage. */
export function screenedDrainage(screening: Screening): ScreenedDrainage {
  const row = (modality: string) => screening.byModality.find((answer) => answer.modality === modality);
  const drainage = row('lymph-drainage');
  if (!drainage) throw new RangeError('lymph drainage was not screened');
  const places = screening.regions.filter(({ modality }) => modality === 'lymph-drainage');
  const { maxPressure, maxMinutes, avoidPosition } = drainage.limits;
  const isLighter = (pressure: Pressure | undefined): pressure is Pressure =>
    pressure !== undefined &&
    (maxPressure === undefined || pressures.indexOf(pressure) < pressures.indexOf(maxPressure));
  const lighterAt = places.flatMap(({ region, limits }) =>
    isLighter(limits.maxPressure) ? [[region, limits.maxPressure] as const] : [],
  );
  return {
    drainage: decided(drainage),
    rerouting: decided(row('reroute-drainage') ?? drainage),
    keptOff: places.filter(({ decision }) => decision === 'stop').map(({ region }) => region),
    ...(maxPressure ? { maxPressure } : {}),
    lighterAt: Object.fromEntries(lighterAt),
    ...(maxMinutes === undefined ? {} : { maxMinutes }),
    ...(avoidPosition === undefined ? {} : { avoidPosition }),
  };
}

function decided({ decision, reasons }: ModalityAnswer): ScreenedDecision {
  const deciding = reasons.filter(
    (reason) => rankOf(reason.decision) > 0 && !(reason.local && reason.decision !== decision),
  );
  return { decision, reasons: [...new Set(deciding.map((reason) => reason.text))] };
}
