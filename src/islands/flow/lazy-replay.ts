import { laterPart } from '../../ui/later';

/** The replay with its worker: fetched once a view stands. */
export const { fetch: fetchReplay, Part: LazyReplay } = laterPart(async () => {
  const { Replay, warmFlow } = await import('./Replay');
  warmFlow();
  return Replay;
});
