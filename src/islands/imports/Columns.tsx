import type { ImportPlan } from '../../contracts/imports';
import { dateOrders } from '../../core/calendar/read-date';
import { type ColumnRole, columnRoles } from '../../core/exchange/measure-rows';
import { Choice } from '../../ui/choice/Choice';
import { Select } from '../../ui/field/Field';
import styles from './ImportMeasures.module.css';
import { importsWords } from './imports.words';

/** A table as it was chosen: its first rows, and how they were read. */
export interface Table {
  readonly file: File;
  readonly encoding: string;
  readonly delimiter: string;
  readonly rows: readonly (readonly string[])[];
}

const roleWords: Readonly<Record<ColumnRole, string>> = {
  client: importsWords.client2,
  born: importsWords.dateOfBirth,
  date: importsWords.date,
  phase: importsWords.beforeOrAfter,
  limb: importsWords.armOrLeg,
  side: importsWords.leftOrRight,
  point: importsWords.point2,
  girth: importsWords.girth,
  swollen: importsWords.swollenOrNot,
  first: importsWords.firstReading,
  second: importsWords.secondReading,
  third: importsWords.thirdReading,
  unit: importsWords.unitOfTheRow,
};
const shownRows = 6;

interface Props {
  readonly table: Table;
  readonly plan: ImportPlan;
  readonly hasClient: boolean;
  readonly onPlan: (plan: ImportPlan) => void;
}

/** Each column with what it holds, over the first rows of the table. */
export function Columns({ table, plan, hasClient, onPlan }: Props) {
  const [head = []] = table.rows;
  const roleAt = (index: number): string => {
    const role = columnRoles.find((one) => plan.columns[one] === index);
    if (role) return role;
    const point = plan.pointColumns.find((one) => one.index === index);
    return point ? importsWords.point(point.point) : '';
  };
  const setRole = (index: number, value: string) => {
    const columns = Object.fromEntries(Object.entries(plan.columns).filter(([, at]) => at !== index));
    const pointColumns = plan.pointColumns.filter((one) => one.index !== index);
    const point = /^point (.+)$/.exec(value)?.[1];
    if (point !== undefined) pointColumns.push({ index, point: Number(point) });
    else if (value !== '') columns[value] = index;
    onPlan({ ...plan, columns, pointColumns: pointColumns.sort((a, b) => a.index - b.index) });
  };
  const numberIn = (text: string) => {
    const number = Number.parseFloat(text.replace(',', '.'));
    return Number.isFinite(number) ? number : undefined;
  };
  return (
    <>
      <div className={styles['scroll']} tabIndex={0} role="group" aria-label={importsWords.firstRowsOfTheTable}>
        <table>
          <thead>
            <tr>
              {head.map((text, index) => (
                <th key={index} scope="col">
                  <Select
                    label={text || importsWords.column2(index + 1)}
                    value={roleAt(index)}
                    onChange={(event) => setRole(index, event.target.value)}
                  >
                    <option value="">{importsWords.notUsed}</option>
                    {columnRoles
                      .filter((role) => !hasClient || (role !== 'client' && role !== 'born'))
                      .map((role) => (
                        <option key={role} value={role}>
                          {roleWords[role]}
                        </option>
                      ))}
                    {numberIn(text) !== undefined && (
                      <option value={`point ${numberIn(text)}`}>
                        {importsWords.girthAt} {numberIn(text)}
                      </option>
                    )}
                  </Select>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {table.rows.slice(1, 1 + shownRows).map((row, i) => (
              <tr key={i}>
                {head.map((_, index) => (
                  <td key={index}>{row[index] ?? ''}</td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <div className={styles['settings']}>
        <Choice
          label={importsWords.girthsAndPointsAreIn}
          options={[
            { value: 'cm', text: importsWords.cm },
            { value: 'in', text: importsWords.inches },
          ]}
          value={plan.unit}
          onChange={(unit) => onPlan({ ...plan, unit })}
        />
        <Choice
          label={importsWords.datesAreWritten}
          options={dateOrders.map((value) => ({ value, text: value.replaceAll('-', ', ') }))}
          value={plan.dateOrder}
          onChange={(dateOrder) => onPlan({ ...plan, dateOrder })}
        />
        {plan.columns.limb === undefined && (
          <Choice
            label={importsWords.allOfThemAre}
            options={[
              { value: 'arm', text: importsWords.arms },
              { value: 'leg', text: importsWords.legs },
            ]}
            value={plan.limb}
            onChange={(limb) => onPlan({ ...plan, limb })}
          />
        )}
        {plan.columns.swollen === undefined && (
          <Choice
            label={importsWords.swollenSide}
            options={[
              { value: 'larger', text: importsWords.asOnRecordElseTheLarger },
              { value: 'left', text: importsWords.left },
              { value: 'right', text: importsWords.right },
            ]}
            value={plan.swollen}
            onChange={(swollen) => onPlan({ ...plan, swollen })}
          />
        )}
      </div>
    </>
  );
}
