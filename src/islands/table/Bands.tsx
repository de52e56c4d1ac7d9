import { tableWords } from './table.words';
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
          <strong>{role === 'follows-device' ? tableWords.anotherDeviceLeads : tableWords.anotherWindowLeads}</strong>{' '}
          {tableWords.thisOneFollowsAndWritesNothing}
          <button type="button" className={styles['key']} onClick={onTakeOver}>
            <Kbd>T</Kbd> {tableWords.takeOverHere}
          </button>
          {trouble}
        </div>
      )}
      {role === 'leads' && storeKind === 'memory' && (
        <div className={styles['band']} data-bad role="alert">
          <strong>{tableWords.thisBrowserKeepsNothing}</strong> {tableWords.itsStoreIsFullOrSwitched}
        </div>
      )}
    </>
  );
}
