import type { ReactNode } from 'react';
import { Dialog as AriaDialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import { useCover } from '../shortcuts/use-shortcuts';
import styles from './Dialog.module.css';

interface Props {
  readonly title: string;
  readonly isOpen: boolean;
  readonly onClose: () => void;
  /** `wide` where two columns are chosen from side by side. */
  readonly size?: 'usual' | 'wide';
  readonly children: ReactNode;
}

/** A dialog that keeps the focus inside, closes with Escape and gives the focus back. */
export function Dialog({ title, isOpen, onClose, size = 'usual', children }: Props) {
  useCover(isOpen);
  return (
    <ModalOverlay
      isOpen={isOpen}
      onOpenChange={(open) => !open && onClose()}
      isDismissable
      className={styles['overlay'] ?? ''}
    >
      <Modal className={styles['modal'] ?? ''} data-size={size}>
        <AriaDialog className={styles['dialog'] ?? ''}>
          <Heading slot="title" className={styles['title'] ?? ''}>
            {title}
          </Heading>
          {children}
        </AriaDialog>
      </Modal>
    </ModalOverlay>
  );
}
