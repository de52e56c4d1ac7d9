import { useEffect, useState } from 'react';
import type { Double } from '../../contracts/client-views';
import { send } from '../api';

interface Typed {
  readonly name: string;
  readonly bornOn: string;
  readonly phone: string;
  readonly email: string;
}

/** So long after the last letter (ms): a name is not asked for letter by letter. */
const restMs = 250;
const isDay = (text: string) => /^\d{4}-\d\d-\d\d$/.test(text);
const longest = 120;
const none: readonly Double[] = [];

/** Something to look for, and not so long that it is nothing of the kind. */
const isWorthAsking = (texts: readonly string[]) =>
  texts.some((text) => text.trim() !== '') && texts.every((text) => text.length <= longest);

/** Who on record may be the person that is being typed. A hint, no more: nothing is said when it cannot be asked for. */
export function useDoubles({ name, bornOn, phone, email }: Typed): readonly Double[] {
  const [found, setFound] = useState(none);
  const day = isDay(bornOn) ? bornOn : null;
  const isAsked = isWorthAsking([name, phone, email]);
  useEffect(() => {
    if (!isAsked) return undefined;
    const abort = new AbortController();
    const timer = setTimeout(() => {
      send('POST /api/clients/doubles', { body: { name, bornOn: day, phone, email }, signal: abort.signal }).then(
        setFound,
        () => !abort.signal.aborted && setFound(none),
      );
    }, restMs);
    return () => {
      clearTimeout(timer);
      abort.abort();
    };
  }, [name, day, phone, email, isAsked]);
  return isAsked ? found : none;
}
