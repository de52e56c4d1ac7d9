import { houseWords } from './house.words';
import { useState } from 'react';
import { languageIds, type LanguageId, languageNames } from '../../core/language';
import { Choice } from '../../ui/choice/Choice';
import { send, sentenceOf } from '../api';
import styles from './House.module.css';

interface Props {
  readonly first: LanguageId;
  readonly say: (words: string, tone?: 'error') => void;
}

/** In which language clients read: questions, consent, sheets, labels, reminders. A client's own choice goes first. */
export function ClientLanguage({ first, say }: Props) {
  const [language, setLanguage] = useState(first);
  const keep = async (next: LanguageId) => {
    setLanguage(next);
    try {
      await send('PUT /api/house', { body: { language: next } });
      say(houseWords.savedClientsReadUnlessTheirPage(languageNames[next]));
    } catch (failure) {
      setLanguage(language);
      say(sentenceOf(failure), 'error');
    }
  };
  return (
    <div className={styles['language']}>
      <Choice
        label={houseWords.languageOfClients}
        options={languageIds.map((id) => ({ value: id, text: languageNames[id] }))}
        value={language}
        onChange={(next) => void keep(next)}
      />
      <p className={styles['quiet']}>{houseWords.questionsOnTheTabletConsentHome}</p>
    </div>
  );
}
