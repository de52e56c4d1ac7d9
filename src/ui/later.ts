import { type ComponentType, createElement, lazy, useEffect, useState } from 'react';

/** After a view stands and has fetched its own, and long before its door shuts by itself. */
const quietMs = 3000;
const againMs = 2000;

const pause = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** Without the network a part of a view is asked for again until it comes: what waits for it stays as it is. */
export function untilHere<T>(fetch: () => Promise<T>): () => Promise<T> {
  return async () => {
    for (;;) {
      try {
        return await fetch();
      } catch {
        await pause(againMs);
      }
    }
  };
}

/** A component that is fetched after its view stands, and how it is fetched ahead. */
export interface LaterPart<Props extends object> {
  readonly fetch: () => Promise<unknown>;
  /** Stands in a `Suspense`, for whoever wants it before it has come. */
  readonly Part: ComponentType<Props>;
}

/**
 * A part of a view that is fetched later. What has come by the time it is wanted is drawn at once: `lazy` alone waits
 * for its promise even then, and the third of a second for which a `Suspense` holds back what it reveals.
 */
export function laterPart<Props extends object>(load: () => Promise<ComponentType<Props>>): LaterPart<Props> {
  let here: ComponentType<Props> | undefined;
  const fetch = async () => ({ default: (here ??= await load()) });
  const Waited = lazy(untilHere(fetch)) as ComponentType<Props>;
  // The one that was drawn first stays: another in its place would begin anew.
  const Part = (props: Props) => createElement(useState(() => here ?? Waited)[0], props);
  return { fetch, Part };
}

/**
 * Fetches what a view does not need to begin (its menu, its door, its dialogs) once it stands, so that it is here should
 * the network go. What cannot be fetched then is asked for again when it is wanted.
 */
export function useLater(fetch: () => Promise<unknown>): void {
  useEffect(() => {
    const timer = setTimeout(() => void fetch().catch(() => undefined), quietMs);
    return () => clearTimeout(timer);
  }, [fetch]);
}
