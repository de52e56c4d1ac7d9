import { anatomy } from '../../catalogue/anatomy';
import type { ChangeView } from '../../contracts/change-views';
import type { EarnedView, TogetherView } from '../../contracts/earned-views';
import { sideOf } from '../../core/anatomy/place';
import { betterBy, excessTakenMl, excessTakenPercent } from '../../core/change/better';
import { leastClients, leastVisits, togetherInHouse, type WorkedVisit, wentTogether } from '../../core/change/earned';
import type { StepKind } from '../../core/drainage/step';
import type { ClientId, VisitId } from '../../core/ids';
import type { TableStep } from '../../core/table/table-step';
import { secondsWorked } from '../../core/table/worked';
import type { Db } from '../db/connection';
import { listEvents, listLatestFinishedOf } from '../table/table-events.repository';
import { stepsColumn } from '../visits/plan.documents';
import { latestSteps } from '../visits/visits.repository';
import { measuresAnswers } from './measures.answers';
import type { Measured } from './read-measured';

/** A figure by its name, with what it is told in. */
interface Named {
  readonly name: string;
  readonly unit: string;
}

/** Older visits are another story. */
const visitsLookedAt = 24;

/** What was really done at a client's visits, beside what changed at them. */
export async function readEarned(db: Db, clientId: ClientId, measured: Measured): Promise<EarnedView> {
  const named = new Map<string, Named>();
  const visits = await workedVisits(db, clientId, ofClient(measured, named), workOfClient);
  const rows = wentTogether(visits).map(({ figure, more, less, ...row }) => ({
    ...{ ...row, figure: named.get(figure)?.name ?? figure, unit: named.get(figure)?.unit ?? '' },
    more: { visits: more.visits, meanSeconds: more.meanSeconds },
    less: { visits: less.visits, meanSeconds: less.meanSeconds },
  }));
  return { visits: visits.length, leastVisits, looked: rows.length, rows };
}

/**
 * The same over the house: each client is compared with themselves and counts once; sides and places are not told.
 * @param clients those of the house, one after the other: what was measured of them
 */
export async function readTogether(
  db: Db,
  clients: AsyncIterable<Measured & { readonly clientId: ClientId }>,
): Promise<TogetherView> {
  const named = new Map<string, Named>();
  const compared = [];
  for await (const client of clients) {
    const visits = await workedVisits(db, client.clientId, ofHouse(client, named), workOfHouse);
    const own = wentTogether(visits);
    if (visits.length >= leastVisits) compared.push(own);
  }
  const rows = togetherInHouse(compared).map(({ figure, ...row }) => ({
    ...{ ...row, figure: named.get(figure)?.name ?? figure, unit: named.get(figure)?.unit ?? '' },
  }));
  return { clients: compared.length, leastClients, leastVisits, looked: rows.length, rows };
}

type Better = ReadonlyMap<VisitId, ReadonlyMap<string, number>>;

/** The newest visits that were brought to their end at the table, with the seconds of each kind of work. */
async function workedVisits(
  db: Db,
  clientId: ClientId,
  better: Better,
  workOf: (step: TableStep) => string,
): Promise<readonly WorkedVisit[]> {
  const visits = await listLatestFinishedOf(db, clientId, visitsLookedAt);
  const worked = await Promise.all(
    visits.map(async (visit): Promise<WorkedVisit | undefined> => {
      const stored = await latestSteps(db, visit);
      if (stored === undefined) return undefined;
      const done = secondsWorked(await listEvents(db, visit));
      const seconds = new Map<string, number>();
      for (const step of stepsColumn.read(stored)) {
        if (step.kind === 'turn') continue;
        const work = workOf(step);
        seconds.set(work, (seconds.get(work) ?? 0) + (done.get(step.id) ?? 0));
      }
      return { seconds, better: better.get(visit) ?? new Map() };
    }),
  );
  return worked.flatMap((one) => one ?? []);
}

const kindWords: Readonly<Record<StepKind, string>> = {
  breathe: measuresAnswers.breathing,
  clear: measuresAnswers.clearingNodes,
  prepare: measuresAnswers.preparingTheWay,
  soften: measuresAnswers.softening,
  drain: measuresAnswers.draining,
  carry: measuresAnswers.carryingOn,
  return: measuresAnswers.goingBackOverTheWay,
  close: measuresAnswers.closing,
  turn: measuresAnswers.turning,
};
const kindInWords = ({ kind, told }: TableStep) => told?.title ?? kindWords[kind];
const partOf = ({ place, told }: TableStep) => {
  const territory = [...(told?.places ?? []), place].map((id) => anatomy.territories.get(id)).find(Boolean);
  return territory && { part: territory.part, side: sideOf(territory.id) };
};

/** `Draining: left leg` */
function workOfClient(step: TableStep): string {
  const at = partOf(step);
  if (!at) return kindInWords(step);
  return measuresAnswers.workAt(kindInWords(step), at.side === 'mid' ? at.part : `${at.side} ${at.part}`);
}

function workOfHouse(step: TableStep): string {
  const at = partOf(step);
  return at ? measuresAnswers.workAt(kindInWords(step), at.part) : kindInWords(step);
}

/** How much better each figure was after each visit, and the excess volume in mL. */
function ofClient({ changes, courses }: Measured, named: Map<string, Named>): Better {
  const found = betterOf(changes, named);
  for (const { key, limb, side, points } of courses)
    for (const point of points) {
      const taken = excessTakenMl(point);
      if (point.visitId === null || taken === undefined) continue;
      named.set(key, { name: measuresAnswers.excessOf(`${side} ${limb}`), unit: 'mL' });
      put(found, point.visitId, key, taken);
    }
  return found;
}

/** Figures that mean the same with every client; the excess of all limbs in per cent of what it was before. */
function ofHouse({ changes, courses }: Measured, named: Map<string, Named>): Better {
  const found = betterOf(
    changes.filter(({ key }) => !key.includes(' ')),
    named,
  );
  const taped = courses.flatMap(({ points }) => points.filter(({ visitId }) => visitId !== null));
  for (const visitId of new Set(taped.map((point) => point.visitId))) {
    const taken = excessTakenPercent(taped.filter((point) => point.visitId === visitId));
    if (visitId === null || taken === undefined) continue;
    named.set('excess', { name: measuresAnswers.excessVolume, unit: '%' });
    put(found, visitId, 'excess', taken);
  }
  return found;
}

function betterOf(changes: readonly ChangeView[], named: Map<string, Named>): Map<VisitId, Map<string, number>> {
  const found = new Map<VisitId, Map<string, number>>();
  for (const { key, name, unit, visits, isDetail } of changes) {
    // The sum of the face speaks for its points: fourteen more comparisons would find something by chance.
    if (isDetail) continue;
    for (const { visit, by } of betterBy(visits) ?? []) {
      named.set(key, { name, unit });
      put(found, visit.visitId, key, by);
    }
  }
  return found;
}

function put(all: Map<VisitId, Map<string, number>>, visit: number, key: string, by: number): void {
  const own = all.get(visit as VisitId) ?? new Map<string, number>();
  own.set(key, by);
  all.set(visit as VisitId, own);
}
