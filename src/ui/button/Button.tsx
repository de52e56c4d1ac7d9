import type { ComponentPropsWithRef, ReactNode } from 'react';
import styles from './Button.module.css';

interface Props extends ComponentPropsWithRef<'button'> {
  /** One filled button a view; the rest are quiet. */
  readonly look?: 'filled' | 'quiet' | 'link' | 'mend';
  readonly children: ReactNode;
}

export function Button({ look = 'quiet', children, className, type = 'button', ...rest }: Props) {
  return (
    <button type={type} className={`${styles['button']} ${className ?? ''}`} data-look={look} {...rest}>
      {children}
    </button>
  );
}

interface LinkProps extends ComponentPropsWithRef<'a'> {
  readonly look?: 'filled' | 'quiet';
}

/** Goes somewhere, looks like a button. */
export function ButtonLink({ look = 'quiet', children, className, ...rest }: LinkProps) {
  return (
    <a className={`${styles['button']} ${className ?? ''}`} data-look={look} {...rest}>
      {children}
    </a>
  );
}
