import { useState } from 'react';
import type { HouseView } from '../../contracts/house-views';
import { Button } from '../../ui/button/Button';
import { TextArea } from '../../ui/field/Field';
import { RequestError, send } from '../api';
import styles from './House.module.css';

interface Props {
  readonly wording: HouseView['wording'];
  readonly say: (words: string, tone?: 'error') => void;
}

/** What clients consent to, in the house's own words. */
export function Wording({ wording, say }: Props) {
  const [version, setVersion] = useState(wording.version);
  const [text, setText] = useState(wording.paragraphs.join('\n\n'));
  const [saved, setSaved] = useState(text);
  const [error, setError] = useState<string>();
  const save = async () => {
    const paragraphs = text
      .split(/\n\s*\n/)
      .map((paragraph) => paragraph.trim())
      .filter(Boolean);
    try {
      const answer = await send('POST /api/wording', { body: { paragraphs, basedOn: version } });
      setVersion(answer.version);
      setSaved(text);
      setError(undefined);
      say(`Version ${answer.version}. Every client is asked to sign it at the next visit.`);
    } catch (caught) {
      if (caught instanceof RequestError) setError(caught.message);
    }
  };
  return (
    <>
      <div className={styles['heading']}>
        <h2>What clients consent to</h2>
        <span className={styles['quiet']}>
          version {version}
          {version === wording.version && wording.since ? `, since ${wording.since}` : ''}
        </span>
      </div>
      <p className={styles['quiet']}>
        Have a lawyer of your country read it. A change makes a new version: what was signed keeps its own words, and
        everybody is asked again.
      </p>
      <TextArea
        label="Wording, an empty line between paragraphs"
        value={text}
        onChange={(event) => setText(event.target.value)}
        rows={16}
        error={error}
        className={styles['wording'] ?? ''}
      />
      <div className={styles['buttons']}>
        <Button onClick={() => setText(saved)} disabled={text === saved}>
          Undo
        </Button>
        <Button look="filled" onClick={() => void save()} disabled={text === saved}>
          Save as version {version + 1}
        </Button>
      </div>
    </>
  );
}
