/** Where the worker that keeps views for a time without the network has them. */
const cacheName = 'velvet-stone-table';

/** Nothing of any client stays on the device once somebody signs out; presses that the house still lacks do stay. */
export async function forgetKeptViews(): Promise<void> {
  if ('caches' in window) await caches.delete(cacheName).catch(() => undefined);
}
