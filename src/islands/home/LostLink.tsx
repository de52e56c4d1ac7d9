import { homeWordsOf } from '../../catalogue/homecare/homecare';
import styles from './HomeFollow.module.css';

/** A link that has run out and one that was guessed look alike. */
export function LostLink({ language }: { readonly language: string }) {
  const { page } = homeWordsOf(language);
  return (
    <main id="main" className={styles['view']}>
      <h1>{page.lostTitle}</h1>
      <p>{page.lost}</p>
    </main>
  );
}
