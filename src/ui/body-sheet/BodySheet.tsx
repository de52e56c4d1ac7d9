import { Expand, X } from 'lucide-react';
import { type ReactNode, useRef, useState } from 'react';
import styles from './BodySheet.module.css';
import { bodySheetWords } from './body-sheet.words';

interface Props {
  /** What the drawing is for, for those who do not see it. */
  readonly label: string;
  readonly className: string | undefined;
  /** On a phone the drawing is out of sight until it is called, instead of small beside what is decided. */
  readonly isHidden?: boolean;
  /** While a place is picked on the body, it stands open. */
  readonly isWanted?: boolean;
  readonly children: ReactNode;
}

/**
 * The body at the left of a view; on a phone a small picture, or a button, that opens it over the whole screen.
 */
export function BodySheet({ label, className, isHidden = false, isWanted = false, children }: Props) {
  const [isCalled, setIsCalled] = useState(false);
  const [wasWanted, setWasWanted] = useState(isWanted);
  // Called when it comes to be wanted; shut again by hand, or when it is not wanted any more.
  if (wasWanted !== isWanted) {
    setWasWanted(isWanted);
    setIsCalled(isWanted);
  }
  const button = useRef<HTMLButtonElement>(null);
  const close = () => {
    setIsCalled(false);
    button.current?.focus();
  };
  return (
    <section
      className={`${className ?? ''} ${styles['sheet']}`}
      aria-label={label}
      data-open={isCalled || undefined}
      data-hidden={isHidden || undefined}
      data-body
      onKeyDown={(event) => {
        if (event.key === 'Escape' && isCalled) close();
      }}
    >
      <button
        ref={button}
        type="button"
        className={styles['toggle']}
        aria-expanded={isCalled}
        onClick={() => setIsCalled(!isCalled)}
      >
        {isCalled ? <X size={20} aria-hidden="true" /> : <Expand size={18} aria-hidden="true" />}
        <span>{isCalled ? bodySheetWords.shut : bodySheetWords.open}</span>
      </button>
      <div className={styles['content']}>{children}</div>
    </section>
  );
}
