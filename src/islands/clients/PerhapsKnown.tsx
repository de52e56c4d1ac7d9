import type { Double } from '../../contracts/client-views';
import type { ClientId } from '../../core/ids';
import { dateInWords } from '../../core/language';
import { Button } from '../../ui/button/Button';
import { clientsWords } from './clients.words';
import styles from './FindClients.module.css';

interface Props {
  readonly doubles: readonly Double[];
  readonly onTake: (client: { readonly id: ClientId; readonly name: string }) => void;
}

/** Who may be the person that is being typed, before they are on record twice. */
export function PerhapsKnown({ doubles, onTake }: Props) {
  return (
    <div role="status" className={styles['known']}>
      {doubles.length > 0 && (
        <>
          <strong>{clientsWords.perhapsOnRecordAlready}</strong>
          <ul>
            {doubles.map(({ id, name, bornOn, why }) => (
              <li key={id} className={styles['who']}>
                <span>{clientsWords.whoAndWhy(name, bornOn ? dateInWords('en', bornOn) : '', why)}</span>
                <Button onClick={() => onTake({ id, name })}>{clientsWords.take(name)}</Button>
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}
