import { useState } from 'react';
import type { ClientImportStep, ClientImportView } from '../../contracts/client-imports';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Progress } from '../imports/Progress';
import { TroubleTable } from '../imports/TroubleTable';
import { clientImportsWords } from './client-imports.words';
import { Doubles } from './Doubles';
import styles from '../imports/imports.module.css';
import { type Decision, outcomeOf } from './outcome';

interface Props {
  readonly job: ClientImportView;
  readonly onStore: (step: ClientImportStep) => void;
  readonly onUndo: (key: number) => void;
  readonly onCancel: () => void;
  readonly onBack: () => void;
}

const underWay: Readonly<Partial<Record<ClientImportView['state'], string>>> = {
  reading: clientImportsWords.reading,
  storing: clientImportsWords.adding,
  undoing: clientImportsWords.takingBack,
};

/** What was read, who is on record already, what is wrong row by row, and the decision. */
export function CheckedClients({ job, onStore, onUndo, onCancel, onBack }: Props) {
  const doing = underWay[job.state];
  if (doing) return <Progress words={doing} share={job.share} onCancel={onCancel} />;
  if (job.state === 'done')
    return (
      <section className={styles['step']} role="status">
        <h2>
          {clientImportsWords.added(job.added)}
          {job.completed > 0 && clientImportsWords.completedToo(job.completed)}
        </h2>
        <div className={styles['buttons']}>
          <ButtonLink href="/clients">{clientImportsWords.seeTheClients}</ButtonLink>
          {job.key !== null && <Button onClick={() => onUndo(job.key ?? 0)}>{clientImportsWords.takeItBack}</Button>}
        </div>
      </section>
    );
  if (job.state === 'undone')
    return (
      <section className={styles['step']} role="status">
        <h2>
          {clientImportsWords.removed(job.added)}
          {job.completed > 0 && clientImportsWords.asBeforeToo(job.completed)}
        </h2>
        {job.keptCount > 0 && (
          <p>
            {clientImportsWords.stayed(
              job.kept.join(', ') +
                (job.keptCount > job.kept.length ? clientImportsWords.andOthers(job.keptCount - job.kept.length) : ''),
            )}
          </p>
        )}
        <Button onClick={onBack}>{clientImportsWords.chooseAnother}</Button>
      </section>
    );
  if (job.state !== 'checked')
    return (
      <section className={styles['step']} role="alert">
        <h2>{job.message}</h2>
        <Button onClick={onBack}>{clientImportsWords.backToTheFile}</Button>
      </section>
    );
  return <Checked job={job} onStore={onStore} onBack={onBack} />;
}

function Checked({ job, onStore, onBack }: Pick<Props, 'job' | 'onStore' | 'onBack'>) {
  const [decision, setDecision] = useState<Decision>({ all: 'leave-out', apart: new Map() });
  const { added, completed } = outcomeOf(job, decision);
  const step: ClientImportStep = {
    leaveOutTroubled: true,
    doubles: decision.all,
    apart: [...decision.apart].map(([row, way]) => ({ row, way })),
  };
  return (
    <section className={styles['step']} aria-label={clientImportsWords.lookAtIt}>
      <h2>
        {clientImportsWords.readSoMany(job.rows, job.fresh)}
        {job.doubleCount > 0 && clientImportsWords.onRecordAlready(job.doubleCount)}
        {job.troubleCount > 0 && clientImportsWords.inTrouble(job.troubleCount)}
      </h2>
      {job.troubleCount > 0 && (
        <>
          <TroubleTable troubles={job.troubles} count={job.troubleCount} />
          <p className={styles['soft']}>{clientImportsWords.mendThem}</p>
        </>
      )}
      {job.doubleCount > 0 && <Doubles job={job} decision={decision} onDecision={setDecision} />}
      {job.sample.length > 0 && <Sample job={job} />}
      <div className={styles['buttons']}>
        <Button onClick={onBack}>{clientImportsWords.backToTheFile}</Button>
        {added + completed > 0 ? (
          <Button look="filled" onClick={() => onStore(step)}>
            {completed === 0
              ? clientImportsWords.addSoMany(added)
              : added === 0
                ? clientImportsWords.completeSoMany(completed)
                : clientImportsWords.doIt(added, completed)}
          </Button>
        ) : (
          <p className={styles['soft']}>{clientImportsWords.nothingToDo}</p>
        )}
        {job.troubleCount > 0 && added + completed > 0 && (
          <p className={styles['soft']}>{clientImportsWords.leavingOut(job.troubleCount)}</p>
        )}
      </div>
    </section>
  );
}

function Sample({ job }: Pick<Props, 'job'>) {
  return (
    <div className={styles['scroll']} tabIndex={0} role="group" aria-label={clientImportsWords.someOfTheNew}>
      <table>
        <caption>{clientImportsWords.someOfTheNew}</caption>
        <thead>
          <tr>
            <th scope="col">{clientImportsWords.name}</th>
            <th scope="col">{clientImportsWords.born}</th>
            <th scope="col">{clientImportsWords.phone}</th>
            <th scope="col">{clientImportsWords.email}</th>
            <th scope="col">{clientImportsWords.address}</th>
          </tr>
        </thead>
        <tbody>
          {job.sample.map((one, i) => (
            <tr key={i}>
              <th scope="row">{one.name}</th>
              <td>{one.bornOn ?? '–'}</td>
              <td>{one.phone || '–'}</td>
              <td>{one.email || '–'}</td>
              <td>{one.address || '–'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
