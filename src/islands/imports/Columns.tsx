import type { ImportPlan } from '../../contracts/imports';
import { dateOrders } from '../../core/calendar/read-date';
import { type ColumnRole, columnRoles } from '../../core/exchange/measure-rows';
import { Choice } from '../../ui/choice/Choice';
import { ColumnHeads } from './ColumnHeads';
import type { Table } from './choose-table';
import styles from './imports.module.css';
import { importsWords } from './imports.words';

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

interface Props {
  readonly table: Table;
  readonly plan: ImportPlan;
  readonly hasClient: boolean;
  readonly onPlan: (plan: ImportPlan) => void;
}

/** Each column with what it holds, over the first rows of the table. */
export function Columns({ table, plan, hasClient, onPlan }: Props) {
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
      <ColumnHeads
        rows={table.rows}
        roleAt={roleAt}
        onRole={setRole}
        optionsFor={(text) => [
          ...columnRoles
            .filter((role) => !hasClient || (role !== 'client' && role !== 'born'))
            .map((role) => ({ value: role, text: roleWords[role] })),
          ...(numberIn(text) === undefined
            ? []
            : [{ value: `point ${numberIn(text)}`, text: `${importsWords.girthAt} ${numberIn(text)}` }]),
        ]}
      />
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
