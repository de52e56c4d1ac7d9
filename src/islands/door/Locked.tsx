import { doorWords } from './door.words';
import styles from './Door.module.css';
import { PinForm } from './PinForm';

/** The page that stands in for all others while the screen is locked. */
export function Locked({ name, then }: { readonly name: string; readonly then: string }) {
  return (
    <main id="main" className={styles['cover']}>
      <div className={styles['door']}>
        <h1>{doorWords.lockedFor(name)}</h1>
        <p>{doorWords.everythingIsAsYouLeftIt}</p>
        <PinForm
          label={doorWords.yourPin}
          button={doorWords.open}
          onOpen={() => window.location.replace(then)}
          onEnded={() => window.location.replace('/sign-in')}
        />
      </div>
    </main>
  );
}
