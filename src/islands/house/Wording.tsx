import { useState } from 'react';
import type { HouseView } from '../../contracts/house-views';
import { languageIds, type LanguageId, languageNames } from '../../core/language';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { TextArea } from '../../ui/field/Field';
import { RequestError, send } from '../api';
import styles from './House.module.css';

interface Props {
  readonly wording: HouseView['wording'];
  readonly say: (words: string, tone?: 'error') => void;
}

type Texts = Readonly<Record<LanguageId, string>>;

const textsOf = ({ paragraphs, others }: HouseView['wording']): Texts => ({
  en: paragraphs.join('\n\n'),
  de: (others.de ?? []).join('\n\n'),
});

const paragraphsOf = (text: string): string[] =>
  text
    .split(/\n\s*\n/)
    .map((paragraph) => paragraph.trim())
    .filter(Boolean);

/** What clients consent to, in the house's own words, in each language that its clients read. */
export function Wording({ wording, say }: Props) {
  const [version, setVersion] = useState(wording.version);
  const [language, setLanguage] = useState<LanguageId>('en');
  const [texts, setTexts] = useState(textsOf(wording));
  const [saved, setSaved] = useState(texts);
  const [error, setError] = useState<string>();
  const isChanged = languageIds.some((id) => texts[id] !== saved[id]);
  const isBehind = texts.en !== saved.en && texts.de !== '' && texts.de === saved.de;
  const save = async () => {
    try {
      const other = paragraphsOf(texts.de);
      const answer = await send('POST /api/wording', {
        body: {
          paragraphs: paragraphsOf(texts.en),
          others: other.length > 0 ? { de: other } : {},
          basedOn: version,
        },
      });
      setVersion(answer.version);
      setSaved(texts);
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
      <Choice
        label="Language of the wording"
        isLabelHidden
        options={languageIds.map((id) => ({ value: id, text: languageNames[id] }))}
        value={language}
        onChange={setLanguage}
      />
      <TextArea
        label={`Wording in ${languageNames[language]}, an empty line between paragraphs`}
        lang={language}
        value={texts[language]}
        onChange={(event) => setTexts({ ...texts, [language]: event.target.value })}
        rows={16}
        error={error}
        hint={
          language !== 'en' && texts[language] === ''
            ? 'Nothing here: clients who read this language are shown the English wording.'
            : undefined
        }
        className={styles['wording'] ?? ''}
      />
      {isBehind && (
        <p role="status" className={styles['quiet']}>
          The English wording was changed and the German one was not: both have to say the same.
        </p>
      )}
      <div className={styles['buttons']}>
        <Button onClick={() => setTexts(saved)} disabled={!isChanged}>
          Undo
        </Button>
        <Button look="filled" onClick={() => void save()} disabled={!isChanged}>
          Save as version {version + 1}
        </Button>
      </div>
    </>
  );
}
