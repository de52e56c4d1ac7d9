import { clientWords } from './client.words';
import { type FormEvent, useState } from 'react';
import type { ClientView } from '../../contracts/client-views';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field } from '../../ui/field/Field';
import type { Say } from '../../ui/toast/useToasts';
import { download, RequestError, send, sentenceOf } from '../api';
import shared from './ClientPage.module.css';
import styles from './Care.module.css';

interface Preview {
  readonly keep: { readonly id: number; readonly data: { readonly name: string }; readonly version: number };
  readonly drop: {
    readonly id: number;
    readonly data: { readonly name: string; readonly phone: string };
    readonly version: number;
    readonly counts: Readonly<Record<string, number>>;
  };
  readonly merged: Readonly<Record<string, unknown>>;
  readonly differing: readonly { readonly field: string; readonly kept: string; readonly dropped: string }[];
  readonly twice: readonly string[];
}

interface Props {
  readonly view: ClientView;
  readonly isOwner: boolean;
  readonly say: Say;
}

const countNames: Readonly<Record<string, string>> = {
  visit: 'visits',
  finding: 'findings',
  consent: 'consents',
  attachment: 'files',
  intake_answer: 'answers',
};

/** What is done with a record as a whole: one of two, put aside, handed out, erased. */
export function Care({ view, isOwner, say }: Props) {
  const { client } = view;
  const [isArchived, setIsArchived] = useState(view.isArchived);
  const [preview, setPreview] = useState<Preview>();
  const [isErasing, setIsErasing] = useState(false);

  const look = async (other: number) => {
    try {
      setPreview(await send('GET /api/clients/{id}/merge', { params: { id: client.id }, query: { with: other } }));
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };
  const handOut = async () => {
    try {
      await download(`/api/clients/${client.id}/export`, `client-${client.id}.json`);
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };
  const archive = async (isWanted: boolean) => {
    try {
      const params = { id: client.id };
      await (isWanted
        ? send('POST /api/clients/{id}/archive', { params })
        : send('DELETE /api/clients/{id}/archive', { params }));
      setIsArchived(isWanted);
      if (isWanted) say(clientWords.putIntoTheArchiveFoundLast, 'note', () => void archive(false));
      else say(clientWords.takenBackFromTheArchive);
    } catch (error) {
      say(sentenceOf(error), 'error');
    }
  };
  return (
    <>
      <div className={shared['heading']}>
        <h2>{clientWords.theRecordAsAWhole}</h2>
      </div>
      {view.duplicates.map((other) => (
        <p key={other.id} className={styles['twin']}>
          <span>
            <a href={`/clients/${other.id}`}>{other.name}</a> {clientWords.mayBeTheSamePerson} {other.why}.
          </span>
          <Button onClick={() => void look(other.id)}>{clientWords.seeWhatMergingWouldDo}</Button>
        </p>
      ))}
      <div className={shared['acts']}>
        <Button onClick={() => void archive(!isArchived)}>
          {isArchived ? clientWords.takeBackFromTheArchive : clientWords.putIntoTheArchive}
        </Button>
        <Button look="link" onClick={() => void handOut()}>
          {clientWords.handOutEverythingOnRecordJson}
        </Button>
        {isOwner && (
          <Button look="link" onClick={() => setIsErasing(true)}>
            {clientWords.eraseForGood}
          </Button>
        )}
      </div>
      {preview && <Merge preview={preview} onClose={() => setPreview(undefined)} />}
      {isErasing && <Erase id={client.id} name={client.name} onClose={() => setIsErasing(false)} />}
    </>
  );
}

function Merge({ preview, onClose }: { readonly preview: Preview; readonly onClose: () => void }) {
  const [trouble, setTrouble] = useState<string>();
  const { keep, drop, differing, twice } = preview;
  const moved = Object.entries(drop.counts)
    .filter(([key, count]) => count > 0 && countNames[key])
    .map(([key, count]) => `${count} ${countNames[key]}`);
  const merge = async () => {
    try {
      await send('POST /api/clients/{id}/merge', {
        params: { id: keep.id },
        body: {
          dropId: drop.id,
          keepVersion: keep.version,
          dropVersion: drop.version,
        },
      });
      window.location.assign(`/clients/${keep.id}`);
    } catch (error) {
      setTrouble(sentenceOf(error));
    }
  };
  return (
    <Dialog title={clientWords.makeOneRecordOfTwo} isOpen onClose={onClose}>
      <p>
        {keep.data.name} {clientWords.stays}{' '}
        {moved.length > 0 ? clientWords.moveOver(moved.join(', ')) : clientWords.theOtherOneHasNothingOf}
        {clientWords.whatIsMissingHereIsTaken}
      </p>
      {differing.length > 0 && (
        <table className={shared['compare']}>
          <thead>
            <tr>
              <th scope="col">{clientWords.differsIn}</th>
              <th scope="col">{clientWords.stays2}</th>
              <th scope="col">{clientWords.keptAsACorrection}</th>
            </tr>
          </thead>
          <tbody>
            {differing.map((row) => (
              <tr key={row.field}>
                <th scope="row">{row.field}</th>
                <td>{row.kept}</td>
                <td>{row.dropped}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {twice.length > 0 && <p>{clientWords.bothHaveBothStayEndThe(twice.join(', '))}</p>}
      {trouble && <p role="alert">{trouble}</p>}
      <div className={shared['buttons']}>
        <Button onClick={onClose}>{clientWords.cancel}</Button>
        <Button look="filled" onClick={() => void merge()}>
          {clientWords.merge}
        </Button>
      </div>
    </Dialog>
  );
}

function Erase({ id, name, onClose }: { readonly id: number; readonly name: string; readonly onClose: () => void }) {
  const [error, setError] = useState<RequestError>();
  const erase = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const typed = String(new FormData(event.currentTarget).get('name') ?? '');
    try {
      await send('DELETE /api/clients/{id}', { params: { id }, query: { name: typed } });
      window.location.assign('/clients');
    } catch (caught) {
      if (caught instanceof RequestError) setError(caught);
    }
  };
  return (
    <Dialog title={clientWords.eraseForGood2(name)} isOpen onClose={onClose}>
      <form className={styles['erase']} onSubmit={(event) => void erase(event)}>
        <p>{clientWords.findingsVisitsMeasurementsConsents}</p>
        <Field
          label={clientWords.typeTheNameToConfirm}
          name="name"
          autoComplete="off"
          error={error?.fieldError('name')}
        />
        {error && !error.problem.errors && <p role="alert">{error.message}</p>}
        <div className={shared['buttons']}>
          <Button onClick={onClose}>{clientWords.keepTheRecord}</Button>
          <Button look="filled" type="submit">
            {clientWords.erase}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
