import { type FormEvent, useState } from 'react';
import type { ClientId } from '../../core/ids';
import { Button } from '../../ui/button/Button';
import { DateField } from '../../ui/date-field/DateField';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field, TextArea } from '../../ui/field/Field';
import { RequestError, send } from '../api';
import { clientsWords } from './clients.words';
import styles from './FindClients.module.css';

interface Props {
  /** What was searched for already. */
  readonly name?: string;
  readonly onClose: () => void;
  readonly onAdded: (client: { readonly id: ClientId; readonly name: string }) => void;
}

/** A client with the least that is needed; the rest is asked at the first visit. */
export function AddClient({ name = '', onClose, onAdded }: Props) {
  const [error, setError] = useState<RequestError>();
  const [isSaving, setIsSaving] = useState(false);
  const save = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const text = (name: string) => String(form.get(name) ?? '');
    setIsSaving(true);
    try {
      const { id } = await send('POST /api/clients', {
        body: {
          name: text('name'),
          bornOn: text('bornOn') || null,
          phone: text('phone'),
          email: text('email'),
          note: text('note'),
        },
      });
      onAdded({ id, name: text('name') });
    } catch (caught) {
      setIsSaving(false);
      if (caught instanceof RequestError) setError(caught);
    }
  };
  return (
    <Dialog title={clientsWords.addAClient} isOpen onClose={onClose}>
      <form onSubmit={(event) => void save(event)} className={styles['form']} noValidate>
        <Field
          label={clientsWords.name}
          name="name"
          defaultValue={name}
          autoFocus
          autoComplete="off"
          error={error?.fieldError('name')}
        />
        <DateField label={clientsWords.bornOn} name="bornOn" error={error?.fieldError('bornOn')} />
        <Field label={clientsWords.phone} name="phone" autoComplete="off" error={error?.fieldError('phone')} />
        <Field
          label={clientsWords.eMail}
          name="email"
          type="email"
          autoComplete="off"
          error={error?.fieldError('email')}
        />
        <TextArea label={clientsWords.goodToKnow} name="note" error={error?.fieldError('note')} />
        {error && !error.problem.errors && <p role="alert">{error.message}</p>}
        <div className={styles['buttons']}>
          <Button onClick={onClose}>{clientsWords.cancel}</Button>
          <Button look="filled" type="submit" disabled={isSaving}>
            {clientsWords.add}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
