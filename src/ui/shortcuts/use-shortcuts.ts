import { useEffect, useLayoutEffect, useRef } from 'react';
import { keyboard, type Manner, type Shortcut } from './keyboard';

/**
 * The keys of a view while it is shown. They follow what is shown with the words, not a moment after them: a key that
 * is pressed at once means what the screen says.
 */
export function useShortcuts(
  shortcuts: readonly Shortcut[],
  { whileWriting, isSteady, isEverywhere, isOnTop }: Manner = {},
): void {
  const latest = useRef(shortcuts);
  useLayoutEffect(() => {
    latest.current = shortcuts;
  });
  // With the commit that shows the words, not after it.
  useLayoutEffect(
    () =>
      keyboard.add(() => latest.current, {
        ...(whileWriting && { whileWriting }),
        ...(isSteady && { isSteady }),
        ...(isEverywhere && { isEverywhere }),
        ...(isOnTop && { isOnTop }),
      }),
    [whileWriting, isSteady, isEverywhere, isOnTop],
  );
}

/** Keeps the keys from the views below while something lies over them. */
export function useCover(isOpen: boolean): void {
  useEffect(() => (isOpen ? keyboard.cover() : undefined), [isOpen]);
}
