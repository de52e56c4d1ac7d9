import { houseWords } from './house.words';
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
      say(houseWords.versionEveryClientIsAskedTo(answer.version));
    } catch (caught) {
      if (caught instanceof RequestError) setError(caught.message);
    }
  };
  return (
    <>
      <div className={styles['heading']}>
        <h2>{houseWords.whatClientsConsentTo}</h2>
        <span className={styles['quiet']}>
          {houseWords.version} {version}
          {version === wording.version && wording.since ? houseWords.since(wording.since) : ''}
        </span>
      </div>
      <p className={styles['quiet']}>{houseWords.haveALawyerOfYourCountry}</p>
      <div className={styles['languages']}>
        <Choice
          label={houseWords.languageOfTheWording}
          isLabelHidden
          options={languageIds.map((id) => ({ value: id, text: languageNames[id] }))}
          value={language}
          onChange={setLanguage}
        />
      </div>
      <TextArea
        label={houseWords.wordingInAnEmptyLineBetween(languageNames[language])}
        lang={language}
        value={texts[language]}
        onChange={(event) => setTexts({ ...texts, [language]: event.target.value })}
        rows={16}
        error={error}
        hint={language !== 'en' && texts[language] === '' ? houseWords.nothingHereClientsWhoReadThis : undefined}
        className={styles['wording'] ?? ''}
      />
      {isBehind && (
        <p role="status" className={styles['quiet']}>
          {houseWords.theEnglishWordingWasChangedAnd}
        </p>
      )}
      <div className={styles['buttons']}>
        <Button onClick={() => setTexts(saved)} disabled={!isChanged}>
          {houseWords.undo}
        </Button>
        <Button look="filled" onClick={() => void save()} disabled={!isChanged}>
          {houseWords.saveAsVersion(version + 1)}
        </Button>
      </div>
    </>
  );
}
