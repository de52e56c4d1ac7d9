import { importsWords } from './imports.words';
import Papa from 'papaparse';
import { useState } from 'react';
import type { ImportPlan } from '../../contracts/imports';
import { decodeText, detectEncoding } from '../../core/exchange/decode-text';
import { type ColumnRole, columnRoles, guessColumns, missingInPlan } from '../../core/exchange/measure-rows';
import { dateOrders, guessDateOrder } from '../../core/calendar/read-date';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Select } from '../../ui/field/Field';
import { Checked } from './Checked';
import styles from './ImportMeasures.module.css';
import { Progress } from './Progress';
import { useImport } from './useImport';
import { kindOfTable, workbookToCsv } from './workbook';

interface Props {
  /** Whose the girths are; null: the table names them. */
  readonly client: { readonly id: number; readonly name: string } | null;
}

interface Table {
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
const headBytes = 200_000;
const delimiterWords: Readonly<Record<string, string>> = {
  ',': 'commas',
  ';': 'semicolons',
  '\t': 'tabs',
  '|': 'bars',
};

/** Girths as a table, in and out: columns matched, everything looked at before anything is stored. */
export function ImportMeasures({ client }: Props) {
  const [table, setTable] = useState<Table>();
  const [plan, setPlan] = useState<ImportPlan>();
  const [trouble, setTrouble] = useState<string>();
  const run = useImport();

  const choose = async (chosen: File | undefined) => {
    if (!chosen) return;
    run.forget();
    setTrouble(undefined);
    const file = await textFileOf(chosen);
    if (typeof file === 'string') {
      setTable(undefined);
      setPlan(undefined);
      setTrouble(file);
      return;
    }
    const bytes = new Uint8Array(await file.slice(0, headBytes).arrayBuffer());
    const parsed = Papa.parse<string[]>(decodeText(bytes), {
      preview: 40,
      skipEmptyLines: 'greedy',
      delimitersToGuess: [',', ';', '\t', '|'],
    });
    const [head = []] = parsed.data;
    const guess = guessColumns(head);
    const dates = parsed.data
      .slice(1)
      .map((row) => row[guess.columns.date ?? -1] ?? '')
      .filter(Boolean);
    setTable({ file, encoding: detectEncoding(bytes), delimiter: parsed.meta.delimiter, rows: parsed.data });
    setPlan({
      clientId: client?.id ?? null,
      delimiter: parsed.meta.delimiter,
      hasHead: true,
      columns: guess.columns,
      pointColumns:
        (guess.columns.girth ?? guess.columns.first) === undefined || guess.columns.point === undefined
          ? [...guess.pointColumns]
          : [],
      unit: guess.unit ?? 'cm',
      dateOrder: guessDateOrder(dates),
      limb: null,
      phase: 'before',
      swollen: 'larger',
    });
  };
  const missing = plan ? missingInPlan(plan, client !== null) : [];
  const isBusy = run.sent !== undefined || run.job?.state === 'reading' || run.job?.state === 'storing';
  return (
    <main id="main" className={styles['view']}>
      <div className={styles['top']}>
        <div>
          <h1>{importsWords.figuresInAndOut}</h1>
          <p>{client ? <a href={`/clients/${client.id}/progress`}>{client.name}</a> : importsWords.ofAllClients}</p>
        </div>
        {client && (
          <div className={styles['links']}>
            <ButtonLink href={`/api/clients/${client.id}/measures.csv`}>{importsWords.allGirthsAsCsvCm}</ButtonLink>
            <ButtonLink href={`/api/clients/${client.id}/measures.csv?unit=in`}>{importsWords.inInches}</ButtonLink>
          </div>
        )}
      </div>
      <section className={styles['step']} aria-label={importsWords.chooseTheTable}>
        <h2>{importsWords.bringInATable}</h2>
        <p className={styles['soft']}>{importsWords.anySpreadsheetSavedAsCsvA}</p>
        <label className={styles['file']}>
          {table ? importsWords.anotherTableThan(table.file.name) : importsWords.chooseATable}
          <input
            type="file"
            accept=".csv,.tsv,.txt,.xlsx,text/csv"
            className="visually-hidden"
            disabled={isBusy}
            onChange={(event) => void choose(event.target.files?.[0])}
          />
        </label>
        {trouble && (
          <p className={styles['trouble']} role="alert">
            {trouble}
          </p>
        )}
      </section>
      {table && plan && !run.job && (
        <section className={styles['step']} aria-label={importsWords.matchTheColumns}>
          <h2>{importsWords.whatTheColumnsHold}</h2>
          <p className={styles['soft']}>
            {importsWords.readAs}{' '}
            {table.encoding === 'windows-1252' ? importsWords.anOlderWesternEncoding : table.encoding.toUpperCase()}
            {importsWords.splitAt} {delimiterWords[table.delimiter] ?? `“${table.delimiter}”`}.
          </p>
          <Columns table={table} plan={plan} hasClient={client !== null} onPlan={setPlan} />
          {missing.length > 0 && <p className={styles['trouble']}>{importsWords.stillToSay(missing.join(', '))}</p>}
          <div className={styles['buttons']}>
            <Button
              look="filled"
              disabled={missing.length > 0 || isBusy}
              onClick={() => void run.check(table.file, plan)}
            >
              {importsWords.readAndCheckIt}
            </Button>
          </div>
        </section>
      )}
      {run.sent !== undefined && (
        <Progress words={importsWords.sendingTheTable} share={run.sent} onCancel={run.cancel} />
      )}
      {run.job && (
        <Checked
          job={run.job}
          client={client}
          onStore={(leaveOut) => void run.store(leaveOut)}
          onCancel={() => void run.cancel()}
          onBack={run.forget}
        />
      )}
      {run.trouble && (
        <p className={styles['trouble']} role="alert">
          {run.trouble}
        </p>
      )}
    </main>
  );
}

/** @returns the table as text, out of a workbook too, or what is wrong with the file */
async function textFileOf(file: File): Promise<File | string> {
  if (file.size === 0) return importsWords.thatFileIsEmptyChooseThe;
  const kind = kindOfTable(new Uint8Array(await file.slice(0, 8).arrayBuffer()));
  if (kind === 'text') return file;
  if (kind === 'older-workbook') return importsWords.thatIsAnOlderWorkbook(file.name);
  try {
    return new File([await workbookToCsv(file)], file.name, { type: 'text/csv' });
  } catch {
    return importsWords.thatWorkbookCannotBeRead(file.name);
  }
}

interface ColumnsProps {
  readonly table: Table;
  readonly plan: ImportPlan;
  readonly hasClient: boolean;
  readonly onPlan: (plan: ImportPlan) => void;
}

/** Each column with what it holds, over the first rows of the table. */
function Columns({ table, plan, hasClient, onPlan }: ColumnsProps) {
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
      </div>
    </>
  );
}
