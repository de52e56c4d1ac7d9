import { houseWords } from './house.words';
import { languageIds, type LanguageId, languageNames } from '../../core/language';
import { Choice } from '../../ui/choice/Choice';
import type { Say } from '../../ui/toast/useToasts';
import styles from './House.module.css';
import { useHouseFact } from './useHouseFact';

interface Props {
  readonly first: LanguageId;
  readonly say: Say;
}

/** In which language clients read: questions, consent, sheets, labels, reminders. A client's own choice goes first. */
export function ClientLanguage({ first, say }: Props) {
  const [language, change] = useHouseFact('language', first, say, (next) =>
    houseWords.savedClientsReadUnlessTheirPage(languageNames[next]),
  );
  return (
    <div className={styles['language']}>
      <Choice
        label={houseWords.languageOfClients}
        options={languageIds.map((id) => ({ value: id, text: languageNames[id] }))}
        value={language}
        onChange={change}
      />
      <p className={styles['quiet']}>{houseWords.questionsOnTheTabletConsentHome}</p>
    </div>
  );
}
