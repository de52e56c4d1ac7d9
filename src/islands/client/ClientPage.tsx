import { lazy, Suspense, useState } from 'react';
import { anatomy } from '../../catalogue/anatomy';
import type { ClientView, HistoryEntry, PlacedFinding } from '../../contracts/views';
import { dayInWords, findingInWords } from '../../core/visit/words';
import { capitalise } from '../../core/drainage/wording';
import { formatNumber, formatSigned } from '../../core/units';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import { bestDrawing } from '../../ui/body-map/views';
import { Button } from '../../ui/button/Button';
import { useToasts } from '../../ui/toast/useToasts';
import { send, sentenceOf } from '../api';
import { marksOf } from '../body-marks';
import { BookVisit } from './BookVisit';
import styles from './ClientPage.module.css';
import { PlaceFinding, usePlacing } from './PlaceFinding';

const ExcessChart = lazy(() => import('./ExcessChart'));

/** One client: what is located on the body, all visits, and how the swelling has changed. */
export function ClientPage({ view, today }: { readonly view: ClientView; readonly today: string }) {
  const { client, history, therapists } = view;
  const [findings, setFindings] = useState(view.findings);
  const [isBooking, setIsBooking] = useState(false);
  const { say, toasts } = useToasts();
  const placing = usePlacing(client.id, (finding) => {
    setFindings((all) => [...all, finding]);
    say(`Placed: ${findingInWords(anatomy, finding)}.`);
  });
  const marks = marksOf(placing.draft ? [...findings, placing.draft] : findings);
  const places = findings.flatMap((f) => [...(f.regions ?? []), ...(f.crosses ?? []).flat()]);

  const end = async (finding: PlacedFinding) => {
    try {
      await send('DELETE', `/api/clients/${client.id}/findings/${finding.key}`);
      setFindings((all) => all.filter((f) => f.key !== finding.key));
      say(`Ended: ${findingInWords(anatomy, finding)}. It stays in the history.`);
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };

  return (
    <div className={styles['view']}>
      <section className={styles['body']} aria-label="Body map">
        <BodyPanel
          label={`Body of ${client.name}`}
          initial={bestDrawing(places.length > 0 ? places : ['thigh-upper-outer.left'])}
          regions={marks.regions}
          nodes={marks.nodes}
          signs={marks.signs}
          onPick={placing.isOpen ? placing.pick : undefined}
          areNodesPickable={placing.kind === 'irradiated'}
          selected={placing.picked.at(-1)}
        />
      </section>
      <main id="main" className={styles['main']}>
        <div className={styles['title']}>
          <div>
            <h1>{client.name}</h1>
            <p>
              {[client.age === null ? '' : `${client.age} years`, client.phone].filter(Boolean).join(' · ')}
              {client.note && <> · {client.note}</>}
            </p>
          </div>
          <Button look="filled" onClick={() => setIsBooking(true)}>
            Book a visit
          </Button>
        </div>

        <div className={styles['heading']}>
          <h2>On the body</h2>
          {!placing.isOpen && (
            <Button look="link" onClick={placing.open}>
              Place a finding
            </Button>
          )}
        </div>
        {placing.isOpen && <PlaceFinding placing={placing} today={today} />}
        {findings.length === 0 && !placing.isOpen && (
          <p className={styles['quiet']}>
            Nothing is placed: all node groups count as open. Place removed nodes, scars, ports, wounds and treated skin
            before the first plan.
          </p>
        )}
        <ul className={styles['findings']}>
          {findings.map((finding) => (
            <li key={finding.key}>
              <div>
                <strong>{capitalise(findingInWords(anatomy, finding))}</strong>
                <span>
                  {finding.sinceOn ? `since ${dayInWords(finding.sinceOn)}` : 'date not known'}
                  {finding.note && ` · ${finding.note}`}
                </span>
              </div>
              <Button
                look="link"
                onClick={() => void end(finding)}
                aria-label={`No longer so: ${findingInWords(anatomy, finding)}`}
              >
                No longer so
              </Button>
            </li>
          ))}
        </ul>

        <div className={styles['heading']}>
          <h2>{titleOf(history)}</h2>
        </div>
        {history.filter((entry) => entry.excessMl !== null).length > 1 && (
          <Suspense fallback={<div className={styles['chart']} aria-busy="true" />}>
            <ExcessChart history={history} className={styles['chart'] ?? ''} />
          </Suspense>
        )}
        {history.length === 0 ? (
          <p className={styles['quiet']}>No visit yet. Book one, and it will stand here.</p>
        ) : (
          <ol className={styles['history']}>
            {history.map((entry) => (
              <Entry key={entry.visitId} entry={entry} />
            ))}
          </ol>
        )}
      </main>
      <BookVisit
        isOpen={isBooking}
        onClose={() => setIsBooking(false)}
        clientId={client.id}
        therapists={therapists}
        lastFocus={history[0]?.work ?? null}
        today={today}
      />
      {toasts}
    </div>
  );
}

function titleOf(history: readonly HistoryEntry[]): string {
  const measured = history.filter((entry) => entry.excessMl !== null);
  const [latest] = measured;
  const first = measured.at(-1);
  if (!latest || !first || latest === first || latest.excessMl === null || first.excessMl === null) return 'Visits';
  const change = latest.excessMl - first.excessMl;
  return `${formatNumber(latest.excessMl)} mL over the other side, ${formatNumber(Math.abs(change))} ${change < 0 ? 'less' : 'more'} than at the first visit`;
}

/** A score in words; nothing where it was not asked. */
function scoreWords(name: string, score: number | null | undefined, most: number): string {
  return score === null || score === undefined ? '' : `${name} ${score} of ${most}`;
}

function Entry({ entry }: { readonly entry: HistoryEntry }) {
  const open = entry.stage !== 'done' && entry.stage !== 'stopped';
  const href = open
    ? `/visits/${entry.visitId}/${entry.stage === 'prepare' ? 'plan' : entry.stage}`
    : `/visits/${entry.visitId}/close`;
  return (
    <li data-open={open ? true : undefined}>
      <div className={styles['when']}>
        <a href={href}>{entry.date}</a>
        <span>{entry.therapist}</span>
      </div>
      <div>
        <p>
          {entry.work}
          {entry.stage === 'stopped' && ' · stopped at the check'}
          {open && ' · not closed yet'}
        </p>
        <p className={styles['quiet']}>
          {[
            entry.steps === null ? '' : `${entry.steps} steps`,
            scoreWords('comfort', entry.closing?.comfort, 10),
            scoreWords('redness', entry.closing?.redness, 4),
            entry.closing?.note ? `“${entry.closing.note}”` : '',
          ]
            .filter(Boolean)
            .join(' · ')}
        </p>
      </div>
      <div className={styles['figure']}>
        {entry.excessMl !== null && (
          <>
            <strong>{formatNumber(entry.excessMl)} mL</strong>
            {entry.afterExcessMl !== null && (
              <span>{formatSigned(entry.afterExcessMl - entry.excessMl)} mL in the visit</span>
            )}
            {entry.change && (
              <span>
                {formatSigned(entry.change.ml)} mL since before: {entry.change.beyond ? 'beyond' : 'within'} measuring
                error ({formatNumber(entry.change.limitMl)} mL)
              </span>
            )}
          </>
        )}
      </div>
    </li>
  );
}
