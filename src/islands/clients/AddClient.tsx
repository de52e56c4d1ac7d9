import { useWatch } from 'react-hook-form';
import type { ClientId } from '../../core/ids';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field, TextArea } from '../../ui/field/Field';
import { send } from '../api';
import { FormDate } from '../forms/FormDate';
import { useHouseForm } from '../forms/use-house-form';
import { clientsWords } from './clients.words';
import styles from './FindClients.module.css';
import { PerhapsKnown } from './PerhapsKnown';
import { useDoubles } from './use-doubles';

interface Props {
  /** What was searched for already. */
  readonly name?: string;
  readonly onClose: () => void;
  readonly onAdded: (client: { readonly id: ClientId; readonly name: string }) => void;
}

/** A client with the least that is needed; the rest is asked at the first visit. */
export function AddClient({ name = '', onClose, onAdded }: Props) {
  const form = useHouseForm({
    first: { name, bornOn: '', phone: '', email: '', note: '' },
    onSend: async ({ bornOn, ...said }) => {
      const { id } = await send('POST /api/clients', { body: { ...said, bornOn: bornOn || null } });
      onAdded({ id, name: said.name });
    },
  });
  const { field } = form;
  const [typed, bornOn, phone, email] = useWatch({
    control: form.control,
    name: ['name', 'bornOn', 'phone', 'email'],
  });
  const doubles = useDoubles({ name: typed, bornOn, phone, email });
  return (
    <Dialog title={clientsWords.addAClient} isOpen onClose={onClose}>
      <form onSubmit={form.submit} className={styles['form']} noValidate>
        <Field label={clientsWords.name} autoFocus autoComplete="off" {...field('name')} />
        <FormDate label={clientsWords.bornOn} form={form} name="bornOn" />
        <Field label={clientsWords.phone} autoComplete="off" {...field('phone')} />
        <Field label={clientsWords.eMail} type="email" autoComplete="off" {...field('email')} />
        <TextArea label={clientsWords.goodToKnow} {...field('note')} />
        <PerhapsKnown doubles={doubles} onTake={onAdded} />
        {form.trouble && <p role="alert">{form.trouble}</p>}
        <div className={styles['buttons']}>
          <Button onClick={onClose}>{clientsWords.cancel}</Button>
          <Button look="filled" type="submit" disabled={form.formState.isSubmitting}>
            {clientsWords.add}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
