import { useState } from 'react';
import type { ClientImportPlan, PastImport } from '../../contracts/client-imports';
import { dateOrders, guessDateOrder } from '../../core/calendar/read-date';
import { guessPeopleColumns, missingForPeople, type PersonRole, personRoles } from '../../core/exchange/people-rows';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { useToasts } from '../../ui/toast/useToasts';
import { download, sentenceOf } from '../api';
import { ColumnHeads } from '../imports/ColumnHeads';
import { cellsOf, readAsWords, readTableFile, type Table } from '../imports/choose-table';
import { FileChoice } from '../imports/FileChoice';
import { Progress } from '../imports/Progress';
import styles from '../imports/imports.module.css';
import { clientImportsWords } from './client-imports.words';
import { CheckedClients } from './CheckedClients';
import { EarlierImports } from './EarlierImports';
import { useClientImport } from './use-client-import';

const roleWords: Readonly<Record<PersonRole, string>> = {
  ...{
    name: clientImportsWords.name,
    given: clientImportsWords.given,
    family: clientImportsWords.family,
    born: clientImportsWords.born,
    phone: clientImportsWords.phone,
  },
  ...{
    email: clientImportsWords.email,
    address: clientImportsWords.address,
    street: clientImportsWords.street,
    postcode: clientImportsWords.postcode,
    town: clientImportsWords.town,
  },
  ...{
    country: clientImportsWords.country,
    emergencyContact: clientImportsWords.emergencyContact,
    language: clientImportsWords.language,
  },
  ...{ heightCm: clientImportsWords.heightCm, medicines: clientImportsWords.medicines, note: clientImportsWords.note },
};

interface Chosen {
  readonly file: File;
  /** null: cards, which say themselves what they hold. */
  readonly table: Table | null;
}

/** Clients as a table or as cards, in and out: columns matched, doubles found, everything looked at before it is stored. */
export function ImportClients({ past }: { readonly past: readonly PastImport[] }) {
  const [chosen, setChosen] = useState<Chosen>();
  const [plan, setPlan] = useState<ClientImportPlan>();
  const [trouble, setTrouble] = useState<string>();
  const run = useClientImport();
  const { say, toasts } = useToasts();

  const choose = async (file: File) => {
    run.forget();
    setTrouble(undefined);
    const isCards = /^\uFEFF?\s*BEGIN:VCARD/i.test(await file.slice(0, 200).text());
    const table = isCards ? null : await readTableFile(file);
    if (typeof table === 'string') {
      setChosen(undefined);
      setTrouble(table);
      return;
    }
    const columns = guessPeopleColumns(table?.rows[0] ?? []);
    setChosen({ file: table?.file ?? file, table });
    setPlan({
      ...{ file: file.name, delimiter: table?.delimiter ?? '', hasHead: true, columns },
      dateOrder: guessDateOrder(table ? cellsOf(table, columns.born) : []),
    });
  };
  const keep = (path: string, name: string) =>
    download(path, name).catch((error: unknown) => say(sentenceOf(error), 'error'));
  const missing = plan && chosen?.table ? missingForPeople(plan) : [];
  return (
    <main id="main" className={styles['view']}>
      <div className={styles['top']}>
        <div>
          <h1>{clientImportsWords.clientsInAndOut}</h1>
          <p className={styles['soft']}>
            <a href="/clients">{clientImportsWords.allClients}</a>
          </p>
        </div>
        <div className={styles['buttons']}>
          <Button onClick={() => void keep('/api/clients.csv', 'clients.csv')}>{clientImportsWords.asCsv}</Button>
          <Button onClick={() => void keep('/api/clients.vcf', 'clients.vcf')}>{clientImportsWords.asVCards}</Button>
        </div>
      </div>
      <section className={styles['step']} aria-label={clientImportsWords.chooseAFile}>
        <h2>{clientImportsWords.bringPeopleIn}</h2>
        <p className={styles['soft']}>{clientImportsWords.aTableOrCards}</p>
        <FileChoice
          words={chosen ? clientImportsWords.anotherFileThan(chosen.file.name) : clientImportsWords.chooseAFile}
          accept=".csv,.tsv,.txt,.xlsx,.vcf,text/csv,text/vcard"
          isDisabled={run.isBusy}
          trouble={trouble}
          onChoose={(file) => void choose(file)}
        />
      </section>
      {chosen && plan && !run.job && (
        <section className={styles['step']} aria-label={clientImportsWords.matchTheColumns}>
          {chosen.table ? (
            <Columns table={chosen.table} plan={plan} onPlan={setPlan} />
          ) : (
            <p className={styles['soft']}>{clientImportsWords.vCards}</p>
          )}
          {missing.length > 0 && (
            <p className={styles['trouble']}>{clientImportsWords.stillToSay(missing.join(', '))}</p>
          )}
          <Button
            look="filled"
            disabled={missing.length > 0 || run.isBusy}
            onClick={() => void run.check(chosen.file, plan)}
          >
            {clientImportsWords.readAndCheck}
          </Button>
        </section>
      )}
      {run.sent !== undefined && (
        <Progress words={clientImportsWords.sending} share={run.sent} onCancel={() => void run.cancel()} />
      )}
      {run.job && (
        <CheckedClients
          // What was decided belongs to this file only.
          key={run.job.id}
          job={run.job}
          onStore={(step) => run.job && void run.store(run.job.id, step)}
          onUndo={(key) => void run.undo(key)}
          onCancel={() => void run.cancel()}
          onBack={run.forget}
        />
      )}
      {run.trouble && (
        <p className={styles['trouble']} role="alert">
          {run.trouble}
        </p>
      )}
      <EarlierImports past={past} newest={run.job} isBusy={run.isBusy} onUndo={(key) => void run.undo(key)} />
      {toasts}
    </main>
  );
}

interface ColumnsProps {
  readonly table: Table;
  readonly plan: ClientImportPlan;
  readonly onPlan: (plan: ClientImportPlan) => void;
}

function Columns({ table, plan, onPlan }: ColumnsProps) {
  const setRole = (index: number, value: string) => {
    const others = Object.entries(plan.columns).filter(([, at]) => at !== index);
    onPlan({ ...plan, columns: Object.fromEntries(value === '' ? others : [...others, [value, index]]) });
  };
  return (
    <>
      <h2>{clientImportsWords.whatTheColumnsHold}</h2>
      <p className={styles['soft']}>{readAsWords(table)}</p>
      <ColumnHeads
        rows={table.rows}
        roleAt={(index) => personRoles.find((role) => plan.columns[role] === index) ?? ''}
        onRole={setRole}
        optionsFor={() => personRoles.map((role) => ({ value: role, text: roleWords[role] }))}
      />
      {plan.columns.born !== undefined && (
        <Choice
          label={clientImportsWords.datesAreWritten}
          options={dateOrders.map((value) => ({ value, text: value.replaceAll('-', ', ') }))}
          value={plan.dateOrder}
          onChange={(dateOrder) => onPlan({ ...plan, dateOrder })}
        />
      )}
    </>
  );
}
