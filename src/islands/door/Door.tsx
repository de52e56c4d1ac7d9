import { doorWords } from './door.words';
import { Suspense, useEffect, useState } from 'react';
import type { MeView } from '../../contracts/people-views';
import { Dialog } from '../../ui/dialog/Dialog';
import { laterPart, useLater } from '../../ui/later';
import { useCover } from '../../ui/shortcuts/use-shortcuts';
import { openedEvent, provedEvent, proveEvent, send, type Shut, shutEvent } from '../api';
import styles from './Door.module.css';
import { PinForm } from './PinForm';

const { fetch: fetchDoor, Part: ShutDoor } = laterPart(() => import('./ShutDoor').then((module) => module.ShutDoor));

const idleMs = 10 * 60_000;

/**
 * Stands before a view when its person has to be let in again: after ten idle minutes, when asked for, or when the
 * session has run out. What was typed stays behind it, and what could not be sent is sent when it opens.
 */
export function Door({ me }: { readonly me: MeView }) {
  const [shut, setShut] = useState<Shut>();
  const [isProving, setIsProving] = useState(false);

  useEffect(() => {
    const onShut = (event: Event) => {
      event.preventDefault();
      setShut((event as CustomEvent<Shut>).detail);
    };
    const onProve = (event: Event) => {
      event.preventDefault();
      setIsProving(true);
    };
    window.addEventListener(shutEvent, onShut);
    window.addEventListener(proveEvent, onProve);
    return () => {
      window.removeEventListener(shutEvent, onShut);
      window.removeEventListener(proveEvent, onProve);
    };
  }, []);

  useEffect(() => {
    if (!me.hasPin || shut) return;
    let timer = 0;
    const lock = () => {
      setShut('locked');
      // Should the server not hear of it, the cover is there all the same.
      void send('POST /api/session/lock').catch(() => undefined);
    };
    const start = () => {
      window.clearTimeout(timer);
      timer = window.setTimeout(lock, idleMs);
    };
    const signs = ['pointerdown', 'keydown', 'wheel'] as const;
    for (const sign of signs) window.addEventListener(sign, start, { passive: true });
    start();
    return () => {
      window.clearTimeout(timer);
      for (const sign of signs) window.removeEventListener(sign, start);
    };
  }, [me.hasPin, shut]);

  useLater(fetchDoor);
  useCover(shut !== undefined);
  const open = () => {
    setShut(undefined);
    window.dispatchEvent(new Event(openedEvent));
  };
  const proved = (isProved: boolean) => {
    setIsProving(false);
    window.dispatchEvent(new CustomEvent(provedEvent, { detail: isProved }));
  };
  return (
    <>
      <Dialog title={doorWords.yourPinAgain} isOpen={isProving} onClose={() => proved(false)}>
        <p>{doorWords.thisCannotBeTakenBack}</p>
        <PinForm
          label={doorWords.yourPin}
          button={doorWords.goOn}
          isProof
          onOpen={() => proved(true)}
          onEnded={() => {
            proved(false);
            setShut('signed-out');
          }}
        />
      </Dialog>
      {shut && (
        <Suspense fallback={<div className={styles['cover']} />}>
          <ShutDoor me={me} shut={shut} onOpen={open} onEnded={() => setShut('signed-out')} />
        </Suspense>
      )}
    </>
  );
}
