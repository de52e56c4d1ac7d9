import { readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, it } from 'vitest';
import type { ObservationKind } from '../../contracts/measures';
import { beforeColumn, likesColumn } from '../clients/clients.documents';
import { sheetColumn, wishColumn } from '../home/home.documents';
import { protocolColumn, techniqueColumn } from '../library/library.documents';
import {
  againColumn,
  clientMeasuringColumn,
  contextColumn,
  girthsColumn,
  positionsColumn,
  valueColumn,
} from '../measures/measures.documents';
import { blendColumn, countedColumn, readingsColumn, stripsColumn } from '../oils/oils.documents';
import { brokenColumn, cardColumn, courseColumn } from '../practice/practice.documents';
import { hoursColumn, qualificationsColumn, schoolColumn, settingsColumn } from '../people/people.documents';
import {
  answersColumn,
  areasColumn,
  clearanceColumn,
  crossesColumn,
  limitValueColumn,
  regionsColumn,
  wordingColumn,
} from '../screening/screening.documents';
import { changeColumn } from '../table/table.documents';
import { templateColumn } from '../treatments/treatments.documents';
import { caseColumn, planColumn, stepsColumn } from '../visits/plan.documents';
import {
  askedColumn,
  checkColumn,
  closingMoreColumn,
  focusColumn,
  holdsColumn,
  readyColumn,
} from '../visits/visit.documents';
import type { JsonColumn } from './json-column';

/** Documents as houses of earlier days stored them; whatever this program does, they have to open for ever. */
interface Fixture {
  readonly column: string;
  readonly from: string;
  readonly kind?: string;
  readonly document: unknown;
}

const fixtures = JSON.parse(
  readFileSync(path.join(import.meta.dirname, 'fixtures/documents-1.json'), 'utf8'),
) as readonly Fixture[];

const columns: Readonly<Record<string, JsonColumn<unknown>>> = {
  'house.school_json': schoolColumn,
  'house.settings_json': settingsColumn,
  'therapist.qualifications_json': qualificationsColumn,
  'therapist.hours_json': hoursColumn,
  'client.likes_json': likesColumn,
  'client.measuring_json': clientMeasuringColumn,
  'client_version.before_json': beforeColumn,
  'finding.regions_json': regionsColumn,
  'finding.crosses_json': crossesColumn,
  'finding.clearance_json': clearanceColumn,
  'finding.answers_json': answersColumn,
  'screening_override.new_json': limitValueColumn,
  'consent.areas_json': areasColumn,
  'consent_wording.text_json': wordingColumn,
  'visit.focus_json': focusColumn,
  'visit.holds_json': holdsColumn,
  'visit.ready_json': readyColumn,
  'visit_check.answers_json': checkColumn,
  'visit_check.asked_json': askedColumn,
  'closing.more_json': closingMoreColumn,
  'plan.case_json': caseColumn,
  'plan.plan_json': planColumn,
  'plan.steps_json': stepsColumn,
  'table_event.change_json': changeColumn,
  'treatment_template.holds_json': templateColumn,
  'taping.positions_json': positionsColumn,
  'taping.affected_json': girthsColumn,
  'taping.reference_json': girthsColumn,
  'taping.again_json': againColumn,
  'taping.context_json': contextColumn,
  'library_entry.document_json of a technique': techniqueColumn,
  'library_entry.document_json of a protocol': protocolColumn,
  'oil_blend.blend_json': blendColumn,
  'oil_mix.blend_json': blendColumn,
  'oil_mix.counted_json': countedColumn,
  'visit_blend.blend_json': blendColumn,
  'smell_choice.strips_json': stripsColumn,
  'patch_test.readings_json': readingsColumn,
  'home_sheet.wish_json': wishColumn,
  'home_sheet.sheet_json': sheetColumn,
  'practice_card.card_json': cardColumn,
  'practice_answer.broken_json': brokenColumn,
  'practice_course.case_json': courseColumn,
};

const columnOf = ({ column, kind }: Fixture): JsonColumn<unknown> | undefined =>
  column === 'observation.value_json' ? valueColumn(kind as ObservationKind) : columns[column];

describe('documents of earlier days', () => {
  it.each(fixtures)('$column, $from', (fixture) => {
    const column = columnOf(fixture);
    expect(column, 'who reads this column').toBeDefined();
    const opened = column?.read(JSON.stringify(fixture.document));
    // Nothing of what was kept may get lost on the way, and what is written today is read as the same.
    expect(opened).toMatchObject(fixture.document as object);
    expect(column?.read(column.write(opened))).toEqual(opened);
  });

  it('come from more than one time', () => {
    expect(new Set(fixtures.map(({ from }) => from)).size).toBeGreaterThan(2);
  });
});

describe('a plan of before turns were counted', () => {
  it('lies on the back, with no way that could be chosen', () => {
    const first = fixtures.find(({ column }) => column === 'plan.plan_json');
    const plan = planColumn.read(JSON.stringify(first?.document));
    expect(plan.candidates).toEqual([]);
    expect(plan.turns).toBe(0);
    expect(new Set(plan.steps.map(({ position }) => position))).toEqual(new Set(['supine']));
  });
});
