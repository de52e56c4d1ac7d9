import { useState } from 'react';
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

const whatWords = { new: 'new', changed: 'changes ours', same: 'as we have it' } as const;
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
      setFaults([{ path: '', message: `“${chosen.name}” is no JSON file, or was cut off.` }]);
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
      await onChanged(`${done.entries.filter(({ what }) => what !== 'same').length} entries brought in.`);
    } catch (error) {
      show(error);
      say('Nothing was brought in.', 'error');
    }
  };
  const coming = preview?.entries.filter(({ what }) => what !== 'same') ?? [];
  return (
    <Dialog title="Library files" isOpen onClose={onClose}>
      <div className={styles['files']}>
        <p>
          A file in JSON; its shape stands at <a href="/api/library/schema">/api/library/schema</a>.
        </p>
        <div className={shared['buttons']}>
          <ButtonLink href="/api/library" download>
            Our own
          </ButtonLink>
          <ButtonLink href="/api/library?all" download>
            The whole library
          </ButtonLink>
        </div>
        <label className={styles['file']}>
          Bring in a file
          <input type="file" accept="application/json,.json" onChange={(event) => void look(event.target.files?.[0])} />
        </label>
        {faults.length > 0 && (
          <div role="alert" className={shared['alert']}>
            <p>Nothing was brought in:</p>
            <ul>
              {faults.slice(0, mostFaults).map(({ path, message }) => (
                <li key={`${path} ${message}`}>
                  {path && <code>{path}</code>} {message}
                </li>
              ))}
            </ul>
            {faults.length > mostFaults && <p>and {faults.length - mostFaults} more.</p>}
          </div>
        )}
        {preview && (
          <>
            <p role="status">
              {coming.length === 0
                ? 'Everything in it is here already.'
                : `${coming.length} of ${preview.entries.length} entries would be brought in:`}
            </p>
            <ul className={styles['coming']}>
              {coming.map(({ of, id, name, what }) => (
                <li key={`${of} ${id}`}>
                  {name} <span>{`${of}, ${whatWords[what]}`}</span>
                </li>
              ))}
            </ul>
            {coming.length > 0 && (
              <Button look="filled" onClick={() => void keep()}>
                Bring in
              </Button>
            )}
          </>
        )}
      </div>
    </Dialog>
  );
}
