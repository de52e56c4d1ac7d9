import type { NoteId } from '../../core/oils/book';
import styles from './BottleShape.module.css';

/** A bottle, as full as it is, in the colour of its note; its notch tells the note where colours do not. */
export function BottleShape({ note, share }: { readonly note: NoteId; readonly share: number }) {
  const height = 19 * Math.min(1, Math.max(0, share));
  const notch = { top: 14, middle: 20, base: 26 }[note];
  return (
    <svg className={styles['bottle']} data-note={note} viewBox="0 0 20 36" width="20" height="36" aria-hidden="true">
      <rect x="7" y="1" width="6" height="5" rx="1.5" className={styles['cap']} />
      <path d="M7 7h6v3c3 1.4 4.6 3 4.6 6v14.6c0 2-1.3 3.4-3.2 3.4H5.6c-1.9 0-3.2-1.4-3.2-3.4V16c0-3 1.6-4.6 4.6-6z" />
      <rect x="3.6" y={32.6 - height} width="12.8" height={height} rx="2" className={styles['fill']} />
      <line x1="12" x2="17.6" y1={notch} y2={notch} />
    </svg>
  );
}

/** A drop. */
export function DropShape({ note }: { readonly note: NoteId }) {
  return (
    <svg className={styles['drop']} data-note={note} viewBox="0 0 10 14" width="11" height="15" aria-hidden="true">
      <path d="M5 0.6C6.8 4 9.4 6.3 9.4 9.2A4.4 4.4 0 0 1 5 13.5A4.4 4.4 0 0 1 0.6 9.2C0.6 6.3 3.2 4 5 0.6Z" />
    </svg>
  );
}
