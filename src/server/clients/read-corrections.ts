import type { ClientId } from '../../core/ids';
import type { ClientInput } from '../../contracts/record';
import type { CorrectionView } from '../../contracts/client-views';
import type { Db } from '../db/connection';
import { listReplacedClosings, listReplacedTapings } from './corrections.repository';
import { listClientVersions } from './clients.repository';
import { listPastFindings } from '../screening/findings.repository';
import { listStaff } from '../people/people.repository';
import { describeFinding } from '../screening/describe-finding';
import { clockTime, isoDay, shortDay } from '../shared/house-clock';
import { girthsColumn } from '../measures/measures.documents';
import { beforeColumn } from './clients.documents';
import { clientsAnswers } from './clients.answers';

const fieldNames: Readonly<Partial<Record<keyof ClientInput, string>>> = {
  name: 'name',
  bornOn: 'birthday',
  phone: 'phone',
  email: 'e-mail',
  address: 'address',
  emergencyContact: clientsAnswers.inAnEmergency,
  dueOn: clientsAnswers.dueDate,
  heightCm: 'height',
  language: 'language',
  messagesBy: 'messages',
  medicines: 'medicines',
  note: 'note',
  likes: 'likes',
};

/** Everything on a client's record that was changed after it was written, newest first: what it was, who and when. */
export async function readCorrections(db: Db, clientId: ClientId): Promise<readonly CorrectionView[]> {
  const [staff, findings, versions, records] = await Promise.all([
    listStaff(db),
    listPastFindings(db, clientId),
    listClientVersions(db, clientId),
    versionedRecords(db, clientId),
  ]);
  const nameOf = (id: number | null) => staff.find((member) => member.id === id)?.name ?? clientsAnswers.theClient;
  const entry = (at: string, by: number | null, what: string, was: string, why = ''): CorrectionView => ({
    at,
    when: `${shortDay(at)}, ${clockTime(at)}`,
    by: nameOf(by),
    what,
    was,
    why,
  });
  const ofFindings = findings.map((finding) => {
    const { words } = describeFinding(finding, isoDay(finding.endedAt));
    const since = finding.sinceOn ? clientsAnswers.since(finding.sinceOn) : '';
    const note = finding.note ? `, “${finding.note}”` : '';
    const what = finding.replacedBy === null ? clientsAnswers.findingEnded : clientsAnswers.findingCorrected;
    return entry(finding.endedAt, finding.endedBy, what, `${words}${since}${note}`, finding.endReason);
  });
  const ofData = versions.map((row, index) => {
    const before = beforeColumn.read(row.before_json);
    const newer = versions[index - 1];
    const after = newer && beforeColumn.read(newer.before_json);
    return entry(row.changed_at, row.changed_by, clientsAnswers.clientDataChanged, changedFields(before, after));
  });
  return [...ofFindings, ...ofData, ...records.map((r) => entry(r.at, r.by, r.what, r.was))].sort((a, b) =>
    a.at < b.at ? 1 : -1,
  );
}

/** The fields that a change touched, with what stood there; all that were filled when it is the newest. */
function changedFields(before: ClientInput, after: ClientInput | undefined): string {
  const keys = Object.keys(fieldNames) as (keyof ClientInput)[];
  return keys
    .filter((key) => !after || JSON.stringify(before[key]) !== JSON.stringify(after[key]))
    .map((key) => [fieldNames[key], before[key]] as const)
    .filter(([, value]) => typeof value === 'string' && value !== '')
    .map(([label, value]) => `${label}: ${String(value).slice(0, 80)}`)
    .join('; ');
}

/** Older versions of measurements and closing notes that a newer one has replaced. */
async function versionedRecords(
  db: Db,
  clientId: ClientId,
): Promise<
  readonly { readonly at: string; readonly by: number | null; readonly what: string; readonly was: string }[]
> {
  const [tapings, closings] = await Promise.all([
    listReplacedTapings(db, clientId),
    listReplacedClosings(db, clientId),
  ]);
  return [
    // Typing a run saves after each number; only numbers that were there and changed are corrections.
    ...tapings.flatMap((row) => {
      const changed = [
        ...changedNumbers(row.affected_json, row.next_affected),
        ...changedNumbers(row.reference_json, row.next_reference),
      ];
      return changed.length > 0
        ? [{ at: row.at, by: row.by, what: clientsAnswers.tapeNumberChanged(row.phase), was: changed.join(', ') }]
        : [];
    }),
    ...closings.map((row) => ({
      at: row.at,
      by: row.by,
      what: clientsAnswers.closingChanged,
      was: [
        row.comfort === null ? '' : clientsAnswers.comfort(row.comfort),
        row.redness === null ? '' : clientsAnswers.redness(row.redness),
        row.note.slice(0, 80),
      ]
        .filter(Boolean)
        .join(', '),
    })),
  ];
}

function changedNumbers(before: string, after: string): readonly string[] {
  const [old, next] = [girthsColumn.read(before), girthsColumn.read(after)];
  return old.flatMap((value, i) =>
    value !== null && next[i] !== undefined && next[i] !== value ? [String(value)] : [],
  );
}
