import { closeWords } from './close.words';
import type { VisitId } from '../../core/ids';
import { english as words } from '../../catalogue/homecare/words.en';
import { type AftercareId, aftercareIds } from '../../core/visit/aftercare';
import { ButtonLink } from '../../ui/button/Button';
import type { Answers } from './answers';
import styles from './Aftercare.module.css';

interface Props {
  readonly visitId: VisitId;
  readonly proposed: readonly AftercareId[];
  readonly answers: Answers;
  readonly onAnswer: (change: Partial<Answers>) => void;
  readonly isFixed: boolean;
}

/** What is always said: nobody leaves without it. */
const always: readonly AftercareId[] = ['normal', 'not-normal', 'call'];

/** What the client should mind, proposed by what was done; lines can be taken out or put in. */
export function Aftercare({ visitId, proposed, answers, onAnswer, isFixed }: Props) {
  const chosen = answers.aftercare ?? proposed;
  const toggle = (id: AftercareId) => {
    const next = chosen.includes(id) ? chosen.filter((one) => one !== id) : [...chosen, id];
    onAnswer({ aftercare: aftercareIds.filter((one) => next.includes(one)) });
  };
  const line = (id: AftercareId) => (
    <label key={id}>
      <input
        type="checkbox"
        checked={chosen.includes(id)}
        disabled={isFixed || always.includes(id)}
        onChange={() => toggle(id)}
      />
      {words.aftercare[id]}
    </label>
  );
  const others = aftercareIds.filter((id) => !chosen.includes(id));
  return (
    <section className={styles['aftercare']} aria-label={closeWords.factAftercare}>
      <h2>{closeWords.factAftercare}</h2>
      {chosen.map(line)}
      {others.length > 0 && !isFixed && (
        <details>
          <summary>{closeWords.moreToSay}</summary>
          {others.map(line)}
        </details>
      )}
      <div className={styles['links']}>
        <ButtonLink href={`/api/visits/${visitId}/aftercare.pdf`} target="_blank">
          {closeWords.printIt}
        </ButtonLink>
        <ButtonLink href={`/visits/${visitId}/home`}>{closeWords.homeSheet}</ButtonLink>
      </div>
    </section>
  );
}
