import { tableWords } from './table.words';
import type { Keeping } from './useEvents';
import type { Offline } from './useOffline';

/** How safe the last presses are. */
export function keepingWords(keeping: Keeping): string {
  switch (keeping.kind) {
    case 'opening':
      return 'opening …';
    case 'kept':
      return tableWords.allKept;
    case 'sending':
      return tableWords.saving;
    case 'waiting':
      return tableWords.keptHereSentWhenTheHouse(keeping.count);
    case 'refused':
      return keeping.text;
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
