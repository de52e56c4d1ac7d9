import type { VisitId } from '../../core/ids';
import { insertAudit } from '../house/audit.repository';
import type { Actor } from '../shared/saving';
import type { Content } from 'pdfmake/interfaces';
import { screeningBook } from '../../catalogue/screening/screening';
import { formatNumber } from '../../core/units';
import { rankOf } from '../../core/screening/tables';
import { dayInWords } from '../../core/visit/words';
import type { Db } from '../db/connection';
import { makePdf, runs } from '../exchange/pdf';
import { findClient } from '../clients/clients.repository';
import { findHouse } from '../people/people.repository';
import { describeFinding } from './describe-finding';
import { isoDay, longDay } from '../shared/house-clock';
import { readVisit, readVisitFrame } from '../visits/read-visit';
import { screeningCaseOf } from '../visits/visit-case';
import { screenCase } from './screen-visit';

export interface Referral {
  readonly house: string;
  readonly from: string;
  readonly client: string;
  readonly bornOn: string | null;
  readonly day: string;
  /** What was told or seen on the day that speaks against the work; in the words of the questions. */
  readonly observed: readonly string[];
  /** Findings on record that the question is about; when none asks for a note, those that steer the drainage. */
  readonly findings: readonly string[];
  readonly measured: readonly string[];
  /** Work about which the physician is asked. */
  readonly work: readonly string[];
}

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
        return finding.sinceOn ? `${words}, since ${dayInWords(finding.sinceOn)}` : words;
      }),
    measured:
      taping?.volume?.excessMl === undefined || taping.volume.excessMl === null
        ? []
        : [
            `${isoDayInWords(taping.takenAt)}: ${taping.side} ${taping.limb} ${formatNumber(Math.abs(taping.volume.excessMl))} mL ${taping.volume.excessMl < 0 ? 'below' : 'over'} the other side by tape (${taping.method} method, ${taping.positions.length} points).`,
          ],
    work: asked.map((row) => screeningBook.modalities.get(row.modality)?.label ?? row.modality),
  };
}

const isoDayInWords = (at: string) => dayInWords(isoDay(at));

/** Makes the note of a visit and keeps that it was made. @returns undefined when there is no such visit */
export async function makeReferral(db: Db, visitId: VisitId, actor: Actor): Promise<Buffer | undefined> {
  const referral = await readReferral(db, visitId);
  if (!referral) return undefined;
  const pdf = await printReferral(referral);
  const at = actor.now.toISOString();
  await insertAudit(db, { at, by: actor.therapistId, action: 'referral note made', subject: `visit ${visitId}` });
  return pdf;
}

/** The referral note as one printable page, in neutral words, with room for the answer. */
function printReferral(referral: Referral): Promise<Buffer> {
  const list = (title: string, lines: readonly string[]): Content[] =>
    lines.length === 0
      ? []
      : [{ text: title, bold: true, margin: [0, 14, 0, 4] }, { ul: lines.map((line) => ({ text: runs(line) })) }];
  const work = referral.work.length > 0 ? referral.work.join(', ') : 'light-touch drainage and massage';
  return makePdf({
    info: { title: `Note to the treating professional, ${referral.day}`, author: referral.house },
    content: [
      { text: runs(referral.house), fontSize: 18, bold: true },
      { text: runs(`${referral.from}`), color: '#564c5c' },
      { text: 'To the treating physician', margin: [0, 24, 0, 0] },
      {
        text: runs(`${referral.client}${referral.bornOn ? `, born ${dayInWords(referral.bornOn)}` : ''}`),
        bold: true,
        fontSize: 13,
        margin: [0, 4, 0, 0],
      },
      { text: runs(referral.day), margin: [0, 0, 0, 8] },
      {
        text: 'This client came to us for hands-on work. We are not physicians and make no diagnosis; what follows is what we were told, saw or measured.',
      },
      ...list('Told or seen today', referral.observed),
      ...list('Known to us', referral.findings),
      ...list('Measured', referral.measured),
      { text: 'Our question', bold: true, margin: [0, 14, 0, 4] },
      {
        text: runs(
          `Would you please look at this, and tell us in writing whether the following may be done, and within which limits: ${work}?`,
        ),
      },
      { text: 'Answer', bold: true, margin: [0, 22, 0, 6] },
      ...['☐ may be done', '☐ may be done with these limits:', '☐ not at present; ask again on:'].map(
        (line): Content => ({ text: line.replace('☐', '[   ]'), margin: [0, 4, 0, 4] }),
      ),
      { canvas: [1, 2].map((i) => ({ type: 'line', x1: 0, y1: i * 26, x2: 480, y2: i * 26, lineColor: '#b9aa9b' })) },
      { text: 'Date, name, role and signature', color: '#564c5c', margin: [0, 8, 0, 0], fontSize: 9.5 },
    ],
    footer: {
      text: 'Handed to the client. Local law, professional codes and the limits of licences come first.',
      alignment: 'center',
      fontSize: 8.5,
      color: '#564c5c',
    },
  });
}
