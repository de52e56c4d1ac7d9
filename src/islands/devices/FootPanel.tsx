import { useEffect, useRef, useState } from 'react';
import { Button } from '../../ui/button/Button';
import styles from './Devices.module.css';
import { type FootPanel as Panel, type FootPress, openFootPanel } from './foot-switch';

const trembleMs = 80;
/** Somebody listens as long as they have asked so lately (ms). */
const listenedMs = 3000;

/** The simulated foot switch: works the table that is open in another window of this browser. */
export function FootPanel() {
  const panel = useRef<Panel>(undefined);
  const [isPlugged, setIsPlugged] = useState(true);
  const [isHeard, setIsHeard] = useState(false);
  const [said, setSaid] = useState('');
  useEffect(() => {
    let quiet: ReturnType<typeof setTimeout> | undefined;
    const opened = openFootPanel(() => {
      setIsHeard(true);
      clearTimeout(quiet);
      quiet = setTimeout(() => setIsHeard(false), listenedMs);
    });
    panel.current = opened;
    return () => {
      clearTimeout(quiet);
      opened.close();
    };
  }, []);
  const press = (which: FootPress, words: string) => {
    panel.current?.press(which);
    setSaid(isPlugged ? words : 'The cable is out: nothing was heard.');
  };
  const tremble = () => {
    press('next', 'Pressed twice within 80 ms: the table counts one.');
    setTimeout(() => panel.current?.press('next'), trembleMs);
  };
  const plug = () => {
    if (isPlugged) panel.current?.unplug();
    else panel.current?.plugIn();
    setIsPlugged(!isPlugged);
    setSaid(isPlugged ? 'The cable is out. The table notices within four seconds.' : 'It is plugged in again.');
  };
  return (
    <section className={styles['device']} aria-label="Foot switch">
      <h2>Foot switch</h2>
      <p className={styles['state']} role="status">
        {!isPlugged
          ? 'cable out'
          : isHeard
            ? 'a table listens'
            : 'no table listens: open one in another window of this browser'}
      </p>
      <p className={styles['soft']}>
        A real one is a keyboard to the browser and sends PageDown, Enter or Space, and PageUp to go back. This one
        stands in for it, with its faults.
      </p>
      <div className={styles['drive']}>
        <Button look="filled" onClick={() => press('next', 'Pressed: on.')}>
          On
        </Button>
        <Button onClick={() => press('back', 'Pressed: back.')}>Back</Button>
        <Button onClick={tremble}>A trembling foot</Button>
        <Button onClick={plug}>{isPlugged ? 'Pull the cable' : 'Plug it in'}</Button>
      </div>
      <p role="status">{said}</p>
    </section>
  );
}
