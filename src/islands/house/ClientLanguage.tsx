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
      say(`Saved. Clients read ${languageNames[next]} unless their page says otherwise.`);
    } catch (failure) {
      setLanguage(language);
      say(sentenceOf(failure), 'error');
    }
  };
  return (
    <div className={styles['language']}>
      <Choice
        label="Language of clients"
        options={languageIds.map((id) => ({ value: id, text: languageNames[id] }))}
        value={language}
        onChange={(next) => void keep(next)}
      />
      <p className={styles['quiet']}>
        Questions on the tablet, consent, home sheets, aftercare, labels and reminders. A client’s page can say another
        one.
      </p>
    </div>
  );
}
