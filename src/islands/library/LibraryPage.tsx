import { useEffect, useState } from 'react';
import type { LibraryView as View } from '../../contracts/library-views';
import { Button } from '../../ui/button/Button';
import { send, sentenceOf } from '../api';
import { libraryWords } from './library.words';
import { LibraryView } from './LibraryView';
import styles from './LibraryPage.module.css';
import { unpacked } from '../../ui/frame/packed';

type State = View | 'fetching' | { readonly trouble: string };

/** The library comes after its page: six hundred kilobytes of techniques, which no page should have to carry. */
function LibraryPage({ opened }: { readonly opened: Parameters<typeof LibraryView>[0]['opened'] }) {
  const [state, setState] = useState<State>('fetching');
  const [turn, setTurn] = useState(0);
  useEffect(() => {
    let isHere = true;
    const come = (next: State) => isHere && setState(next);
    send('GET /api/library/view').then(come, (error: unknown) => come({ trouble: sentenceOf(error) }));
    return () => {
      isHere = false;
    };
  }, [turn]);
  if (state === 'fetching')
    return (
      <main id="main" className={styles['waiting']} aria-busy="true">
        <h1>{libraryWords.library}</h1>
        <p role="status">{libraryWords.theLibraryComes}</p>
      </main>
    );
  if ('trouble' in state)
    return (
      <main id="main" className={styles['waiting']}>
        <h1>{libraryWords.library}</h1>
        <p role="alert">{state.trouble}</p>
        <Button
          onClick={() => {
            setState('fetching');
            setTurn((before) => before + 1);
          }}
        >
          {libraryWords.fetchItAgain}
        </Button>
      </main>
    );
  return <LibraryView first={state} opened={opened} />;
}

/** As the page shows it. */
export const LibraryIsland = unpacked(LibraryPage);
