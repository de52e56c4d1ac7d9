import { useState } from 'react';
import { chapterOf } from '../../catalogue/guide/chapter-of';
import { Dialog } from '../dialog/Dialog';
import { Kbd } from '../kbd/Kbd';
import { keyboard, type Shortcut } from './keyboard';
import styles from './Shortcuts.module.css';
import { useShortcuts } from './use-shortcuts';
import { shortcutsWords } from './shortcuts.words';

/** `Ctrl+Z` as the two keys that are pressed together. */
const together = (key: string): readonly string[] => (key === '+' ? [key] : key.split('+'));

/** A small button, and `?`, that list the keys of what is shown. */
export function Shortcuts() {
  const [listed, setListed] = useState<readonly Shortcut[]>();
  const open = () => setListed(keyboard.listed());
  useShortcuts([{ keys: ['?'], act: open }]);
  return (
    <>
      <button type="button" className={styles['button']} aria-label={shortcutsWords.keysOfThisView} onClick={open}>
        <Kbd>?</Kbd>
      </button>
      <Dialog title={shortcutsWords.keysOfThisView2} isOpen={listed !== undefined} onClose={() => setListed(undefined)}>
        <dl className={styles['list']}>
          {listed?.map(({ keys, words }) => (
            <div key={words}>
              <dt>
                {keys.flatMap(together).map((key) => (
                  <Kbd key={key}>{key}</Kbd>
                ))}
              </dt>
              <dd>{words}</dd>
            </div>
          ))}
          <div>
            <dt>
              <Kbd>Esc</Kbd>
            </dt>
            <dd>{shortcutsWords.closeThisList}</dd>
          </div>
        </dl>
        {listed && <ToTheGuide />}
      </Dialog>
    </>
  );
}

/** Beside what is open, so that a treatment that runs goes on. */
function ToTheGuide() {
  return (
    <p className={styles['guide']}>
      <a href={`/guide#${chapterOf(window.location.pathname)}`} target="_blank" rel="noopener">
        {shortcutsWords.readInTheGuide}
      </a>
    </p>
  );
}
