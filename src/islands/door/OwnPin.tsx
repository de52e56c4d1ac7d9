import { doorWords } from './door.words';
import { type FormEvent, useState } from 'react';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field } from '../../ui/field/Field';
import { RequestError, send } from '../api';
import styles from './Door.module.css';

interface Props {
  /** In the demo house nobody has a password. */
  readonly asksPassword: boolean;
  readonly onClose: () => void;
  readonly onSet: () => void;
}

/** One's own PIN: it opens the locked screen, and takes a tablet back from a client. */
export function OwnPin({ asksPassword, onClose, onSet }: Props) {
  const [error, setError] = useState<RequestError>();
  const [isSet, setIsSet] = useState(false);
  const save = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    try {
      await send('POST /api/session/pin', {
        body: {
          password: String(form.get('password') ?? ''),
          pin: String(form.get('pin') ?? ''),
        },
      });
      setIsSet(true);
    } catch (caught) {
      if (caught instanceof RequestError) setError(caught);
    }
  };
  return (
    <Dialog title={doorWords.myPin} isOpen onClose={onClose}>
      {isSet ? (
        <div className={styles['ownPin']}>
          <p role="status">{doorWords.fromNowOnThisPinOpens}</p>
          <Button look="filled" onClick={onSet}>
            {doorWords.done}
          </Button>
        </div>
      ) : (
        <form className={styles['ownPin']} onSubmit={(event) => void save(event)} noValidate>
          <p>{doorWords.toDigitsThatYouCanType}</p>
          {asksPassword && (
            <Field
              label={doorWords.yourPassword}
              name="password"
              type="password"
              autoComplete="current-password"
              error={error?.fieldError('password')}
            />
          )}
          <Field
            label={doorWords.newPin}
            name="pin"
            type="password"
            inputMode="numeric"
            autoComplete="off"
            error={error?.fieldError('pin')}
          />
          {error && !error.problem.errors && <p role="alert">{error.message}</p>}
          <Button look="filled" type="submit">
            {doorWords.setThePin}
          </Button>
        </form>
      )}
    </Dialog>
  );
}
