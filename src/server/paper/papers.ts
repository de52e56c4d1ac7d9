import { printAftercare, printVisitCare } from './aftercare-pdf';
import { printHome } from './home-pdf';
import { printLabel } from './label-pdf';
import { printPractice } from './practice-pdf';
import { printProgress } from './progress-pdf';
import { printReferral } from './referral-pdf';

/** Everything that the house prints, by name: what each takes is plain data, which goes from thread to thread. */
export const papers = {
  home: printHome,
  progress: printProgress,
  referral: printReferral,
  label: printLabel,
  practice: printPractice,
  bottleCare: printAftercare,
  visitCare: printVisitCare,
} as const;
export type PaperId = keyof typeof papers;

export interface PaperTask<Id extends PaperId = PaperId> {
  readonly paper: Id;
  readonly given: Parameters<(typeof papers)[Id]>;
}

export const printHere = ({ paper, given }: PaperTask): Promise<Buffer> =>
  (papers[paper] as (...all: PaperTask['given']) => Promise<Buffer>)(...given);
