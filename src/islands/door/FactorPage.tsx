import { Door } from './Door';
import type { MeView } from '../../contracts/people-views';
import styles from './Door.module.css';
import { doorWords } from './door.words';
import { SecondFactor } from './SecondFactor';

/** Where the way leads while the house asks for a second factor and there is none yet. */
export function FactorPage({ me }: { readonly me: MeView }) {
  return (
    <main id="main" className={styles['cover']}>
      <div className={styles['door']}>
        <h1>{doorWords.secondFactor}</h1>
        <SecondFactor onDone={() => window.location.replace('/')} />
      </div>
      <Door me={me} />
    </main>
  );
}
