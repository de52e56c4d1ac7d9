import { type ComponentPropsWithRef, useId } from 'react';
import styles from './Field.module.css';

interface Shared {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly error?: string | undefined;
}

/** A labelled line of text; its error is said where it is. */
export function Field({ label, hint, error, className, ...rest }: Shared & ComponentPropsWithRef<'input'>) {
  const id = useId();
  return (
    <div className={`${styles['field']} ${className ?? ''}`}>
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        className={styles['input']}
        aria-invalid={error ? true : undefined}
        aria-describedby={error || hint ? `${id}-help` : undefined}
        {...rest}
      />
      <Help id={id} hint={hint} error={error} />
    </div>
  );
}

export function TextArea({ label, hint, error, className, ...rest }: Shared & ComponentPropsWithRef<'textarea'>) {
  const id = useId();
  return (
    <div className={`${styles['field']} ${className ?? ''}`}>
      <label htmlFor={id}>{label}</label>
      <textarea
        id={id}
        className={styles['input']}
        aria-invalid={error ? true : undefined}
        aria-describedby={error || hint ? `${id}-help` : undefined}
        {...rest}
      />
      <Help id={id} hint={hint} error={error} />
    </div>
  );
}

export function Select({ label, hint, error, className, children, ...rest }: Shared & ComponentPropsWithRef<'select'>) {
  const id = useId();
  return (
    <div className={`${styles['field']} ${className ?? ''}`}>
      <label htmlFor={id}>{label}</label>
      <select
        id={id}
        className={styles['input']}
        aria-invalid={error ? true : undefined}
        aria-describedby={error || hint ? `${id}-help` : undefined}
        {...rest}
      >
        {children}
      </select>
      <Help id={id} hint={hint} error={error} />
    </div>
  );
}

function Help({
  id,
  hint,
  error,
}: {
  readonly id: string;
  readonly hint?: string | undefined;
  readonly error?: string | undefined;
}) {
  if (!error && !hint) return null;
  return (
    <p
      id={`${id}-help`}
      className={styles['help']}
      data-error={error ? true : undefined}
      role={error ? 'alert' : undefined}
    >
      {error ?? hint}
    </p>
  );
}
