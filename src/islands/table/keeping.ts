import type { Keeping } from './useTable';

/** How safe the last presses are. */
export function keepingWords(keeping: Keeping): string {
  switch (keeping.kind) {
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
