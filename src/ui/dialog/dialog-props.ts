import type { ReactNode } from 'react';

export interface DialogProps {
  readonly title: string;
  readonly isOpen: boolean;
  readonly onClose: () => void;
  /** `wide` where two columns are chosen from side by side. */
  readonly size?: 'usual' | 'wide';
  readonly children: ReactNode;
}
