import { uncapitalise } from '../../core/wording/capitalise';
import { anatomy } from '../../catalogue/anatomy';
import { screeningBook, vocabulary } from '../../catalogue/screening/screening';
import type { PlacedFinding } from '../../contracts/people-views';
import type { ClearanceView, ConditionView } from '../../contracts/screening-views';
import type { PlaceId } from '../../core/anatomy/place';
import type { Finding } from '../../core/drainage/finding';
import { drainageFindings, type RecordedCondition } from '../../core/drainage/from-screening';
import type { NoteLimits } from '../../core/screening/notes';
import { doesNoteCount, eventDay, usualNoteDays } from '../../core/screening/time';
import { addDays } from '../../core/calendar/days';
import { limitsInWords } from '../../core/screening/words';
import { findingInWords, placesInWords } from '../../core/visit/words';
import type { StoredFinding } from './findings.repository';
import { screeningAnswers } from './screening.answers';

/** A condition of the record as screening takes it. */
export function toCondition(finding: StoredFinding): RecordedCondition {
  return {
    id: finding.id,
    ...(finding.side ? { side: finding.side } : {}),
    ...(finding.regions && finding.regions.length > 0 ? { regions: finding.regions } : {}),
    ...(finding.crosses ? { crosses: finding.crosses } : {}),
    ...(finding.sinceOn ? { date: finding.sinceOn } : {}),
    ...(finding.clearance
      ? { clearance: { date: finding.clearance.date, modalities: finding.clearance.modalities } }
      : {}),
    answers: finding.answers,
  };
}

/** What the planner of drainage gets of all findings; thickened skin comes from the assessment, not from screening. */
export function drainageOf(findings: readonly StoredFinding[]): readonly Finding[] {
  const thickened = findings.flatMap((f): Finding[] =>
    f.id === 'thickened' ? [{ id: f.id, regions: f.regions }] : [],
  );
  const screened = findings.filter((f) => f.id !== 'thickened').map(toCondition);
  return [...drainageFindings(screeningBook, screened), ...thickened];
}

/** A stored finding with its names. */
export function describeFinding(finding: StoredFinding, onDate: string): PlacedFinding {
  const condition = screeningBook.conditions.get(finding.id);
  const [drainage = null] = drainageOf([finding]).filter((f) => f.id !== 'cancer-history');
  const label =
    condition?.label ?? (finding.id === 'thickened' ? screeningAnswers.thickenedDoughyOrFirmSkin : finding.id);
  return {
    ...finding,
    label,
    words: drainage ? findingInWords(anatomy, drainage) : plainWords(label, finding),
    locatable: finding.id === 'thickened' ? 'region' : (condition?.locatable ?? 'no'),
    clearance: finding.clearance
      ? clearanceView(finding, condition?.clearanceValidDays ?? usualNoteDays, onDate)
      : null,
    drainage,
  };
}

function plainWords(label: string, { side, regions }: StoredFinding): string {
  const where =
    regions && regions.length > 0
      ? placesInWords(anatomy, regions)
      : side === 'both'
        ? screeningAnswers.bothSides
        : side;
  const [short = label] = label.split(/ \(|, /);
  return `${uncapitalise(short)}${where ? `: ${where}` : ''}`;
}

function clearanceView({ clearance, sinceOn }: StoredFinding, validDays: number, onDate: string): ClearanceView | null {
  if (!clearance) return null;
  const until = addDays(clearance.date, validDays);
  const isValid = doesNoteCount(clearance.date, eventDay(sinceOn ?? undefined, onDate), onDate, validDays);
  const { date, modalities, writtenBy, words, limits = {} } = clearance;
  return {
    date,
    modalities,
    writtenBy,
    words,
    limitWords: limitsInWords(limits, noteNames)
      .map(({ words: limit }) => limit)
      .join('; '),
    isValid,
    until,
  };
}

const noteNames = { practice: practiceLabel, oilGroup: oilGroupLabel };

/** The limits of the notes that count on a day. */
export function noteLimits(findings: readonly StoredFinding[], onDate: string): readonly NoteLimits[] {
  return findings.flatMap((finding) => {
    const { clearance } = finding;
    const validDays = screeningBook.conditions.get(finding.id)?.clearanceValidDays ?? usualNoteDays;
    if (!clearance?.limits || !clearanceView(finding, validDays, onDate)?.isValid) return [];
    const { writtenBy, modalities, limits } = clearance;
    return [{ condition: finding.id, writtenBy, modalities, limits }];
  });
}

/** Everything that can be found, to ask and to choose from. */
export function listConditions(): readonly ConditionView[] {
  return [...screeningBook.conditions.values()].map(({ id, group, label, ask, locatable, dated, askAt }) => ({
    id,
    group,
    label,
    ask,
    locatable,
    dated,
    atIntake: askAt.includes('intake'),
  }));
}

export function practiceLabel(id: string): string {
  return vocabulary.practices[id] ?? id.replaceAll('-', ' ');
}

export function oilGroupLabel(id: string): string {
  return vocabulary.oilGroups[id]?.label ?? id.replaceAll('-', ' ');
}

export const placeNames = (places: readonly PlaceId[]): string => placesInWords(anatomy, places);
