import type { Minutes } from '../core/quantities';
import type { ClientId, TherapistId, VisitId } from '../core/ids';
import { usualProtocol } from '../catalogue/swelling/protocols';
import { usualClientMeasuring } from '../core/swelling/settings';
import { plainContext } from '../core/swelling/taping-context';
import { roundTo } from '../core/units';
import type { ObservationInput } from '../contracts/measures';
import type { TapingInput } from '../contracts/record';
import type { Db } from '../server/db/connection';
import { insertObservation, storeClientMeasuring } from '../server/measures/measures.repository';
import { measureLight } from '../server/pictures/measure-light';
import { insertPhoto, insertPictureAnswer } from '../server/pictures/pictures.repository';
import { insertTaping } from '../server/measures/tapings.repository';
import { attachWithin } from '../server/clients/attach-file';
import { volumeOf } from '../server/measures/taping-volume';
import { settleTaping } from '../core/swelling/taping';
import { makeGirths } from './girths';
import { drawLimbs } from './picture';

/** One past visit of a client whose limb swells. */
export interface MeasuredVisit {
  readonly clientId: ClientId;
  readonly visitId: VisitId;
  readonly therapistId: TherapistId;
  readonly limb: 'arm' | 'leg';
  readonly side: 'left' | 'right';
  /** Share of the sound limb's volume. */
  readonly excess: number;
  /** Counted from 0, of so many. */
  readonly index: number;
  readonly count: number;
  readonly at: (minutes: Minutes) => string;
  readonly endMinute: number;
  readonly random: () => number;
}

/** Tapes before and after the work, presses, looks and asks, as a careful therapist would have. */
export async function measure(db: Db, visit: MeasuredVisit): Promise<void> {
  const before = await tape(db, visit, 'before', visit.excess, visit.at(6));
  const after = await tape(db, visit, 'after', visit.excess * 0.9, visit.at(visit.endMinute));
  for (const input of observationsOf(visit))
    await insertObservation(
      db,
      { clientId: visit.clientId, visitId: visit.visitId, takenAt: visit.at(8) },
      { phase: 'before', replaces: null, ...input } as ObservationInput,
      visit.therapistId,
      visit.at(8),
    );
  await insertObservation(
    db,
    { clientId: visit.clientId, visitId: visit.visitId, takenAt: visit.at(visit.endMinute) },
    { phase: 'after', replaces: null, kind: 'scores', place: null, value: feltAfter(visit) },
    visit.therapistId,
    visit.at(visit.endMinute),
  );
  const isNewest = visit.index === visit.count - 1;
  if (visit.index === 0) {
    const asked = { answer: 'letters', answeredAt: visit.at(5) } as const;
    await insertPictureAnswer(db, visit.clientId, asked, visit.therapistId);
  }
  if (visit.index === 0 || isNewest) await photograph(db, visit, before, 'before', 9);
  if (isNewest) await photograph(db, visit, after, 'after', visit.endMinute);
}

/** The same limb by the same points every time. */
export async function rememberMeasuring(
  db: Db,
  clientId: ClientId,
  limb: 'arm' | 'leg',
  side: 'left' | 'right',
): Promise<void> {
  await storeClientMeasuring(db, clientId, {
    ...usualClientMeasuring,
    limb,
    side,
    protocols: { [limb]: usualProtocol(limb).id },
    hand: 'right',
    wasAssessed: true,
  });
}

async function tape(
  db: Db,
  visit: MeasuredVisit,
  phase: 'before' | 'after',
  excess: number,
  at: string,
): Promise<TapingInput> {
  const protocol = usualProtocol(visit.limb);
  const girths = makeGirths(visit.limb, excess, visit.random);
  // The second pass errs as a whole, as marks and hand do, and a little at each point.
  const shift = 1 + (visit.random() - 0.5) * 0.013;
  const again = (list: readonly number[]) =>
    list.map((girth) => roundTo(girth * shift + (visit.random() - 0.5) * 0.2, 1));
  const isTwice = phase === 'before' && visit.index % 2 === 1;
  const isWeighed = phase === 'before' && visit.index % 3 === 0;
  const taping: TapingInput = {
    phase,
    limb: visit.limb,
    side: visit.side,
    unit: 'cm',
    method: 'frustum',
    protocol: protocol.id,
    positions: [...protocol.positionsCm],
    ...girths,
    second: isTwice ? { affected: again(girths.affected), reference: again(girths.reference) } : null,
    third: null,
    context: {
      ...plainContext,
      ticks: [],
      confirmed: [],
      marks: phase === 'before' ? 'fresh' : 'left-on',
      restMinutes: protocol.restMinutes,
      weightKg: isWeighed ? roundTo(68 + visit.random() * 1.4, 1) : null,
    },
    source: 'typed',
    basedOn: 0,
  };
  await insertTaping(db, {
    clientId: visit.clientId,
    visitId: visit.visitId,
    takenAt: at,
    version: 1,
    taping,
    source: 'typed',
    volume: volumeOf({ ...taping, ...settleTaping({ ...taping, first: taping }) }),
    by: visit.therapistId,
    now: at,
  });
  return taping;
}

