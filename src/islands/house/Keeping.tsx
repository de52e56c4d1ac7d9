import { type FormEvent, useCallback, useEffect, useState } from 'react';
import type { BackupContents, KeepingView } from '../../contracts/keeping';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field } from '../../ui/field/Field';
import { RequestError, send, sentenceOf } from '../api';
import { Encryption } from './Encryption';
import { houseWords } from './house.words';
import styles from './Keeping.module.css';

interface Props {
  readonly say: (words: string, tone?: 'error') => void;
}

const lookEveryMs = 700;
const megabytes = (bytes: number) => (bytes / 1_000_000).toFixed(1);

/** Copies of the house: where they go, making one, and going back to one. */
export function Keeping({ say }: Props) {
  const [view, setView] = useState<KeepingView>();
  const [chosen, setChosen] = useState<string>();
  const [isUndoing, setIsUndoing] = useState(false);
  const reload = useCallback(
    () =>
      send('GET /api/keeping')
        .then(setView)
        .catch((error: unknown) => say(sentenceOf(error), 'error')),
    [say],
  );
  const isRunning = view?.running != null;
  useEffect(() => {
    void reload();
    if (!isRunning) return undefined;
    const timer = window.setInterval(() => void reload(), lookEveryMs);
    return () => window.clearInterval(timer);
  }, [isRunning, reload]);
  const act = async (doing: () => Promise<unknown>, words?: string) => {
    try {
      await doing();
      if (words) say(words);
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
    await reload();
  };
  if (!view) return <p role="status">{houseWords.looking}</p>;
  return (
    <section className={styles['keeping']} aria-labelledby="keeping-heading">
      <h2 id="keeping-heading">{houseWords.backups}</h2>
      <p className={styles['state']} data-tone={view.trouble || !view.lastGood ? 'warn' : 'good'}>
        {view.trouble || (view.lastGood ? houseWords.lastGoodOf(view.lastGood) : houseWords.noBackupYet)}
      </p>
      <Where key={`${view.folder} ${view.hasPassphrase}`} view={view} say={say} onSaved={() => void reload()} />
      <div className={styles['now']}>
        {view.running ? (
          <>
            <progress value={view.running.share} aria-label={houseWords.backupIsBeingMade} />
            <span role="status">
              {view.running.doing === 'copying' ? houseWords.copying : houseWords.packing}{' '}
              {Math.round(100 * view.running.share)} %
            </span>
            <Button onClick={() => void act(() => send('DELETE /api/keeping/backup'), houseWords.backupCancelled)}>
              {houseWords.cancelBackup}
            </Button>
          </>
        ) : (
          <Button
            look="filled"
            disabled={!view.hasPassphrase}
            onClick={() => void act(() => send('POST /api/keeping/backup'))}
          >
            {houseWords.backUpNow}
          </Button>
        )}
        {view.canUndo && <Button onClick={() => setIsUndoing(true)}>{houseWords.bringBackTheHouse}</Button>}
      </div>
      {view.backups.length === 0 ? (
        <p className={styles['quiet']}>{houseWords.noBackupInTheFolder}</p>
      ) : (
        <table className={styles['table']}>
          <thead>
            <tr>
              <th scope="col">{houseWords.made}</th>
              <th scope="col">{houseWords.size}</th>
              <th scope="col">
                <span className="visually-hidden">{houseWords.restore}</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {view.backups.map(({ name, made, bytes }) => (
              <tr key={name}>
                <th scope="row">{made}</th>
                <td>{houseWords.mb(megabytes(bytes))}</td>
                <td>
                  <Button look="link" aria-label={houseWords.restoreOf(made)} onClick={() => setChosen(name)}>
                    {houseWords.restore}
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <p className={styles['quiet']}>{houseWords.keptByRule}</p>
      <Encryption isEncrypted={view.isEncrypted} say={say} onChanged={() => void reload()} />
      {chosen && <Restore name={chosen} onClose={() => setChosen(undefined)} />}
      {isUndoing && (
        <Dialog title={houseWords.bringBackTheHouse} isOpen onClose={() => setIsUndoing(false)}>
          <p>{houseWords.theHouseKeptAsideComesBack}</p>
          <div className={styles['buttons']}>
            <Button onClick={() => setIsUndoing(false)}>{houseWords.leaveItAsItIs}</Button>
            <Button
              look="filled"
              onClick={() =>
                void act(async () => {
                  await send('POST /api/keeping/undo');
                  window.location.replace('/sign-in');
                })
              }
            >
              {houseWords.bringItBack}
            </Button>
          </div>
        </Dialog>
      )}
    </section>
  );
}

function Where({ view, say, onSaved }: Props & { readonly view: KeepingView; readonly onSaved: () => void }) {
  const [folder, setFolder] = useState(view.folder);
  const [passphrase, setPassphrase] = useState('');
  const [error, setError] = useState<RequestError>();
  const save = async (event: FormEvent) => {
    event.preventDefault();
    try {
      await send('PUT /api/keeping', { body: { folder, passphrase } });
      setError(undefined);
      say(houseWords.backupsGoThere);
      onSaved();
    } catch (caught) {
      if (caught instanceof RequestError) setError(caught);
      else say(sentenceOf(caught), 'error');
    }
  };
  return (
    <form className={styles['where']} onSubmit={(event) => void save(event)} noValidate>
      <Field
        label={houseWords.folderOfTheBackups}
        hint={houseWords.aDiskOfItsOwn}
        value={folder}
        onChange={(event) => setFolder(event.target.value)}
        error={error?.fieldError('folder')}
      />
      <Field
        label={houseWords.passphrase}
        hint={view.hasPassphrase ? houseWords.emptyStays : houseWords.writeItDown}
        type="password"
        autoComplete="new-password"
        value={passphrase}
        onChange={(event) => setPassphrase(event.target.value)}
        error={error?.fieldError('passphrase')}
      />
      <Button type="submit">{houseWords.saveWhere}</Button>
    </form>
  );
}

/** What is in a backup is shown before anything is done with it. */
function Restore({ name, onClose }: { readonly name: string; readonly onClose: () => void }) {
  const [passphrase, setPassphrase] = useState('');
  const [contents, setContents] = useState<BackupContents>();
  const [error, setError] = useState<RequestError>();
  const [isBusy, setIsBusy] = useState(false);
  const attempt = async (doing: () => Promise<void>) => {
    setIsBusy(true);
    setError(undefined);
    try {
      await doing();
    } catch (caught) {
      if (caught instanceof RequestError) setError(caught);
    }
    setIsBusy(false);
  };
  const body = { name, passphrase };
  const goOn = (event: FormEvent) => {
    event.preventDefault();
    void attempt(async () => {
      if (!contents) {
        setContents((await send('POST /api/keeping/look', { body })).contents);
        return;
      }
      await send('POST /api/keeping/restore', { body });
      window.location.replace('/sign-in');
    });
  };
  return (
    <Dialog title={houseWords.goBackToABackup} isOpen onClose={onClose}>
      <form className={styles['restore']} onSubmit={goOn} noValidate>
        {contents ? (
          <>
            <p>{houseWords.whatIsInIt(contents.house, contents.made)}</p>
            <ul className="marked-list">
              <li>{houseWords.clientsInIt(contents.clients)}</li>
              <li>{houseWords.visitsInIt(contents.visits)}</li>
              {contents.erased > 0 && <li>{houseWords.erasedSince(contents.erased)}</li>}
            </ul>
            <p>{houseWords.theHouseOfTodayIsKeptAside}</p>
          </>
        ) : (
          <>
            <p>{houseWords.itIsCheckedFirst}</p>
            <Field
              label={houseWords.passphraseOfThisBackup}
              hint={houseWords.emptyIsTheOneOfToday}
              type="password"
              autoComplete="off"
              value={passphrase}
              onChange={(event) => setPassphrase(event.target.value)}
              error={error?.fieldError('passphrase')}
            />
          </>
        )}
        <p role="status">{isBusy ? houseWords.looking : (error?.message ?? '')}</p>
        <div className={styles['buttons']}>
          <Button onClick={onClose}>{houseWords.leaveItAsItIs}</Button>
          <Button look="filled" type="submit" disabled={isBusy}>
            {contents ? houseWords.restoreThis : houseWords.seeWhatIsInIt}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
