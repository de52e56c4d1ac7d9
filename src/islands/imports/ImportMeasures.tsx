import { importsWords } from './imports.words';
import Papa from 'papaparse';
import { useState } from 'react';
import type { ImportPlan } from '../../contracts/imports';
import { decodeText, detectEncoding } from '../../core/exchange/decode-text';
import { guessColumns, missingInPlan } from '../../core/exchange/measure-rows';
import { guessDateOrder } from '../../core/calendar/read-date';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Checked } from './Checked';
import { Columns, type Table } from './Columns';
import styles from './ImportMeasures.module.css';
import { Progress } from './Progress';
import { useImport } from './useImport';
import { kindOfTable, workbookToCsv } from './workbook';

interface Props {
  /** Whose the girths are; null: the table names them. */
  readonly client: { readonly id: number; readonly name: string } | null;
}

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
