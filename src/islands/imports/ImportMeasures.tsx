import Papa from 'papaparse';
import { useState } from 'react';
import type { ImportPlan } from '../../contracts/imports';
import { decodeText, detectEncoding } from '../../core/exchange/decode-text';
import { type ColumnRole, columnRoles, guessColumns, missingInPlan } from '../../core/exchange/measure-rows';
import { dateOrders, guessDateOrder } from '../../core/exchange/read-date';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Select } from '../../ui/field/Field';
import { Checked } from './Checked';
import styles from './ImportMeasures.module.css';
import { Progress } from './Progress';
import { useImport } from './useImport';

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
  client: 'Client',
  born: 'Date of birth',
  date: 'Date',
  phase: 'Before or after',
  limb: 'Arm or leg',
  side: 'Left or right',
  point: 'Point',
  girth: 'Girth',
  unit: 'Unit of the row',
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

  const choose = async (file: File | undefined) => {
    if (!file) return;
    run.forget();
    setTrouble(undefined);
    if (file.size === 0) {
      setTable(undefined);
      setTrouble('That file is empty: choose the table that was saved as CSV.');
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
        guess.columns.girth === undefined || guess.columns.point === undefined ? [...guess.pointColumns] : [],
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
          <h1>Figures in and out</h1>
          <p>{client ? <a href={`/clients/${client.id}/progress`}>{client.name}</a> : 'of all clients'}</p>
        </div>
        {client && (
          <div className={styles['links']}>
            <ButtonLink href={`/api/clients/${client.id}/measures.csv`}>All girths as CSV, cm</ButtonLink>
            <ButtonLink href={`/api/clients/${client.id}/measures.csv?unit=in`}>in inches</ButtonLink>
          </div>
        )}
      </div>
      <section className={styles['step']} aria-label="Choose the table">
        <h2>Bring in a table</h2>
        <p className={styles['soft']}>
          Any spreadsheet saved as CSV: a row for each girth, or a row for each side with a column for each point.
          Nothing is stored before you have looked at it.
        </p>
        <label className={styles['file']}>
          {table ? `Another table than “${table.file.name}”` : 'Choose a table'}
          <input
            type="file"
            accept=".csv,.tsv,.txt,text/csv"
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
        <section className={styles['step']} aria-label="Match the columns">
          <h2>What the columns hold</h2>
          <p className={styles['soft']}>
            Read as {table.encoding === 'windows-1252' ? 'an older western encoding' : table.encoding.toUpperCase()},
            split at {delimiterWords[table.delimiter] ?? `“${table.delimiter}”`}.
          </p>
          <Columns table={table} plan={plan} hasClient={client !== null} onPlan={setPlan} />
          {missing.length > 0 && <p className={styles['trouble']}>Still to say: {missing.join(', ')}.</p>}
          <div className={styles['buttons']}>
            <Button
              look="filled"
              disabled={missing.length > 0 || isBusy}
              onClick={() => void run.check(table.file, plan)}
            >
              Read and check it
            </Button>
          </div>
        </section>
      )}
      {run.sent !== undefined && <Progress words="Sending the table" share={run.sent} onCancel={run.cancel} />}
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
    return point ? `point ${point.point}` : '';
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
      <div className={styles['scroll']} tabIndex={0} role="group" aria-label="First rows of the table">
        <table>
          <thead>
            <tr>
              {head.map((text, index) => (
                <th key={index} scope="col">
                  <Select
                    label={text || `column ${index + 1}`}
                    value={roleAt(index)}
                    onChange={(event) => setRole(index, event.target.value)}
                  >
                    <option value="">not used</option>
                    {columnRoles
                      .filter((role) => !hasClient || (role !== 'client' && role !== 'born'))
                      .map((role) => (
                        <option key={role} value={role}>
                          {roleWords[role]}
                        </option>
                      ))}
                    {numberIn(text) !== undefined && (
                      <option value={`point ${numberIn(text)}`}>Girth at {numberIn(text)}</option>
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
          label="Girths and points are in"
          options={[
            { value: 'cm', text: 'cm' },
            { value: 'in', text: 'inches' },
          ]}
          value={plan.unit}
          onChange={(unit) => onPlan({ ...plan, unit })}
        />
        <Choice
          label="Dates are written"
          options={dateOrders.map((value) => ({ value, text: value.replaceAll('-', ', ') }))}
          value={plan.dateOrder}
          onChange={(dateOrder) => onPlan({ ...plan, dateOrder })}
        />
        {plan.columns.limb === undefined && (
          <Choice
            label="All of them are"
            options={[
              { value: 'arm', text: 'arms' },
              { value: 'leg', text: 'legs' },
            ]}
            value={plan.limb}
            onChange={(limb) => onPlan({ ...plan, limb })}
          />
        )}
        <Choice
          label="Swollen side"
          options={[
            { value: 'larger', text: 'as on record, else the larger' },
            { value: 'left', text: 'left' },
            { value: 'right', text: 'right' },
          ]}
          value={plan.swollen}
          onChange={(swollen) => onPlan({ ...plan, swollen })}
        />
      </div>
    </>
  );
}
