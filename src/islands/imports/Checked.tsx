import type { ImportView } from '../../contracts/imports';
import { formatNumber } from '../../core/units';
import { Button, ButtonLink } from '../../ui/button/Button';
import styles from './ImportMeasures.module.css';
import { Progress } from './Progress';

interface Props {
  readonly job: ImportView;
  readonly client: { readonly id: number; readonly name: string } | null;
  readonly onStore: (leaveOut: boolean) => void;
  readonly onCancel: () => void;
  readonly onBack: () => void;
}

/** What was read, what is wrong with it row by row, and the decision to bring it in. */
export function Checked({ job, client, onStore, onCancel, onBack }: Props) {
  if (job.state === 'reading') return <Progress words="Reading and checking" share={job.share} onCancel={onCancel} />;
  if (job.state === 'storing') return <Progress words="Bringing it in" share={job.share} onCancel={onCancel} />;
  if (job.state === 'done')
    return (
      <section className={styles['step']} role="status">
        <h2>
          {formatNumber(job.tapings)} tapings of {formatNumber(job.clients)} {job.clients === 1 ? 'client' : 'clients'}{' '}
          are on record now.
        </h2>
        {client && <ButtonLink href={`/clients/${client.id}/progress`}>See the progress of {client.name}</ButtonLink>}
      </section>
    );
  if (job.state === 'cancelled' || job.state === 'failed')
    return (
      <section className={styles['step']} role="alert">
        <h2>{job.message || 'Stopped; nothing was brought in.'}</h2>
        <Button onClick={onBack}>Back to the columns</Button>
      </section>
    );
  return (
    <section className={styles['step']} aria-label="Look at it">
      <h2>
        {formatNumber(job.rows)} rows read: {formatNumber(job.tapings)} tapings
        {job.troubleCount > 0 && `, ${formatNumber(job.troubleCount)} rows in trouble`}
      </h2>
      {job.troubleCount > 0 && (
        <div className={styles['scroll']} tabIndex={0} role="group" aria-label="Rows in trouble">
          <table>
            <thead>
              <tr>
                <th scope="col">Row</th>
                <th scope="col">Column</th>
                <th scope="col">What is wrong</th>
              </tr>
            </thead>
            <tbody>
              {job.troubles.map((trouble) => (
                <tr key={`${trouble.row} ${trouble.column}`}>
                  <td>{trouble.row}</td>
                  <td>{trouble.column}</td>
                  <td>{trouble.message}</td>
                </tr>
              ))}
            </tbody>
          </table>
          {job.troubleCount > job.troubles.length && (
            <p className={styles['soft']}>and {formatNumber(job.troubleCount - job.troubles.length)} more</p>
          )}
        </div>
      )}
      {job.sample.length > 0 && (
        <table className={styles['sample']}>
          <caption>A few of the tapings</caption>
          <thead>
            <tr>
              <th scope="col">Client</th>
              <th scope="col">Date</th>
              <th scope="col">Swollen limb</th>
              <th scope="col">Points</th>
              <th scope="col">Over the other side</th>
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
        <Button onClick={onBack}>Back to the columns</Button>
        {job.tapings > 0 && (
          <Button look="filled" onClick={() => onStore(true)}>
            {job.troubleCount > 0
              ? `Leave out the ${formatNumber(job.troubleCount)} and bring in the rest`
              : `Bring in ${formatNumber(job.tapings)} tapings`}
          </Button>
        )}
      </div>
      {job.troubleCount > 0 && (
        <p className={styles['soft']}>
          Or mend the rows in the spreadsheet and choose it again: nothing has been stored. A girth that is left out
          counts as not measured.
        </p>
      )}
    </section>
  );
}
