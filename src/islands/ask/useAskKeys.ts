import { useEffect } from 'react';
import type { Answer } from './useAsk';
import type { useAnswering } from './useAnswering';

const answerKeys: Readonly<Record<string, Answer>> = { y: 'yes', n: 'no', u: 'unsure' };

const isWriting = (target: HTMLElement) =>
  /^(TEXTAREA|SELECT)$/.test(target.tagName) || (target as HTMLInputElement).type === 'text';

/** The consultation by keyboard: answers, the rest of a group, marking on the body, handing over, and up and down. */
export function useAskKeys(
  { current, answer, restOfCurrent, step }: ReturnType<typeof useAnswering>,
  { onMark, onHand }: { readonly onMark: () => void; readonly onHand: () => void },
): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.altKey || event.ctrlKey || event.metaKey || isWriting(target)) return;
      if (document.querySelector('[role="dialog"]')) return;
      const key = event.key.toLowerCase();
      const given = answerKeys[key];
      if (given && current) {
        event.preventDefault();
        answer(current, given);
      } else if (key === 'r') restOfCurrent();
      else if (key === 'm') onMark();
      else if (key === 'h') onHand();
      else if (key === 'arrowdown' || key === 'arrowup') {
        // Within a choice and on the body map the arrows have a meaning of their own.
        if (target.getAttribute('type') === 'radio' || target.closest('[data-body]')) return;
        event.preventDefault();
        step(key === 'arrowdown' ? 1 : -1);
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
