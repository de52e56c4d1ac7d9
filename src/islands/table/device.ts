import type { VisitId } from '../../core/ids';
/** What this browser calls itself towards the house; made up once. */
export function deviceId(): string {
  const name = 'velvet-stone-device';
  try {
    const known = localStorage.getItem(name);
    if (known) return known;
    const made = crypto.randomUUID();
    localStorage.setItem(name, made);
    return made;
  } catch {
    // A browser that keeps nothing is another device after each reload.
    return crypto.randomUUID();
  }
}

/**
 * Two windows of one browser are one device, yet only one of them may write: the one that holds the lock. It is held
 * until the page goes.
 * @param onLost the lock was taken by another window
 * @returns whether it was free; true where the browser knows no locks
 */
export async function holdTable(visitId: VisitId, isTaking: boolean, onLost: () => void): Promise<boolean> {
  // Not there outside secure contexts.
  if (!('locks' in navigator)) return true;
  return new Promise((resolve) => {
    const options = isTaking ? { steal: true } : { ifAvailable: true };
    navigator.locks
      .request(`velvet-stone-table-${visitId}`, options, (lock) => {
        resolve(lock !== null);
        return lock === null ? undefined : new Promise<void>(() => undefined);
      })
      .catch(onLost);
  });
}
