import { limbOfArea } from '../anatomy/areas';
import type { PlaceId } from '../anatomy/place';
import { list } from '../drainage/wording';
import { dayInWords } from './words';
import { visitSays } from './visit.says';

/** What has to be asked or laid out before a visit, from what the record says about the client. */

export interface VisitFacts {
  /** Why a full intake is due; null: the short check will do. */
  readonly intakeDue: string | null;
  /** Findings for whose work a written note is asked for and missing, in words. */
  readonly missingNotes: readonly string[];
  /** Notes that run out soon after the visit. */
  readonly endingNotes: readonly { readonly label: string; readonly until: string }[];
  readonly isConsentDue: boolean;
  readonly focus: readonly PlaceId[];
  /** Drainage is part of it; otherwise nothing is taped. */
  readonly isDrained: boolean;
  /** What to lay out is listed already, from the treatment. */
  readonly hasRoomList: boolean;
  /** The limb has been taped at an earlier visit, so the same points are used again. */
  readonly isTaped: boolean;
  /** Questions of the check of the day that have no answer yet; without them the table does not begin. */
  readonly checkOpen: number;
}

export interface Preparation {
  readonly text: string;
  /** When to see to it, in two or three words. */
  readonly when: string;
  /** It is over once this stage of the visit is. */
  readonly stage: 'ask' | 'measure' | 'plan';
  /** Who sees it: the front desk only what says nothing of findings; `both` by everybody. */
  readonly seenBy: 'therapist' | 'desk' | 'both';
  /** Not asked for at every visit. */
  readonly isPressing: boolean;
}

/** Notes that run out within this many days after a visit are mentioned at it. */
export const noticeDays = 14;

/** The most pressing first. */
export function preparationFor(facts: VisitFacts): readonly Preparation[] {
  const limb = facts.focus.map(limbOfArea).find((one) => one !== undefined);
  const all: (Preparation | false)[] = [
    facts.missingNotes.length > 0 && {
      ...pressing('therapist', 'ask', visitSays.ringBefore),
      text: visitSays.aWrittenNoteIsMissing(list(facts.missingNotes)),
    },
    facts.missingNotes.length > 0 && {
      ...pressing('desk', 'ask', visitSays.ringBefore),
      text: visitSays.aClearanceNoteIsMissingAsk,
    },
    facts.intakeDue === null
      ? { ...usual('therapist', 'ask', visitSays.atTheDoor), text: visitSays.askStillFeverFreeNoNew }
      : {
          ...pressing('therapist', 'ask', visitSays.atTheDoor),
          text: visitSays.fullIntakeAllowTenMinutesMore(facts.intakeDue),
        },
    facts.checkOpen > 0 && {
      ...usual('therapist', 'ask', visitSays.beforeTheTable),
      text: visitSays.theCheckOfTodayOpen2(facts.checkOpen, facts.checkOpen === 1 ? 'question' : 'questions'),
    },
    facts.isConsentDue && { ...pressing('both', 'ask', visitSays.atTheDoor), text: visitSays.consentToReadAndSign },
    facts.isDrained &&
      limb !== undefined && {
        ...usual('therapist', 'measure', 'before'),
        text: visitSays.tapeBothS(limb, facts.isTaped ? visitSays.atTheSamePointsAsLast : ''),
      },
    !facts.hasRoomList && {
      ...usual('both', 'plan', visitSays.setOut),
      text: limb ? visitSays.layOutTapeMeasureBolsterWarm : visitSays.layOutHeadRestWarmCover,
    },
    ...facts.endingNotes.map(({ label, until }) => ({
      ...pressing('therapist', 'plan', visitSays.atParting),
      text: visitSays.theNoteForRunsOutOn(label, dayInWords(until)),
    })),
  ];
  return all.filter((one) => one !== false);
}

const usual = (seenBy: Preparation['seenBy'], stage: Preparation['stage'], when: string) => ({
  seenBy,
  stage,
  when,
  isPressing: false,
});

const pressing = (seenBy: Preparation['seenBy'], stage: Preparation['stage'], when: string) => ({
  ...usual(seenBy, stage, when),
  isPressing: true,
});
