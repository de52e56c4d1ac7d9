import { oilsWords } from './oils.words';
import { useEffect, useRef, useState } from 'react';
import type { DropScaleView } from '../../contracts/oil-views';
import { send } from '../api';

/** The scale, asked every two seconds while somebody mixes. */
export function useScale(isWatching: boolean) {
  const [view, setView] = useState<DropScaleView>({ isOn: false, grams: null, words: oilsWords.notAskedYet });
  const isGone = useRef(false);
  useEffect(() => {
    isGone.current = false;
    const ask = () =>
      send('GET /api/devices/drop-scale')
        .then((next) => !isGone.current && setView(next))
        .catch(() => setView({ isOn: false, grams: null, words: oilsWords.theScaleDoesNotAnswerCount }));
    if (!isWatching) return;
    void ask();
    const timer = setInterval(() => void ask(), 2000);
    return () => {
      isGone.current = true;
      clearInterval(timer);
    };
  }, [isWatching]);
  const drive = async (input: object) => {
    try {
      setView(await send('POST /api/devices/drop-scale', { body: input }));
    } catch {
      setView({ isOn: false, grams: null, words: oilsWords.theScaleDoesNotAnswerCount });
    }
  };
  return { view, drive };
}
