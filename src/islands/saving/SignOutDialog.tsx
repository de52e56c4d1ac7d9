import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import styles from './SaveLine.module.css';
import { savingWords } from './saving.words';

/** Asks before answers that the house still lacks are wiped from a device. */
export function SignOutDialog({
  count,
  onStay,
  onLeave,
}: {
  readonly count: number;
  readonly onStay: () => void;
  readonly onLeave: () => void;
}) {
  return (
    <Dialog title={savingWords.notSent} isOpen onClose={onStay}>
      <p>{savingWords.leaveWith(count)}</p>
      <div className={styles['choice']}>
        <Button look="filled" onClick={onStay}>
          {savingWords.stay}
        </Button>
        <Button onClick={onLeave}>{savingWords.signOutAnyway}</Button>
      </div>
    </Dialog>
  );
}
