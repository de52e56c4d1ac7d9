import { clientWords } from './client.words';
import { lazy, Suspense, useState } from 'react';
import type { ClientView } from '../../contracts/client-views';
import type { PlacedFinding } from '../../contracts/people-views';
import { dayInWords } from '../../core/visit/words';
import { BodySheet } from '../../ui/body-sheet/BodySheet';
import { BodyPanel } from '../../ui/body-map/BodyPanel';
import { bestDrawing } from '../../ui/body-map/views';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { useToasts } from '../../ui/toast/useToasts';
import { send, sentenceOf } from '../api';
import { marksOf } from '../body-marks';
import type { Series } from '../booking/BookVisit';
import { Booked } from './Booked';
import { Care } from './Care';
import styles from './ClientPage.module.css';
import { usePlacing } from './usePlacing';
import { Visits } from './Visits';
import { volumesIn } from '../../core/volume-units';
import { capitalise } from '../../core/wording/capitalise';
import { unpacked } from '../../ui/frame/packed';

// Parts of the record that are opened one at a time.
const PlaceFinding = lazy(() => import('./PlaceFinding').then((found) => ({ default: found.PlaceFinding })));
const EditClient = lazy(() => import('./EditClient').then((found) => ({ default: found.EditClient })));
const Files = lazy(() => import('./Files').then((found) => ({ default: found.Files })));

type Part = 'record' | 'visits' | 'data' | 'files' | 'corrections';

const parts: readonly { readonly value: Part; readonly text: string }[] = [
  { value: 'record', text: clientWords.findings },
  { value: 'visits', text: clientWords.visits },
  { value: 'data', text: clientWords.contactAndLikes },
  { value: 'files', text: clientWords.filesAndConsent },
  { value: 'corrections', text: clientWords.corrections },
];

interface Props {
  readonly view: ClientView;
  readonly today: string;
  readonly isOwner: boolean;
  /** Opens the booking with this series. */
  readonly series?: Series | undefined;
}

