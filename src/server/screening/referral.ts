import type { VisitId } from '../../core/ids';
import { insertAudit } from '../house/audit.repository';
import type { Actor } from '../shared/saving';
import { screeningBook } from '../../catalogue/screening/screening';
import { formatNumber } from '../../core/units';
import { rankOf } from '../../core/screening/tables';
import { dayInWords } from '../../core/visit/words';
import type { Db } from '../db/connection';
import { print } from '../paper/print';
import type { Referral } from '../paper/referral-pdf';
import { findClient } from '../clients/clients.repository';
import { findHouse } from '../people/people.repository';
import { readChanges } from '../measures/read-changes';
import { pairsForPaper } from '../pictures/pairs-for-paper';
import { readRemembered } from '../visits/read-remembered';
import { describeFinding } from './describe-finding';
import { isoDay, longDay } from '../shared/house-clock';
import { readVisit, readVisitFrame } from '../visits/read-visit';
import { screeningCaseOf } from '../visits/visit-case';
import { screenCase } from './screen-visit';
import { screeningAnswers } from './screening.answers';

/** What a treating professional needs to answer, and nothing else. @returns undefined when there is no such visit */
export async function readReferral(db: Db, visitId: VisitId): Promise<Referral | undefined> {
  const [record, visit, house] = await Promise.all([
    readVisitFrame(db, visitId),
    readVisit(db, visitId),
    findHouse(db),
  ]);
  if (!record || !visit) return undefined;
  const client = await findClient(db, record.client.id);
  const screening = screenCase(screeningCaseOf(record), record.modalities);
  const asked = screening.byModality.filter((row) =>
    row.reasons.some((reason) => rankOf(reason.decision) >= rankOf('clear-first') && reason.code !== 'scope'),
  );
  const named = new Set(
    asked.flatMap((row) =>
      row.reasons.filter((r) => rankOf(r.decision) >= rankOf('clear-first')).map((r) => r.condition),
    ),
  );
  const flags = screeningBook.redFlags.filter((flag) => record.answers[flag.id] === 'yes');
  const day = isoDay(record.startsAt);
  const taping = visit.before ?? visit.lastTime;
  return {
    house: house?.name ?? '',
    from: `${record.therapist.name}, ${record.therapist.title.toLowerCase()}`,
    client: record.client.name,
    bornOn: client?.born_on ?? null,
    day: `${longDay(record.startsAt)} ${day.slice(0, 4)}`,
    observed: flags.map((flag) => flag.ask.replace(/\?$/, '')),
    findings: record.stored
      .map((finding) => ({ finding, described: describeFinding(finding, day) }))
      .filter(({ finding, described }) => (named.size > 0 ? named.has(finding.id) : described.drainage !== null))
      .map(({ finding, described: { words } }) => {
        return finding.sinceOn ? screeningAnswers.since(words, dayInWords(finding.sinceOn)) : words;
      }),
    measured:
      taping?.volume?.excessMl === undefined || taping.volume.excessMl === null
        ? []
        : [
            screeningAnswers.mlTheOtherSideByTape(
              isoDayInWords(taping.takenAt),
              taping.side,
              taping.limb,
              formatNumber(Math.abs(taping.volume.excessMl)),
              taping.volume.excessMl < 0 ? 'below' : 'over',
              taping.method,
              taping.positions.length,
            ),
          ],
    shown: {
      changes: await readChanges(db, record.client.id),
      remembered: await readRemembered(db, record.client.id, record.startsAt),
      pairs: await pairsForPaper(db, record.client.id),
    },
    work: asked.map((row) => screeningBook.modalities.get(row.modality)?.label ?? row.modality),
  };
}

const isoDayInWords = (at: string) => dayInWords(isoDay(at));

/** Makes the note of a visit and keeps that it was made. @returns undefined when there is no such visit */
export async function makeReferral(db: Db, visitId: VisitId, actor: Actor): Promise<Buffer | undefined> {
  const referral = await readReferral(db, visitId);
  if (!referral) return undefined;
  const pdf = await print('referral', referral);
  const at = actor.now.toISOString();
  await insertAudit(db, { at, by: actor.therapistId, action: 'referral note made', subject: `visit ${visitId}` });
  return pdf;
}
