import type { ClientId, VisitId } from '../../core/ids';
import { shippedProtocols } from '../../catalogue/swelling/protocols.data';
import type { TapeProtocol } from '../../core/swelling/protocol';
import type { MeasureView, ObservationView } from '../../contracts/measure-views';
import type { TapingView } from '../../contracts/visit-views';
import { judgeRedness } from '../../core/skin/redness';
import { volumeSettings } from '../../core/swelling/settings';
import type { Db } from '../db/connection';
import { lastReactionBefore } from '../visits/closings.repository';
import { findClientMeasuring, listObservationsOfClient, listOwnProtocols } from './measures.repository';
import { findMeasuring } from '../people/settings.repository';
import { listTapingsOfClient } from './tapings.repository';
import { readOwnErrors } from './change-limits';
import { isoDay, shortDay } from '../shared/house-clock';
import { readFlags } from '../screening/raise-flags';
import { firstSheet } from '../../core/visit/first-sheet';
import { completeVisit, readVisitFrame } from '../visits/read-visit';
import { withVolume } from './taping-volume';
import { readPictures } from '../pictures/read-pictures';
import { measuresAnswers } from './measures.answers';

/** All that the Measure view opens with. @returns undefined when there is no such visit */
export async function readMeasure(db: Db, visitId: VisitId): Promise<MeasureView | undefined> {
  const record = await readVisitFrame(db, visitId);
  if (!record) return undefined;
  const visit = await completeVisit(db, record);
  const clientId = visit.client.id;
  const [house, client, own, rows, observations, pictures, flags] = await Promise.all([
    findMeasuring(db),
    findClientMeasuring(db, clientId),
    listOwnProtocols(db),
    listTapingsOfClient(db, clientId),
    listObservationsOfClient(db, clientId),
    readPictures(db, clientId),
    readFlags(db, clientId, visitId),
  ]);
  const settings = volumeSettings(house, client);
  const tapings = rows.map((row) => withVolume(row, settings));
  const isHere = ({ visitId: of }: { readonly visitId: VisitId | null }) => of === visitId;
  const past = observations.filter((one) => !isHere(one) && one.takenAt < visit.startsAt);
  const earlier = tapings.filter((one) => !isHere(one) && one.phase !== 'after' && one.takenAt < visit.startsAt);
  return {
    visit,
    firstSheet: firstSheet(record),
    house,
    client,
    protocols: [...shippedProtocols, ...own],
    tapings: tapings.filter(isHere),
    lastTapings: oneALimb([...earlier].reverse()).map(dated),
    baselines: baselinesOf(earlier, client.baselineOn).map(dated),
    observations: observations.filter(isHere),
    lastObservations: lastOfEach(past),
    firstObservations: lastOfEach([...past].reverse()),
    pictures,
    flags,
    ownErrors: await readOwnErrors(db, visit.therapist.id, settings),
    lastWeight: lastWeightOf(earlier),
    lastReaction: await readLastReaction(db, clientId, visit.startsAt),
  };
}

const dated = (taping: TapingView) => ({ ...taping, date: shortDay(taping.takenAt) });

/** The first of each limb in the order given. */
function oneALimb(tapings: readonly TapingView[]): readonly TapingView[] {
  return (['arm', 'leg'] as const).flatMap((limb) => tapings.find((one) => one.limb === limb) ?? []);
}

/** The starting points: of the day that was chosen, else marked as baseline, else the first of each limb. */
function baselinesOf(tapings: readonly TapingView[], chosenOn: string | null): readonly TapingView[] {
  const rank = (one: TapingView) => (isoDay(one.takenAt) === chosenOn ? 0 : one.phase === 'baseline' ? 1 : 2);
  return oneALimb([...tapings].sort((a, b) => rank(a) - rank(b) || (a.takenAt < b.takenAt ? -1 : 1)));
}

/** The last in the list of each kind and place. */
function lastOfEach(observations: readonly ObservationView[]): readonly ObservationView[] {
  return [...new Map(observations.map((one) => [`${one.kind} ${one.place ?? ''}`, one])).values()];
}

function lastWeightOf(tapings: readonly TapingView[]): MeasureView['lastWeight'] {
  const last = tapings.findLast((one) => one.context.weightKg !== null);
  return last?.context.weightKg == null ? null : { kg: last.context.weightKg, date: isoDay(last.takenAt) };
}

const notYet = -1;

/** Points of taping that ship, and the house's own. */
export async function readProtocols(db: Db): Promise<readonly TapeProtocol[]> {
  return [...shippedProtocols, ...(await listOwnProtocols(db))];
}

/** What the skin did after the last visit, when it was more than expected; null: nothing to say. */
async function readLastReaction(db: Db, clientId: ClientId, before: string): Promise<string | null> {
  const row = await lastReactionBefore(db, clientId, before);
  if (!row) return null;
  const verdict = judgeRedness({
    before: row.redness_before,
    after: row.redness,
    fadedAfterMinutes: row.fade_minutes === notYet ? 'not-yet' : row.fade_minutes,
  });
  if (verdict !== 'reaction' && verdict !== 'watch') return null;
  const how =
    verdict === 'reaction' ? measuresAnswers.theSkinReactedStrongly : measuresAnswers.rednessLastedLongerThanHalfAn;
  return measuresAnswers.afterTheVisitOfLighterCooler(how, shortDay(row.starts_at));
}