/** One client: cautions that fit a glance, what is located on the body, all visits, and the record around them. */
export function ClientPage({ view, today, isOwner, series }: Props) {
  const { client, history } = view;
  const [findings, setFindings] = useState(view.findings);
  const [data, setData] = useState(view.data);
  const [version, setVersion] = useState(view.version);
  const [part, setPart] = useState<Part>('record');
  const { say, toasts } = useToasts();
  const placing = usePlacing(client.id, view.conditions, (finding, replaced) => {
    setFindings((all) => [...all.filter((f) => f.key !== replaced), finding]);
    say(`${replaced === null ? clientWords.placed : clientWords.corrected}: ${finding.words}.`);
  });
  const marks = marksOf(findings);
  const regions = new Map(marks.regions);
  for (const id of placing.isOpen ? placing.picked : []) regions.set(id, { tone: 'active', words: clientWords.picked });
  const places = findings.flatMap((f) => [...(f.regions ?? []), ...(f.crosses ?? []).flat()]);

  const end = async (finding: PlacedFinding) => {
    try {
      await send('DELETE /api/clients/{id}/findings/{key}', { params: { id: client.id, key: finding.key } });
      setFindings((all) => all.filter((f) => f.key !== finding.key));
      say(clientWords.endedItStaysInTheHistory(finding.words), 'note', () => void takeBack(finding));
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };
  const takeBack = async (finding: PlacedFinding) => {
    try {
      await send('POST /api/clients/{id}/findings/{key}/back', { params: { id: client.id, key: finding.key } });
      setFindings((all) => [...all, finding]);
      say(clientWords.holdsAgain(finding.words));
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };
  const likes = likesInWords(data.likes);

  return (
    <div className={styles['view']}>
      <BodySheet
        className={styles['body']}
        label={clientWords.bodyMap}
        isHidden
        isWanted={placing.isOpen && placing.how !== 'side' && placing.how !== 'none'}
      >
        <BodyPanel
          label={clientWords.bodyOf(client.name)}
          initial={bestDrawing(places.length > 0 ? places : ['thigh-upper-outer.left'])}
          regions={regions}
          nodes={marks.nodes}
          signs={marks.signs}
          onPick={placing.isOpen ? placing.pick : undefined}
          areNodesPickable={placing.kind === 'irradiated-skin'}
          selected={placing.picked.at(-1)}
        />
      </BodySheet>
      <main id="main" className={styles['main']}>
        <div className={styles['title']}>
          <div>
            <h1>{data.name}</h1>
            <p>
              {[client.age === null ? '' : clientWords.years(client.age), data.phone, data.email]
                .filter(Boolean)
                .join(' · ')}
              {data.note && <> · {data.note}</>}
            </p>
          </div>
          {view.isArchived && <strong className={styles['archived']}>{clientWords.inTheArchive}</strong>}
          <ButtonLink href={`/bench/oils?client=${client.id}`}>{clientWords.blend}</ButtonLink>
          <ButtonLink href={`/clients/${client.id}/progress`}>{clientWords.progress}</ButtonLink>
        </div>
        {view.mergedInto !== null && (
          <p role="status">
            {clientWords.thisRecordWasMergedInto} <a href={`/clients/${view.mergedInto}`}>{clientWords.anotherOne}</a>.
          </p>
        )}
        <ul className={styles['cautions']} aria-label={clientWords.cautions}>
          {view.cautions.map((caution) => (
            <li key={caution.words} data-kind={caution.kind}>
              {caution.words}
            </li>
          ))}
          {view.cautions.length === 0 && <li>{clientWords.noCautionsOnRecord}</li>}
          {[
            ...likes,
            ...view.preferences,
            ...view.patchTests.map(({ what, words }) => clientWords.patchTest(what, words)),
          ].map((like) => (
            <li key={like} data-kind="like">
              {like}
            </li>
          ))}
        </ul>
        <Choice label={clientWords.partOfTheRecord} isLabelHidden options={parts} value={part} onChange={setPart} />

        {part === 'record' && (
          <>
            <div className={styles['heading']}>
              <h2>{clientWords.onTheBody}</h2>
              {!placing.isOpen && (
                <Button look="link" onClick={() => placing.open()}>
                  {clientWords.placeAFinding}
                </Button>
              )}
            </div>
            {placing.isOpen && (
              <Suspense>
                <PlaceFinding placing={placing} conditions={view.conditions} />
              </Suspense>
            )}
            {findings.length === 0 && !placing.isOpen && (
              <p className={styles['quiet']}>{clientWords.nothingIsPlacedAllNodeGroups}</p>
            )}
            <ul className={styles['findings']}>
              {findings.map((finding) => (
                <li key={finding.key}>
                  <div>
                    <strong>{capitalise(finding.words)}</strong>
                    <span>
                      {finding.sinceOn ? clientWords.since(dayInWords(finding.sinceOn)) : clientWords.dateNotKnown}
                      {finding.isUnsure && clientWords.notSureYet}
                      {finding.source === 'client' && clientWords.toldOnTheTablet}
                      {finding.note && ` · ${finding.note}`}
                      {finding.clearance &&
                        clientWords.noteOf(
                          dayInWords(finding.clearance.date),
                          finding.clearance.isValid
                            ? clientWords.countsUntil(dayInWords(finding.clearance.until))
                            : clientWords.hasRunOut,
                        )}
                    </span>
                  </div>
                  <span className={styles['acts']}>
                    <Button
                      look="link"
                      onClick={() => placing.open(finding)}
                      aria-label={clientWords.correct2(finding.words)}
                    >
                      {clientWords.correct}
                    </Button>
                    <Button
                      look="link"
                      onClick={() => void end(finding)}
                      aria-label={clientWords.noLongerSo2(finding.words)}
                    >
                      {clientWords.noLongerSo}
                    </Button>
                  </span>
                </li>
              ))}
            </ul>
            <Booked
              clientId={client.id}
              booked={view.booked}
              therapists={view.therapists}
              today={today}
              lastWork={view.lastWork}
              mayTreat
              series={series}
              say={say}
            />
            <Care view={view} isOwner={isOwner} say={say} />
          </>
        )}
        {part === 'visits' && (
          <>
            <Visits history={history} volumes={volumesIn(view.volumeUnit)} />
            {view.ledger.length > 0 && (
              <>
                <div className={styles['heading']}>
                  <h2>{clientWords.howOften}</h2>
                </div>
                <table className={styles['compare']}>
                  <thead>
                    <tr>
                      <th scope="col">{clientWords.work}</th>
                      <th scope="col">{clientWords.inDays}</th>
                      <th scope="col">{clientWords.inDays2}</th>
                      <th scope="col">{clientWords.inAll}</th>
                      <th scope="col">{clientWords.atHome}</th>
                      <th scope="col">{clientWords.last}</th>
                      <th scope="col">{clientWords.atMost}</th>
                    </tr>
                  </thead>
                  <tbody>
                    {view.ledger.map((row) => (
                      <tr key={row.modality}>
                        <th scope="row">{row.label}</th>
                        <td>{row.inSevenDays}</td>
                        <td>{row.inThirtyDays}</td>
                        <td>{row.inAll}</td>
                        <td>{row.atHome === 0 ? '–' : row.atHome}</td>
                        <td>{row.last ?? '–'}</td>
                        <td>{row.mostPerWeek === null ? clientWords.noLimit : clientWords.aWeek(row.mostPerWeek)}</td>
                      </tr>
                    ))}
                  </tbody>
                </table>
              </>
            )}
          </>
        )}
        {part === 'data' && (
          <>
            <div className={styles['heading']}>
              <h2>{clientWords.contactAndLikes2}</h2>
            </div>
            <Suspense>
              <EditClient
                clientId={client.id}
                data={data}
                version={version}
                messagesSaidOn={view.messagesSaidOn}
                isContactOnly={false}
                onSaved={(next, nextVersion) => {
                  setData(next);
                  setVersion(nextVersion);
                }}
              />
            </Suspense>
          </>
        )}
        {part === 'files' && (
          <Suspense>
            <Files
              clientId={client.id}
              initial={view.files}
              consent={view.consent}
              say={say}
              onRemove={(id) => send('DELETE /api/clients/{id}/files/{key}', { params: { id: client.id, key: id } })}
            />
          </Suspense>
        )}
        {part === 'corrections' && <Corrections view={view} />}
      </main>
      {toasts}
    </div>
  );
}

function Corrections({ view }: { readonly view: ClientView }) {
  return (
    <>
      <div className={styles['heading']}>
        <h2>{clientWords.whatWasChanged}</h2>
      </div>
      {view.corrections.length === 0 ? (
        <p className={styles['quiet']}>{clientWords.nothingOnThisRecordWasCorrected}</p>
      ) : (
        <ol className={styles['history']}>
          {view.corrections.map((entry) => (
            <li key={`${entry.at} ${entry.what} ${entry.was}`}>
              <div className={styles['when']}>
                {entry.when}
                <span>{entry.by}</span>
              </div>
              <div>
                <p>{entry.what}</p>
                <p className={styles['quiet']}>{clientWords.was(entry.was || 'empty')}</p>
              </div>
              <div className={styles['figure']}>
                <span>{entry.why}</span>
              </div>
            </li>
          ))}
        </ol>
      )}
    </>
  );
}

/** Likes in a few words each; what was not asked is not said. */
function likesInWords(likes: ClientView['data']['likes']): readonly string[] {
  return [
    likes.pressure === '' || likes.pressure === 'usual' ? '' : clientWords.likesIt(likes.pressure),
    likes.warmth === '' || likes.warmth === 'usual' ? '' : clientWords.likesIt2(likes.warmth),
    likes.music === 'off' ? clientWords.musicOff : '',
    likes.scentsLiked && clientWords.likes(likes.scentsLiked),
    likes.scentsDisliked && clientWords.dislikes(likes.scentsDisliked),
    likes.sides,
    likes.other,
  ].filter(Boolean);
}

/** As the page shows it. */
export const ClientIsland = unpacked(ClientPage);
