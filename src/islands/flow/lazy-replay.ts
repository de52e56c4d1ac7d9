import { lazy } from 'react';
import { untilHere } from '../../ui/later';

/** The replay with its worker: fetched once a view stands. */
export const fetchReplay = async () => {
  const { Replay, warmFlow } = await import('./Replay');
  warmFlow();
  return { default: Replay };
};
export const LazyReplay = lazy(untilHere(fetchReplay));
