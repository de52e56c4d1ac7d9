import type { ReactNode } from 'react';
import styles from './Frame.module.css';
import { HasPad } from './pad-context';
import { SheetPad } from './SheetPad';

interface Props {
  readonly bodyLabel: string;
  readonly body: ReactNode;
  readonly main: ReactNode;
  readonly asideLabel: string;
  readonly aside: ReactNode;
  readonly foot: ReactNode;
  /** Numbers are typed here: on a touch screen on the house's own pad. */
  readonly hasPad?: boolean;
  /** What stands in place of the body is worked with, and stays on a narrow screen. */
  readonly isBodyWorked?: boolean;
  /** The body takes most of the room, to be drawn on. */
  readonly isBodyLarge?: boolean;
}

/** The body at the left, what is entered in the middle, what it says at the right, keys at the foot. */
export function Frame({
  bodyLabel,
  body,
  main,
  asideLabel,
  aside,
  foot,
  hasPad = false,
  isBodyWorked = false,
  isBodyLarge = false,
}: Props) {
  return (
    <HasPad value={hasPad}>
      <div className={styles['view']} data-body={isBodyLarge ? 'large' : isBodyWorked ? 'worked' : undefined}>
        <section className={styles['body']} aria-label={bodyLabel}>
          {body}
        </section>
        <main id="main" className={styles['main']}>
          {main}
        </main>
        <aside className={styles['aside']} aria-label={asideLabel} tabIndex={0}>
          {aside}
        </aside>
      </div>
      <footer className={styles['foot']}>
        {hasPad && <SheetPad />}
        {foot}
      </footer>
    </HasPad>
  );
}
