import { clientWords } from './client.words';
import { useState } from 'react';
import type { ClientContactView } from '../../contracts/client-views';
import { useToasts } from '../../ui/toast/useToasts';
import { Booked } from './Booked';
import shared from './ClientPage.module.css';
import styles from './ContactPage.module.css';
import { EditClient } from './EditClient';

/** A client as the front desk sees them: how to reach them and when they come, nothing of what was found. */
export function ContactPage({ view, today }: { readonly view: ClientContactView; readonly today: string }) {
  const [data, setData] = useState(view.data);
  const [version, setVersion] = useState(view.version);
  const { say, toasts } = useToasts();
  return (
    <div className={styles['narrow']}>
      <main id="main" className={shared['main']}>
        <div className={shared['title']}>
          <div>
            <h1>{data.name}</h1>
            <p>
              {[view.client.age === null ? '' : clientWords.years(view.client.age), data.phone]
                .filter(Boolean)
                .join(' · ')}
            </p>
          </div>
        </div>
        {view.isNoteMissing && (
          <p className={styles['missing']} role="status">
            {clientWords.aClearanceNoteIsMissingPlease}
          </p>
        )}
        <Booked
          clientId={view.client.id}
          booked={view.booked}
          therapists={view.therapists}
          today={today}
          lastWork={view.lastWork}
          mayTreat={false}
          say={say}
        />
        <div className={shared['heading']}>
          <h2>{clientWords.contact}</h2>
        </div>
        <EditClient
          clientId={view.client.id}
          data={data}
          version={version}
          messagesSaidOn={view.messagesSaidOn}
          isContactOnly
          onSaved={(next, nextVersion) => {
            setData(next);
            setVersion(nextVersion);
          }}
        />
      </main>
      {toasts}
    </div>
  );
}
