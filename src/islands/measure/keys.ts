import { useEffect } from 'react';

/** Whether a key belongs to a text that is being written; tape numbers are digits, so letters there are free. */
function isWriting(target: EventTarget | null): boolean {
  const element = target as HTMLElement | null;
  if (!element) return false;
  if (element.tagName === 'TEXTAREA' || element.tagName === 'SELECT') return true;
  if (element.tagName !== 'INPUT') return element.isContentEditable;
  const input = element as HTMLInputElement;
  return !['radio', 'checkbox', 'range', 'file'].includes(input.type) && input.inputMode !== 'decimal';
}

/** Single letters of a view, such as `i` for inches; also while a tape number is being typed. */
export function useLetters(letters: Readonly<Record<string, () => void>>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.altKey || event.metaKey || document.querySelector('[role="dialog"]')) return;
      const key = event.ctrlKey ? `ctrl+${event.key.toLowerCase()}` : event.key.toLowerCase();
      const act = letters[key];
      if (!act || isWriting(event.target)) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
