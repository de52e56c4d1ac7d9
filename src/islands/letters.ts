import { useEffect } from 'react';

/** Letters of units, as in “34,5 cm” or “13.6 in”. */
const unitLetters = ['c', 'm', 'i', 'n'];

/**
 * Whether a key belongs to a text that is being written. Tape numbers are digits, so letters are free there, but for
 * those of a unit behind a number that is being typed; a cell that was only gone to has all its text selected.
 */
function isWriting(target: EventTarget | null, key: string): boolean {
  const element = target as HTMLElement | null;
  if (!element) return false;
  if (element.tagName === 'TEXTAREA' || element.tagName === 'SELECT') return true;
  if (element.tagName !== 'INPUT') return element.isContentEditable;
  const input = element as HTMLInputElement;
  if (['radio', 'checkbox', 'range', 'file'].includes(input.type)) return false;
  if (input.inputMode !== 'decimal') return true;
  const isBeingTyped = input.value !== '' && input.selectionStart === input.selectionEnd;
  return isBeingTyped && unitLetters.includes(key);
}

/** Single letters of a view, such as `i` for inches; also while a tape number is being typed. */
export function useLetters(letters: Readonly<Record<string, () => void>>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.altKey || event.metaKey || document.querySelector('[role="dialog"]')) return;
      const key = event.ctrlKey ? `ctrl+${event.key.toLowerCase()}` : event.key.toLowerCase();
      const act = letters[key];
      if (!act || isWriting(event.target, key)) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
