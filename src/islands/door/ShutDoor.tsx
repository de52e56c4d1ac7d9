import { Dialog as AriaDialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import type { MeView } from '../../contracts/people-views';
import type { Shut } from '../api';
import styles from './Door.module.css';
import { doorWords } from './door.words';
import { PinForm } from './PinForm';
import { SignInForm } from './SignInForm';

interface Props {
  readonly me: MeView;
  readonly shut: Shut;
  readonly onOpen: () => void;
  /** The session has run out meanwhile: the PIN alone does not open any more. */
  readonly onEnded: () => void;
}

/** The door before a view, with what opens it. */
export function ShutDoor({ me, shut, onOpen, onEnded }: Props) {
  return (
    <ModalOverlay className={styles['cover'] ?? ''} isOpen isKeyboardDismissDisabled>
      <Modal>
        <AriaDialog className={styles['door'] ?? ''}>
          <Heading slot="title" level={2}>
            {shut === 'locked' ? doorWords.lockedFor(me.name) : doorWords.signInAgain}
          </Heading>
          <p>{shut === 'locked' ? doorWords.everythingIsAsYouLeftIt : doorWords.youWereSignedOutWhatYou}</p>
          {shut === 'locked' ? (
            <PinForm label={doorWords.yourPin} button={doorWords.open} onOpen={onOpen} onEnded={onEnded} />
          ) : (
            <SignInForm people={me.people} onOpen={onOpen} />
          )}
        </AriaDialog>
      </Modal>
    </ModalOverlay>
  );
}
