import { createContext, useContext, useState } from 'react';

/** The case at hand: what is answered so far is kept under it, so that a reload loses nothing. */
export const CaseKey = createContext('');

const nameOf = (of: string, name: string) => `practice ${of} ${name}`;

function readKept<T>(of: string, name: string): T | undefined {
  try {
    const text = sessionStorage.getItem(nameOf(of, name));
    return text === null ? undefined : (JSON.parse(text) as T);
  } catch {
    return undefined;
  }
}

/** Part of an answer, kept in this tab until its case is answered. */
export function useKept<T>(name: string, first: T): readonly [T, (next: T) => void] {
  const of = useContext(CaseKey);
  const [value, setValue] = useState(() => readKept<T>(of, name) ?? first);
  const put = (next: T) => {
    setValue(next);
    try {
      sessionStorage.setItem(nameOf(of, name), JSON.stringify(next));
    } catch {
      // Without room for it a reload begins the case anew.
    }
  };
  return [value, put];
}

/** A case is answered, or begun anew: nothing of it has to be kept. */
export function forgetKept(of: string): void {
  for (const key of Object.keys(sessionStorage)) if (key.startsWith(nameOf(of, ''))) sessionStorage.removeItem(key);
}

/** The answer as it stands, whole or not yet. */
export const keepGiven = (of: string, answer: unknown): void => {
  try {
    if (answer === undefined) sessionStorage.removeItem(nameOf(of, 'given'));
    else sessionStorage.setItem(nameOf(of, 'given'), JSON.stringify(answer));
  } catch {
    // Without room for it a reload begins the case anew.
  }
};

/** @returns undefined where nothing whole was kept */
export const readGiven = (of: string): unknown =>
  typeof sessionStorage === 'undefined' ? undefined : readKept(of, 'given');
