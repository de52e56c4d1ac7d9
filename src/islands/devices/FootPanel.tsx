import { devicesWords } from './devices.words';
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
    setSaid(isPlugged ? words : devicesWords.theCableIsOutNothingWas);
  };
  const tremble = () => {
    press('next', devicesWords.pressedTwiceWithinMsTheTable);
    panel.current?.press('next', trembleMs);
  };
  const plug = () => {
    if (isPlugged) panel.current?.unplug();
    else panel.current?.plugIn();
    setIsPlugged(!isPlugged);
    setSaid(isPlugged ? devicesWords.theCableIsOutTheTable : devicesWords.itIsPluggedInAgain);
  };
  return (
    <section className={styles['device']} aria-label={devicesWords.footSwitch}>
      <h2>{devicesWords.footSwitch}</h2>
      <p className={styles['state']} role="status">
        {!isPlugged
          ? devicesWords.cableOut
          : isHeard
            ? devicesWords.aTableListens
            : devicesWords.noTableListensOpenOneIn}
      </p>
      <p className={styles['soft']}>{devicesWords.aRealOneIsAKeyboard}</p>
      <div className={styles['drive']}>
        <Button look="filled" onClick={() => press('next', devicesWords.pressedOn)}>
          {devicesWords.on2}
        </Button>
        <Button onClick={() => press('back', devicesWords.pressedBack)}>{devicesWords.back}</Button>
        <Button onClick={tremble}>{devicesWords.aTremblingFoot}</Button>
        <Button onClick={plug}>{isPlugged ? devicesWords.pullTheCable : devicesWords.plugItIn}</Button>
      </div>
      <p role="status">{said}</p>
    </section>
  );
}
