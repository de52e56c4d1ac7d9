import { clientsWords } from './clients.words';
import { lazy, Suspense, useRef, useState } from 'react';
import type { FoundClient } from '../../contracts/client-views';
import { Button, ButtonLink } from '../../ui/button/Button';
import { Field } from '../../ui/field/Field';
import { useShortcuts } from '../../ui/shortcuts/use-shortcuts';
import styles from './FindClients.module.css';
import { useClientSearch } from './useClientSearch';

const AddClient = lazy(async () => ({ default: (await import('./AddClient')).AddClient }));

/** Clients, found as one types; and adding one. */
export function FindClients({
  initial,
  text = '',
  mayImport = false,
}: {
  readonly initial: readonly FoundClient[];
  readonly text?: string;
  /** Measures are not everybody’s to bring in. */
  readonly mayImport?: boolean;
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
        <div className={styles['ways']}>
          {mayImport && (
            <>
              <ButtonLink href="/measures">{clientsWords.importFigures}</ButtonLink>
              <ButtonLink href="/clients/import">{clientsWords.inAndOut}</ButtonLink>
            </>
          )}
          <Button onClick={() => setIsAdding(true)}>{clientsWords.addAClient}</Button>
        </div>
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
      {isAdding && (
        <Suspense>
          <AddClient
            onClose={() => setIsAdding(false)}
            onAdded={({ id }) => window.location.assign(`/clients/${id}`)}
          />
        </Suspense>
      )}
    </main>
  );
}