function observationsOf(visit: MeasuredVisit): readonly Pick<ObservationInput, 'kind' | 'place' | 'value'>[] {
  const done = visit.count === 1 ? 0 : visit.index / (visit.count - 1);
  const place = visit.limb === 'leg' ? `shin-lower.${visit.side}` : `forearm-inner.${visit.side}`;
  const falling = (from: number, to: number) => from + (to - from) * done;
  return [
    {
      kind: 'pitting',
      place,
      value: { depthMm: roundTo(falling(4, 2), 0), reboundSeconds: roundTo(falling(24, 8), 0) },
    },
    { kind: 'texture', place, value: { texture: done < 0.5 ? 'doughy' : 'soft' } },
    { kind: 'temperature', place, value: { hereC: 31.4, mirrorC: roundTo(31.4 - visit.random() * 0.6, 1) } },
    {
      kind: 'scores',
      place: null,
      value: {
        tightness: Math.round(falling(6, 3)),
        heaviness: Math.round(falling(7, 4)),
        pain: 0,
        movement: Math.round(falling(3, 1)),
        calfPain: visit.limb === 'leg' ? 0 : null,
      },
    },
  ] as readonly Pick<ObservationInput, 'kind' | 'place' | 'value'>[];
}

/** Lighter after the work, the more so while there is much to lighten. */
function feltAfter({ index, count, limb }: MeasuredVisit) {
  const done = index / Math.max(1, count - 1);
  return {
    tightness: Math.round(3 - 2 * done),
    heaviness: Math.round(4 - 2 * done),
    pain: 0,
    movement: Math.round(1 - done),
    calfPain: limb === 'leg' ? 0 : null,
  };
}

/** How far the neck goes before the work and after it: more to the side that was held, and most of it stays. */
export async function measureNeck(
  db: Db,
  visit: Pick<MeasuredVisit, 'clientId' | 'visitId' | 'therapistId' | 'index' | 'at' | 'endMinute'>,
): Promise<void> {
  const range = (gain: number) => ({
    flexion: 48,
    extension: 52 + gain / 2,
    turnLeft: 52 + 4 * visit.index + gain,
    turnRight: 72,
    bendLeft: 30 + gain / 2,
    bendRight: 38,
    ...{ chin: 'mid', bones: 'even', following: 'freely' },
  });
  for (const [phase, gain, minute] of [
    ['before', 0, 7],
    ['after', 14, visit.endMinute],
  ] as const)
    await insertObservation(
      db,
      { clientId: visit.clientId, visitId: visit.visitId, takenAt: visit.at(minute) },
      { phase, replaces: null, kind: 'neck-range', place: null, value: range(gain) } as ObservationInput,
      visit.therapistId,
      visit.at(minute),
    );
}

/** A picture drawn from the girths: nobody stood for it. */
async function photograph(
  db: Db,
  visit: MeasuredVisit,
  taping: TapingInput,
  phase: 'before' | 'after',
  minute: number,
): Promise<void> {
  const girths = (side: 'affected' | 'reference') => taping[side].map((girth) => girth ?? 0);
  // Seen from the front, the client's left is on the right of the picture.
  const [left, right] =
    visit.side === 'left' ? [girths('affected'), girths('reference')] : [girths('reference'), girths('affected')];
  const content = drawLimbs(taping.positions, [right, left]);
  const actor = { therapistId: visit.therapistId, now: new Date(visit.at(minute)) };
  const kept = await attachWithin(db, visit.clientId, { name: `front, ${phase}`, content }, actor, 'picture');
  if (kept.kind !== 'saved') throw new Error('a drawn picture was refused');
  await insertPhoto(db, {
    clientId: visit.clientId,
    visitId: visit.visitId,
    attachmentId: kept.attachment.id,
    pose: 'front',
    phase,
    light: await measureLight(content),
    takenAt: visit.at(minute),
    by: visit.therapistId,
  });
}
