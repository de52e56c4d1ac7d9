import { libraryWords } from './library.words';
import { useState } from 'react';
import { list } from '../../core/drainage/wording';
import type { Gap } from '../../core/library/gaps';
import type { ImportedLibrary } from '../../contracts/library-views';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { asRead, RequestError, send, sentenceOf } from '../api';
import shared from './LibraryView.module.css';
import styles from './LibraryFiles.module.css';

interface Props {
  readonly onClose: () => void;
  readonly onChanged: (words: string) => Promise<void>;
  readonly say: (words: string, tone?: 'error') => void;
}

const gapWords: Readonly<Record<Gap, string>> = {
  why: libraryWords.gapWhy,
  never: libraryWords.gapNever,
  feel: libraryWords.gapFeel,
  words: libraryWords.gapWords,
  order: libraryWords.gapOrder,
};
const whatWords = { new: 'new', changed: libraryWords.changesOurs, same: libraryWords.asWeHaveIt } as const;
const mostFaults = 8;

/** Takes the library out as a file, and brings one in after showing what it would do. */
export function LibraryFiles({ onClose, onChanged, say }: Props) {
  const [file, setFile] = useState<{ readonly name: string; readonly content: unknown }>();
  const [preview, setPreview] = useState<ImportedLibrary>();
  const [faults, setFaults] = useState<readonly { readonly path: string; readonly message: string }[]>([]);
  const show = (error: unknown) => {
    if (error instanceof RequestError && error.problem.errors) setFaults(error.problem.errors);
    else setFaults([{ path: '', message: sentenceOf(error) }]);
  };
  const look = async (chosen: File | undefined) => {
    setPreview(undefined);
    setFaults([]);
    if (!chosen) return;
    let content: unknown;
    try {
      content = JSON.parse(await chosen.text());
    } catch {
      setFaults([{ path: '', message: libraryWords.isNoJsonFileOrWas(chosen.name) }]);
      return;
    }
    setFile({ name: chosen.name, content });
    try {
      setPreview(await send('POST /api/library', { body: asRead<'POST /api/library'>(content) }));
    } catch (error) {
      show(error);
    }
  };
  const keep = async () => {
    try {
      const done = await send('POST /api/library', {
        query: { keep: true },
        body: asRead<'POST /api/library'>(file?.content),
      });
      onClose();
      await onChanged(libraryWords.entriesBroughtIn(done.entries.filter(({ what }) => what !== 'same').length));
    } catch (error) {
      show(error);
      say(libraryWords.nothingWasBroughtIn, 'error');
    }
  };
  const coming = preview?.entries.filter(({ what }) => what !== 'same') ?? [];
  return (
    <Dialog title={libraryWords.libraryFiles} isOpen onClose={onClose}>
      <div className={styles['files']}>
        <p>
          {libraryWords.aFileInJsonItsShape} <a href="/api/library/schema">/api/library/schema</a>.
        </p>
        <div className={shared['buttons']}>
          <ButtonLink href="/api/library" download>
            {libraryWords.ourOwn}
          </ButtonLink>
          <ButtonLink href="/api/library?all" download>
            {libraryWords.theWholeLibrary}
          </ButtonLink>
        </div>
        <label className={styles['file']}>
          {libraryWords.bringInAFile}
          <input type="file" accept="application/json,.json" onChange={(event) => void look(event.target.files?.[0])} />
        </label>
        {faults.length > 0 && (
          <div role="alert" className={shared['alert']}>
            <p>{libraryWords.nothingWasBroughtIn2}</p>
            <ul className="marked-list">
              {faults.slice(0, mostFaults).map(({ path, message }) => (
                <li key={`${path} ${message}`}>
                  {path && <code>{path}</code>} {message}
                </li>
              ))}
            </ul>
            {faults.length > mostFaults && <p>{libraryWords.andMore(faults.length - mostFaults)}</p>}
          </div>
        )}
        {preview && (
          <>
            <p role="status">
              {coming.length === 0
                ? libraryWords.everythingInItIsHereAlready
                : libraryWords.ofEntriesWouldBeBroughtIn(coming.length, preview.entries.length)}
            </p>
            <ul className={styles['coming']}>
              {coming.map(({ of, id, name, what, gaps }) => (
                <li key={`${of} ${id}`}>
                  {name} <span>{`${of}, ${whatWords[what]}`}</span>
                  {gaps.length > 0 && <em>{libraryWords.stillToWrite(list(gaps.map((gap) => gapWords[gap])))}</em>}
                </li>
              ))}
            </ul>
            {coming.length > 0 && (
              <Button look="filled" onClick={() => void keep()}>
                {libraryWords.bringIn}
              </Button>
            )}
          </>
        )}
      </div>
    </Dialog>
  );
}
