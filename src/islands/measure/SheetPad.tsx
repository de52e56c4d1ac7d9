import { useEffect, useState } from 'react';
import { NumberPad } from '../../ui/number-pad/NumberPad';
import { measureWords } from './measure.words';

/** A number of a sheet that has the focus: what it is about, and what it was last time. */
interface InHand {
  readonly title: string;
  readonly last: string | undefined;
}

const inHand = (): InHand | undefined => {
  const field = document.activeElement;
  if (!(field instanceof HTMLInputElement) || field.dataset['number'] === undefined) return undefined;
  return {
    title: field.getAttribute('aria-label') ?? field.labels?.[0]?.textContent ?? '',
    last: field.dataset['last'],
  };
};

/** The house's own pad under a sheet of numbers, while one of them has the focus: the next one is a thumb away. */
export function SheetPad() {
  const [hand, setHand] = useState<InHand>();
  useEffect(() => {
    const look = () => setHand(inHand());
    // Where the focus goes is known a moment after it has left.
    const leave = () => setTimeout(look);
    document.addEventListener('focusin', look);
    document.addEventListener('focusout', leave);
    return () => {
      document.removeEventListener('focusin', look);
      document.removeEventListener('focusout', leave);
    };
  }, []);
  if (!hand) return null;
  const hint = hand.last === undefined ? measureWords.firstTime : measureWords.wasLastTime(hand.last);
  return <NumberPad title={hand.title} hint={hint} last={hand.last} />;
}
