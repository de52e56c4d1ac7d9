import type { Content } from 'pdfmake/interfaces';
import { dayInWords } from '../../core/visit/words';
import { makePdf, runs } from './pdf';

/** What a note asks a treating professional. */
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

/** The referral note as one printable page, in neutral words, with room for the answer. */
export function printReferral(referral: Referral): Promise<Buffer> {
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
