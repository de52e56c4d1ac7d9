import { uncapitalise } from '../wording/capitalise';
import type { Condition } from '../screening/tables';
import type { CheckQuestion, TodayGroup } from './check-question';
import { visitSays } from './visit.says';

/** The gates of the check of the day, in the order in which they are asked. */
export const gateIds = ['alarm', 'ill', 'new', 'pregnant', 'skin', 'work', 'after'] as const;
export type GateId = (typeof gateIds)[number];

/** A gate as the tables have it: one question for many; in its text `{lastVisit}` stands for a day. */
export interface GateRow {
  readonly id: GateId;
  readonly text: string;
  /** Read aloud: it is the question. */
  readonly hint: string;
  /** When it is left out, in words. */
  readonly askedWhen?: string | undefined;
  readonly redFlags: readonly string[];
  readonly conditions: readonly string[];
}

/** A gate as it is asked at one visit. */
export interface CheckGate {
  readonly id: GateId;
  readonly text: string;
  readonly hint: string;
  /** What is on record and belongs here: told, not asked again. */
  readonly onRecord: readonly string[];
  /** What was so at an earlier visit, asked before the gate. */
  readonly still: readonly string[];
  /** What a no answers, and a yes opens: red flags first. Empty where all that belongs here was so before. */
  readonly questions: readonly string[];
}

/** What the gates of one visit depend on. */
export interface GateCase {
  /** Conditions that were recorded before the day of the visit. */
  readonly onRecord?: ReadonlySet<string>;
  /** Kinds of work of the visit; all when left out. */
  readonly work?: readonly string[];
  readonly isFirst?: boolean;
  readonly ageYears?: number | null;
  /** Day of the last visit in words. */
  readonly lastVisit?: string | undefined;
  /** Gate → what is told there of the record. */
  readonly told?: ReadonlyMap<GateId, readonly string[]>;
}

const pregnancyAges = { from: 12, to: 55 } as const;

/** Whether a gate is asked at all. Source: `askedWhen` of the gates. */
export function isGateAsked({ id, conditions }: GateRow, { onRecord, isFirst, ageYears, told }: GateCase): boolean {
  if (id === 'after') return isFirst !== true;
  if (id !== 'pregnant' || ageYears == null) return true;
  const isOnRecord = conditions.some((condition) => onRecord?.has(condition)) || (told?.get(id)?.length ?? 0) > 0;
  return isOnRecord || (ageYears >= pregnancyAges.from && ageYears <= pregnancyAges.to);
}

/** Whether a condition changes anything about kinds of work; without them it may always. */
export const mattersFor = ({ effects }: Condition, work: readonly string[] | undefined): boolean =>
  work === undefined || effects.some(({ on }) => on === 'all' || on.some((modality) => work.includes(modality)));

/** As it is said at the table of the consultation. */
export const gateText = (row: GateRow, { isFirst, lastVisit }: GateCase): string =>
  row.text.replace('{lastVisit}', isFirst ? visitSays.youBooked : (lastVisit ?? visitSays.theLastVisit));

/** What a gate asks about this work: the hint of the table, or, where it depends on the work, what the work asks. */
function gateHint(row: GateRow, groups: readonly TodayGroup[]): string {
  if (row.id !== 'work') return row.hint;
  const [first = '', ...rest] = groups.map(({ group }) => group);
  return `${[first, ...rest.map(uncapitalise)].join('; ')}.`;
}

/** The gates with what each of them closes. */
export function makeGates(
  rows: readonly GateRow[],
  parts: {
    readonly flags: readonly CheckQuestion[];
    readonly still: readonly (CheckQuestion & { readonly gate: GateId })[];
    readonly today: readonly TodayGroup[];
    readonly others: readonly CheckQuestion[];
  },
  asked: GateCase,
): readonly CheckGate[] {
  return rows.flatMap((row) => {
    const flags = parts.flags.filter(({ id }) => row.redFlags.includes(id));
    const today = parts.today.filter(({ id }) => id === `today:${row.id}` || id.startsWith(`today:${row.id}.`));
    const questions = [...flags, ...today].map(({ id }) => id);
    if (row.id === 'after') questions.push(...parts.others.map(({ id }) => id));
    const still = parts.still.flatMap(({ id, gate }) => (gate === row.id ? [id] : []));
    if (questions.length + still.length === 0) return [];
    return [
      {
        id: row.id,
        text: gateText(row, asked),
        hint: gateHint(row, today),
        onRecord: asked.told?.get(row.id) ?? [],
        still,
        questions,
      },
    ];
  });
}
