import { useState } from 'react';
import type { HouseFactsInput } from '../../contracts/home';
import type { Say } from '../../ui/toast/useToasts';
import { send, sentenceOf } from '../api';

/** One fact of the house that is chosen from a few: shown at once, kept by the house, and as it was where that fails. */
export function useHouseFact<K extends keyof HouseFactsInput, V extends NonNullable<HouseFactsInput[K]>>(
  name: K,
  first: V,
  say: Say,
  onSaved: (next: V) => string,
): readonly [V, (next: V) => void] {
  const [value, setValue] = useState(first);
  const change = async (next: V) => {
    setValue(next);
    try {
      await send('PUT /api/house', { body: { [name]: next } });
      say(onSaved(next));
    } catch (failure) {
      setValue(value);
      say(sentenceOf(failure), 'error');
    }
  };
  return [value, (next) => void change(next)];
}
