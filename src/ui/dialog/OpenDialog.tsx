import { Dialog as AriaDialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import type { DialogProps } from './dialog-props';
import styles from './Dialog.module.css';

/** The dialog itself, fetched when the first one opens. */
export function OpenDialog({ title, isOpen, onClose, size = 'usual', children }: DialogProps) {
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
