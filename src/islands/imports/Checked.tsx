import { importsWords } from './imports.words';
import type { ImportView } from '../../contracts/imports';
import { formatNumber } from '../../core/units';
import { Button, ButtonLink } from '../../ui/button/Button';
import styles from './imports.module.css';
import { Progress } from './Progress';
import { TroubleTable } from './TroubleTable';

interface Props {
  readonly job: ImportView;
  readonly client: { readonly id: number; readonly name: string } | null;
  readonly onStore: (leaveOut: boolean) => void;
  readonly onCancel: () => void;
  readonly onBack: () => void;
}

/** What was read, what is wrong with it row by row, and the decision to bring it in. */
export function Checked({ job, client, onStore, onCancel, onBack }: Props) {
  if (job.state === 'reading')
    return <Progress words={importsWords.readingAndChecking} share={job.share} onCancel={onCancel} />;
  if (job.state === 'storing')
    return <Progress words={importsWords.bringingItIn} share={job.share} onCancel={onCancel} />;
  if (job.state === 'done')
    return (
      <section className={styles['step']} role="status">
        <h2>{importsWords.areOnRecordNow(job.tapings, job.clients)}</h2>
        {client && (
          <ButtonLink href={`/clients/${client.id}/progress`}>{importsWords.seeTheProgressOf(client.name)}</ButtonLink>
        )}
      </section>
    );
  if (job.state === 'cancelled' || job.state === 'failed')
    return (
      <section className={styles['step']} role="alert">
        <h2>{job.message || importsWords.stoppedNothingWasBroughtIn}</h2>
        <Button onClick={onBack}>{importsWords.backToTheColumns}</Button>
      </section>
    );
  return (
    <section className={styles['step']} aria-label={importsWords.lookAtIt}>
      <h2>
        {importsWords.rowsRead(job.rows, job.tapings)}
        {job.troubleCount > 0 && importsWords.rowsInTrouble(job.troubleCount)}
      </h2>
      {job.troubleCount > 0 && <TroubleTable troubles={job.troubles} count={job.troubleCount} />}
      {job.sample.length > 0 && (
        <table>
          <caption>{importsWords.aFewOfTheTapings}</caption>
          <thead>
            <tr>
              <th scope="col">{importsWords.client2}</th>
              <th scope="col">{importsWords.date}</th>
              <th scope="col">{importsWords.swollenLimb}</th>
              <th scope="col">{importsWords.points}</th>
              <th scope="col">{importsWords.overTheOtherSide}</th>
            </tr>
          </thead>
          <tbody>
            {job.sample.map((one) => (
              <tr key={`${one.client} ${one.date} ${one.limb}`}>
                <td>{one.client}</td>
                <td>{one.date}</td>
                <td>{one.limb}</td>
                <td>{one.points}</td>
                <td>{one.excessMl === null ? '–' : `${formatNumber(one.excessMl)} mL`}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <div className={styles['buttons']}>
        <Button onClick={onBack}>{importsWords.backToTheColumns}</Button>
        {job.tapings > 0 && (
          <Button look="filled" onClick={() => onStore(true)}>
            {job.troubleCount > 0
              ? importsWords.leaveOutTheAndBringIn(formatNumber(job.troubleCount))
              : importsWords.bringInTapings(job.tapings)}
          </Button>
        )}
      </div>
      {job.troubleCount > 0 && <p className={styles['soft']}>{importsWords.orMendTheRowsInThe}</p>}
    </section>
  );
}
