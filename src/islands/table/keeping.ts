import type { SaveStatus } from '../saving/save-queue';
import { tableWords } from './table.words';
import type { Offline } from './useOffline';

/** How the presses stand. */
export type Keeping = Pick<SaveStatus<unknown>, 'kind' | 'open' | 'refused' | 'isOnDevice'>;

/** How safe the last presses are. */
export function keepingWords({ kind, open, refused }: Keeping): string {
  switch (kind) {
    case 'opening':
      return tableWords.opening;
    case 'saved':
      return tableWords.allKept;
    case 'saving':
      return tableWords.saving;
    case 'waiting':
      return tableWords.keptHereSentWhenTheHouse(open);
    case 'refused':
    case 'conflict': {
      const [first] = refused;
      return first?.problem.errors?.[0]?.message ?? first?.problem.title ?? tableWords.keptHereSentWhenTheHouse(open);
    }
  }
}

/** Whether the view itself can do without the network. */
export function offlineWords(offline: Offline): string {
  switch (offline) {
    case 'preparing':
      return '';
    case 'ready':
      return tableWords.readyWithoutTheNetwork;
    case 'no':
      return tableWords.needsTheNetworkToBeOpened;
  }
}
