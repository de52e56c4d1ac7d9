import type { Content } from 'pdfmake/interfaces';
import { dayInWords } from '../../core/visit/words';
import { makePdf, runs } from './pdf';
import { paperAnswers } from './paper.answers';
import { type Shown, shownOnPaper } from './shown';

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
  /** What can be seen better than said. */
  readonly shown: Shown;
  /** Work about which the physician is asked. */
  readonly work: readonly string[];
}

/** The referral note as one printable page, in neutral words, with room for the answer. */
export function printReferral(referral: Referral): Promise<Buffer> {
  const list = (title: string, lines: readonly string[]): Content[] =>
    lines.length === 0
      ? []
      : [{ text: title, bold: true, margin: [0, 14, 0, 4] }, { ul: lines.map((line) => ({ text: runs(line) })) }];
  const work = referral.work.length > 0 ? referral.work.join(', ') : paperAnswers.lightTouchDrainageAndMassage;
  return makePdf({
    info: { title: paperAnswers.noteToTheTreatingProfessional(referral.day), author: referral.house },
    content: [
      { text: runs(referral.house), fontSize: 18, bold: true },
      { text: runs(`${referral.from}`), color: '#564c5c' },
      { text: paperAnswers.toTheTreatingPhysician, margin: [0, 24, 0, 0] },
      {
        text: runs(`${referral.client}${referral.bornOn ? paperAnswers.born(dayInWords(referral.bornOn)) : ''}`),
        bold: true,
        fontSize: 13,
        margin: [0, 4, 0, 0],
      },
      { text: runs(referral.day), margin: [0, 0, 0, 8] },
      {
        text: paperAnswers.thisClientCameToUsFor,
      },
      ...list(paperAnswers.toldOrSeenToday, referral.observed),
      ...list(paperAnswers.knownToUs, referral.findings),
      ...list('Measured', referral.measured),
      { text: paperAnswers.ourQuestion, bold: true, margin: [0, 14, 0, 4] },
      {
        text: runs(paperAnswers.wouldYouPleaseLookAtThis(work)),
      },
      { text: 'Answer', bold: true, margin: [0, 22, 0, 6] },
      ...[paperAnswers.mayBeDone, paperAnswers.mayBeDoneWithTheseLimits, paperAnswers.notAtPresentAskAgainOn].map(
        (line): Content => ({ text: line.replace('☐', '[   ]'), margin: [0, 4, 0, 4] }),
      ),
      { canvas: [1, 2].map((i) => ({ type: 'line', x1: 0, y1: i * 26, x2: 480, y2: i * 26, lineColor: '#b9aa9b' })) },
      { text: paperAnswers.dateNameRoleAndSignature, color: '#564c5c', margin: [0, 8, 0, 0], fontSize: 9.5 },
      ...onItsOwnPage(shownOnPaper(referral.shown)),
    ],
    footer: {
      text: paperAnswers.handedToTheClientLocalLaw,
      alignment: 'center',
      fontSize: 8.5,
      color: '#564c5c',
    },
  });
}

/** What is shown comes after the answer, so that the question fits on one page. */
const onItsOwnPage = (stack: Content[]): Content[] => (stack.length === 0 ? [] : [{ stack, pageBreak: 'before' }]);
