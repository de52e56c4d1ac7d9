import { clientsWords } from './clients.words';
import { type FormEvent, useRef, useState } from 'react';
import type { FoundClient } from '../../contracts/client-views';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field, TextArea } from '../../ui/field/Field';
import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import { RequestError, send } from '../api';
import styles from './FindClients.module.css';
import { useClientSearch } from './useClientSearch';
import { DateField } from '../../ui/date-field/DateField';

/** Clients, found as one types; and adding one. */
export function FindClients({
  initial,
  text = '',
}: {
  readonly initial: readonly FoundClient[];
  readonly text?: string;
}) {
  const [query, setQuery] = useState(text);
  const [isAdding, setIsAdding] = useState(false);
  const search = useRef<HTMLInputElement>(null);
  useShortcuts([{ keys: ['/'], act: () => search.current?.focus() }]);
  const { found, trouble } = useClientSearch(query, initial, text);

  return (
    <main id="main" className={styles['view']}>
      <div className={styles['top']}>
        <h1>{clientsWords.clients}</h1>
        <Button onClick={() => setIsAdding(true)}>{clientsWords.addAClient}</Button>
      </div>
      <Field
        ref={search}
        label={clientsWords.findByNamePhoneOrE}
        hint={clientsWords.aFewLettersWillDoAccents}
        type="search"
        value={query}
        onChange={(event) => setQuery(event.target.value)}
        maxLength={200}
        autoFocus
        error={trouble}
        className={styles['search'] ?? ''}
      />
      <p className={styles['count']} role="status">
        {found.length === 0
          ? clientsWords.noClientMatches(query)
          : `${found.length} ${found.length === 1 ? 'client' : 'clients'}`}
      </p>
      {found.length > 0 && (
        <table className={styles['table']}>
          <thead>
            <tr>
              <th scope="col">{clientsWords.name}</th>
              <th scope="col">{clientsWords.age}</th>
              <th scope="col">{clientsWords.phone}</th>
              <th scope="col">{clientsWords.eMail}</th>
              <th scope="col">{clientsWords.lastVisit}</th>
            </tr>
          </thead>
          <tbody>
            {found.map((client) => (
              <tr key={client.id}>
                <th scope="row">
                  <a href={`/clients/${client.id}`}>{client.name}</a>
                  {client.isArchived && <span className={styles['archived']}>{clientsWords.archived}</span>}
                </th>
                <td>{client.age ?? '–'}</td>
                <td>{client.phone || '–'}</td>
                <td className={styles['mail']}>{client.email || '–'}</td>
                <td>{client.lastVisit ?? clientsWords.noneYet}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      <AddClient isOpen={isAdding} onClose={() => setIsAdding(false)} />
    </main>
  );
}

function AddClient({ isOpen, onClose }: { readonly isOpen: boolean; readonly onClose: () => void }) {
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
      window.location.assign(`/clients/${id}`);
    } catch (caught) {
      setIsSaving(false);
      if (caught instanceof RequestError) setError(caught);
    }
  };
  return (
    <Dialog title={clientsWords.addAClient} isOpen={isOpen} onClose={onClose}>
      <form onSubmit={(event) => void save(event)} className={styles['form']} noValidate>
        <Field label={clientsWords.name} name="name" autoFocus autoComplete="off" error={error?.fieldError('name')} />
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
