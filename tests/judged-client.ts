import { anatomy } from '../src/catalogue/anatomy';
import { shippedLibrary } from '../src/catalogue/library/library';
import { frequencyRules } from '../src/catalogue/screening/plan-rules';
import { screeningBook } from '../src/catalogue/screening/screening';
import { readCase } from '../src/core/drainage/case';
import { planDrainage } from '../src/core/drainage/plan';
import { defaultSchool, type QualificationId } from '../src/core/drainage/case';
import { drainageFindings, type RecordedCondition, screenedDrainage } from '../src/core/drainage/from-screening';
import { type PresentCondition, type ReadScreening, readScreening } from '../src/core/screening/read-request';
import { screen } from '../src/core/screening/screen';
import { type Choice, expandChoices } from '../src/core/treatment/expand';
import { type Judged, judgeBlocks } from '../src/core/treatment/judge-blocks';
import type { WayRound } from '../src/core/treatment/way-round';
import { judgementOf } from '../src/core/judgement/from-screening';
import type { Judgement } from '../src/core/judgement/judgement';

/** All training that there is: what is left out is left out for the client. */
export const everything: readonly string[] = screeningBook.qualifications.map(({ id }) => id);

export type Brought = RecordedCondition & PresentCondition;
type Given = Partial<Pick<Parameters<typeof judgementOf>[3], 'ledger' | 'irritated' | 'lifted'>>;

function readOf(conditions: readonly Brought[], held: readonly string[]): ReadScreening {
  const read = readScreening(screeningBook, { visitDate: '2026-11-25', age: 40, conditions, qualifications: held });
  if (!read.ok) throw new Error(JSON.stringify(read.errors));
  return read.value;
}

/** The judgement of a client who brings these conditions, in tests. */
export function judge(
  conditions: readonly Brought[] = [],
  held: readonly string[] = everything,
  input: Given = {},
): Judgement {
  const read = readOf(conditions, held);
  return judgementOf(screeningBook, read, screen(screeningBook, read), {
    conditions,
    frequencyRules,
    ...input,
  });
}

/** The planner's way round for such a client. */
export function wayRoundFor(conditions: readonly Brought[], held: readonly string[] = everything): WayRound {
  const screened = screenedDrainage(screen(screeningBook, readOf(conditions, held)));
  return (focus) => {
    const drainage = readCase(anatomy, {
      focus,
      purpose: 'swelling',
      findings: drainageFindings(screeningBook, conditions),
      school: defaultSchool,
      minutes: 60,
      fill: false,
      qualifications: held as readonly QualificationId[],
      screened,
    });
    return drainage.ok ? planDrainage(anatomy, drainage.value) : undefined;
  };
}

/** Protocols as they would be given to such a client, before order and time. */
export function judged(
  protocols: readonly (string | Choice)[],
  conditions: readonly Brought[] = [],
  held: readonly string[] = everything,
  input: Given & { readonly affected?: 'left' | 'right' | null } = {},
): Judged {
  const choices = protocols.map((one, i): Choice =>
    typeof one === 'string' ? { id: `c${i + 1}`, protocol: one } : one,
  );
  const { affected = 'left', ...rest } = input;
  const blocks = expandChoices(anatomy, shippedLibrary, choices, affected);
  return judgeBlocks(shippedLibrary, judge(conditions, held, rest), blocks, wayRoundFor(conditions, held));
}
