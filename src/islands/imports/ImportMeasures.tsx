import { importsWords } from './imports.words';
import { useState } from 'react';
import type { ImportPlan } from '../../contracts/imports';
import { guessColumns, missingInPlan } from '../../core/exchange/measure-rows';
import { guessDateOrder } from '../../core/calendar/read-date';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Checked } from './Checked';
import { cellsOf, readAsWords, readTableFile, type Table } from './choose-table';
import { Columns } from './Columns';
import styles from './imports.module.css';
import { FileChoice } from './FileChoice';
import { Progress } from './Progress';
import { useImport } from './useImport';

interface Props {
  /** Whose the girths are; null: the table names them. */
  readonly client: { readonly id: number; readonly name: string } | null;
}

/** Girths as a table, in and out: columns matched, everything looked at before anything is stored. */
export function ImportMeasures({ client }: Props) {
  const [table, setTable] = useState<Table>();
  const [plan, setPlan] = useState<ImportPlan>();
  const [trouble, setTrouble] = useState<string>();
  const run = useImport();

  const choose = async (chosen: File) => {
    run.forget();
    setTrouble(undefined);
    const chosenTable = await readTableFile(chosen);
    if (typeof chosenTable === 'string') {
      setTable(undefined);
      setPlan(undefined);
      setTrouble(chosenTable);
      return;
    }
    const [head = []] = chosenTable.rows;
    const guess = guessColumns(head);
    setTable(chosenTable);
    setPlan({
      clientId: client?.id ?? null,
      delimiter: chosenTable.delimiter,
      hasHead: true,
      columns: guess.columns,
      pointColumns:
        (guess.columns.girth ?? guess.columns.first) === undefined || guess.columns.point === undefined
          ? [...guess.pointColumns]
          : [],
      unit: guess.unit ?? 'cm',
      dateOrder: guessDateOrder(cellsOf(chosenTable, guess.columns.date)),
      limb: null,
      phase: 'before',
      swollen: 'larger',
    });
  };
  const missing = plan ? missingInPlan(plan, client !== null) : [];
  const { isBusy } = run;
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
        <FileChoice
          words={table ? importsWords.anotherTableThan(table.file.name) : importsWords.chooseATable}
          accept=".csv,.tsv,.txt,.xlsx,text/csv"
          isDisabled={isBusy}
          trouble={trouble}
          onChoose={(file) => void choose(file)}
        />
      </section>
      {table && plan && !run.job && (
        <section className={styles['step']} aria-label={importsWords.matchTheColumns}>
          <h2>{importsWords.whatTheColumnsHold}</h2>
          <p className={styles['soft']}>{readAsWords(table)}</p>
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
          onStore={(leaveOut) => run.job && void run.store(run.job.id, leaveOut)}
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
