import { useEffect, useState } from 'react';
import { Dialog } from '../dialog/Dialog';
import { Kbd } from '../kbd/Kbd';
import styles from './Shortcuts.module.css';

/** Keys as they are pressed together, and what they do. */
export type Shortcut = readonly [keys: readonly string[], words: string];

/** A small button, and `?`, that list the keys of a view. */
export function Shortcuts({ list }: { readonly list: readonly Shortcut[] }) {
  const [isOpen, setIsOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.key !== '?' || /^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName)) return;
      event.preventDefault();
      setIsOpen(true);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
  return (
    <>
      <button
        type="button"
        className={styles['button']}
        aria-label="? Keys of this view"
        onClick={() => setIsOpen(true)}
      >
        <Kbd>?</Kbd>
      </button>
      <Dialog title="Keys of this view" isOpen={isOpen} onClose={() => setIsOpen(false)}>
        <dl className={styles['list']}>
          {list.map(([keys, words]) => (
            <div key={words}>
              <dt>
                {keys.map((key) => (
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
            <dd>close this list</dd>
          </div>
        </dl>
      </Dialog>
    </>
  );
}
