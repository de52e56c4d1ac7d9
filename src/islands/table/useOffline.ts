import type { VisitId } from '../../core/ids';
import { useEffect, useState } from 'react';
import { keepDialogReady } from '../../ui/dialog/Dialog';
import { figureUrls } from '../../ui/body-map/figure';

/** Whether the view can go on, and be opened again, without the network; `no` where the browser cannot keep it. */
export type Offline = 'preparing' | 'ready' | 'no';

const answerMs = 20_000;

/** Asks the worker that keeps the view to do something, and waits for its answer. */
async function ask(message: Readonly<Record<string, unknown>>): Promise<boolean> {
  const registration = await navigator.serviceWorker.ready;
  const { port1, port2 } = new MessageChannel();
  return new Promise((resolve) => {
    const timer = setTimeout(() => resolve(false), answerMs);
    port1.onmessage = ({ data }: MessageEvent<{ readonly isDone: boolean }>) => {
      clearTimeout(timer);
      resolve(data.isDone);
    };
    registration.active?.postMessage(message, [port2]);
  });
}

/** The files that this page has loaded, its scripts, styles, fonts and workers. */
const loadedFiles = (): readonly string[] => [
  ...new Set([
    ...performance
      .getEntriesByType('resource')
      .map(({ name }) => new URL(name))
      .filter(({ origin, pathname }) => origin === window.location.origin && pathname.startsWith('/_astro/'))
      .map(({ pathname }) => pathname),
    ...figureUrls.filter((url) => url.startsWith('/_astro/')),
  ]),
];

/** Keeps the table view on this device before it is begun. */
export function useOffline(visitId: VisitId, isFinished: boolean): Offline {
  const [offline, setOffline] = useState<Offline>('preparing');
  useEffect(() => {
    const path = `/visits/${visitId}/table`;
    let isHere = true;
    const prepare = async () => {
      if (!('serviceWorker' in navigator)) return false;
      await navigator.serviceWorker.register('/offline.js');
      // What opens only later has to be here, too.
      await Promise.all([keepDialogReady(), import('./ConductingDialog')]);
      return ask(isFinished ? { kind: 'forget', path } : { kind: 'keep', path, assets: loadedFiles() });
    };
    prepare().then(
      (isDone) => isHere && setOffline(isDone ? 'ready' : 'no'),
      () => isHere && setOffline('no'),
    );
    return () => {
      isHere = false;
    };
  }, [isFinished, visitId]);
  return offline;
}
