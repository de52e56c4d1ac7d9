import { type ComponentPropsWithRef, type ReactNode, useId } from 'react';
import styles from './Field.module.css';

interface Shared {
  readonly label: string;
  readonly hint?: string | undefined;
  readonly error?: string | undefined;
}

/** What a control needs to belong to its label, hint and error. */
interface ControlProps {
  readonly id: string;
  readonly className: string | undefined;
  readonly 'aria-invalid': true | undefined;
  readonly 'aria-describedby': string | undefined;
}

/** A labelled line of text; its error is said where it is. */
export function Field({ label, hint, error, className, ...rest }: Shared & ComponentPropsWithRef<'input'>) {
  return (
    <Labelled label={label} hint={hint} error={error} className={className}>
      {(control) => <input {...control} {...rest} />}
    </Labelled>
  );
}

export function TextArea({ label, hint, error, className, ...rest }: Shared & ComponentPropsWithRef<'textarea'>) {
  return (
    <Labelled label={label} hint={hint} error={error} className={className}>
      {(control) => <textarea {...control} {...rest} />}
    </Labelled>
  );
}

export function Select({ label, hint, error, className, ...rest }: Shared & ComponentPropsWithRef<'select'>) {
  return (
    <Labelled label={label} hint={hint} error={error} className={className}>
      {(control) => <select {...control} {...rest} />}
    </Labelled>
  );
}

interface LabelledProps extends Shared {
  readonly className: string | undefined;
  readonly children: (control: ControlProps) => ReactNode;
}

function Labelled({ label, hint, error, className, children }: LabelledProps) {
  const id = useId();
  const help = error ?? hint;
  return (
    <div className={`${styles['field']} ${className ?? ''}`}>
      <label htmlFor={id}>{label}</label>
      {children({
        id,
        className: styles['input'],
        'aria-invalid': error ? true : undefined,
        'aria-describedby': help ? `${id}-help` : undefined,
      })}
      {help && (
        <p
          id={`${id}-help`}
          className={styles['help']}
          data-error={error ? true : undefined}
          role={error ? 'alert' : undefined}
        >
          {help}
        </p>
      )}
    </div>
  );
}
