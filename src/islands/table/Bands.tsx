import { Kbd } from '../../ui/kbd/Kbd';
import styles from './TableView.module.css';
import type { EventStore } from './event-store';
import type { Role } from './useEvents';

interface Props {
  readonly role: Role;
  readonly storeKind: EventStore['kind'] | undefined;
  readonly onTakeOver: () => void;
  readonly trouble: string | undefined;
}

/** What stands above the treatment: that another device leads it, or that this one cannot keep anything. */
export function Bands({ role, storeKind, onTakeOver, trouble }: Props) {
  return (
    <>
      {role !== 'leads' && (
        <div className={styles['band']} role="status">
          <strong>{role === 'follows-device' ? 'Another device leads.' : 'Another window leads.'}</strong> This one
          follows and writes nothing.
          <button type="button" className={styles['key']} onClick={onTakeOver}>
            <Kbd>T</Kbd> take over here
          </button>
          {trouble}
        </div>
      )}
      {role === 'leads' && storeKind === 'memory' && (
        <div className={styles['band']} data-bad role="alert">
          <strong>This browser keeps nothing</strong> (its store is full or switched off). Leave this page open until
          all is kept in the house.
        </div>
      )}
    </>
  );
}
