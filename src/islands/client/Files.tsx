import { clientWords } from './client.words';
import type { ClientId } from '../../core/ids';
import { type ChangeEvent, useRef, useState } from 'react';
import type { ConsentView } from '../../contracts/ask-views';
import type { FileView } from '../../contracts/client-views';
import { Button } from '../../ui/button/Button';
import { sentenceOf } from '../api';
import { upload } from '../upload';
import shared from './ClientPage.module.css';
import styles from './Files.module.css';

interface Props {
  readonly clientId: ClientId;
  readonly initial: readonly FileView[];
  readonly consent: ConsentView | null;
  readonly say: (words: string, tone?: 'error') => void;
  readonly onRemove: (id: number) => Promise<unknown>;
}

const sizeWords = (bytes: number) =>
  bytes >= 1_000_000 ? `${(bytes / 1_000_000).toFixed(1)} MB` : `${Math.max(1, Math.round(bytes / 1000))} KB`;

/** Letters and pictures, and what was signed. */
export function Files({ clientId, initial, consent, say, onRemove }: Props) {
  const [files, setFiles] = useState(initial);
  const [progress, setProgress] = useState<number>();
  const abort = useRef<AbortController>(undefined);
  const add = async (event: ChangeEvent<HTMLInputElement>) => {
    const file = event.target.files?.[0];
    event.target.value = '';
    if (!file) return;
    abort.current = new AbortController();
    setProgress(0);
    try {
      const to = { params: { id: clientId }, query: { name: file.name } };
      const saved = await upload('POST /api/clients/{id}/files', to, file, setProgress, abort.current.signal);
      setFiles((all) => [saved.attachment, ...all]);
      say(clientWords.kept(saved.attachment.name));
    } catch (error) {
      if (!abort.current.signal.aborted) say(sentenceOf(error), 'error');
    } finally {
      setProgress(undefined);
    }
  };
  return (
    <>
      <div className={shared['heading']}>
        <h2>{clientWords.lettersAndPictures}</h2>
        <label className={styles['upload']}>
          {clientWords.addAFile}
          <input
            type="file"
            accept="image/jpeg,image/png,image/webp,application/pdf"
            onChange={(event) => void add(event)}
          />
        </label>
      </div>
      {progress !== undefined && (
        <p role="status">
          <progress value={progress} max={1} aria-label={clientWords.sendingTheFile} />{' '}
          <Button look="link" onClick={() => abort.current?.abort()}>
            {clientWords.stopSending}
          </Button>
        </p>
      )}
      {files.length === 0 ? (
        <p className={shared['quiet']}>{clientWords.nothingYetPicturesAndPdfUp}</p>
      ) : (
        <ul className={shared['findings']}>
          {files.map((file) => (
            <li key={file.id}>
              <div>
                <a href={`/api/clients/${clientId}/files/${file.id}`} target="_blank" rel="noreferrer">
                  {file.name}
                </a>
                <span>
                  {sizeWords(file.bytes)} · {file.addedAt.slice(0, 10)}
                </span>
              </div>
              <Button
                look="link"
                aria-label={clientWords.remove2(file.name)}
                onClick={() =>
                  void onRemove(file.id).then(() => setFiles((all) => all.filter((f) => f.id !== file.id)))
                }
              >
                {clientWords.remove}
              </Button>
            </li>
          ))}
        </ul>
      )}
      <div className={shared['heading']}>
        <h2>{clientWords.consent}</h2>
      </div>
      <p className={shared['quiet']}>
        {consent
          ? clientWords.signedByOnWordingAreasAgreed(
              consent.name,
              consent.signedAt.slice(0, 10),
              consent.wordingVersion,
              consent.areas.join(', ') || clientWords.noneOfTheSeparateOnes,
              consent.isDue ? clientWords.dueAgain : '',
            )
          : clientWords.notSignedYetItIsRead}
      </p>
    </>
  );
}
