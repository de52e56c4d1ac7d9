import { useEffect } from 'react';

/** Keys of every plan: Ctrl and Z takes the last change back, M mends. Neither while something is written. */
export function usePlanKeys({ undo, mend }: { readonly undo: () => void; readonly mend: () => void }): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (/^(INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || event.altKey || document.querySelector('[role="dialog"]'))
        return;
      const key = event.key.toLowerCase();
      const isWithControl = event.ctrlKey || event.metaKey;
      const act = isWithControl && key === 'z' ? undo : !isWithControl && key === 'm' ? mend : undefined;
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
