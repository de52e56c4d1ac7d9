import { frequencyRules } from '../../catalogue/screening/plan-rules';
import { screeningBook } from '../../catalogue/screening/screening';
import { anatomy } from '../../catalogue/anatomy';
import { judgementOf } from '../../core/judgement/from-screening';
import type { Judgement, Ledger } from '../../core/judgement/judgement';
import { liftedBy } from '../../core/screening/override';
import type { JudgementNames } from '../../core/judgement/words';
import { screeningCaseOf } from '../visits/visit-case';
import type { VisitRecord } from '../visits/visit-record';
import { readCaseOf, screenCase } from './screen-visit';

/** What sentences about a judgement are made with. */
export const judgementNames: JudgementNames = { anatomy, book: screeningBook };

/** The one judgement of a visit: what may be done, changed or left out, asked by everything that is made for it. */
export function judgeVisit(visit: VisitRecord, ledger?: Ledger): Judgement {
  const input = screeningCaseOf(visit);
  const { read, conditions } = readCaseOf(input);
  return judgementOf(screeningBook, read, screenCase(input), {
    conditions,
    frequencyRules,
    lifted: liftedBy(input.overrides),
    irritated: visit.irritated,
    ...(ledger ? { ledger } : {}),
  });
}
