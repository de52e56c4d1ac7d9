import type { Keeping } from './useEvents';
import type { Offline } from './useOffline';

/** How safe the last presses are. */
export function keepingWords(keeping: Keeping): string {
  switch (keeping.kind) {
    case 'opening':
      return 'opening …';
    case 'kept':
      return 'all kept';
    case 'sending':
      return 'keeping …';
    case 'waiting':
      return `${keeping.count} kept here, sent when the house answers`;
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
      return 'ready without the network';
    case 'no':
      return 'needs the network to be opened again';
  }
}
