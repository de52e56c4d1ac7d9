import { useSyncExternalStore } from 'react';

export type Light = 'daylight' | 'lamp';

const readLight = (): Light => (document.documentElement.dataset['theme'] === 'lamp' ? 'lamp' : 'daylight');

function watchLight(onChange: () => void): () => void {
  const observer = new MutationObserver(onChange);
  observer.observe(document.documentElement, { attributeFilter: ['data-theme'] });
  return () => observer.disconnect();
}

/** The light that the page is shown in, also when it is switched meanwhile; daylight where no page is. */
export const useLight = (): Light => useSyncExternalStore(watchLight, readLight, () => 'daylight');
