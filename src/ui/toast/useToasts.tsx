import { type ReactNode, useCallback, useEffect, useState } from 'react';
import { Button } from '../button/Button';
import styles from './Toast.module.css';
import { toastWords } from './toast.words';

interface Toast {
  readonly id: number;
  readonly text: string;
  readonly tone: 'note' | 'error';
  readonly undo: (() => void) | undefined;
}

/** @param undo takes back what is told of; offered as long as the message stands */
export type Say = (text: string, tone?: Toast['tone'], undo?: () => void) => void;

const shownMs = 7000;
/** Long enough to notice a slip, and to reach the button. */
const undoMs = 20_000;

/** Short messages at the foot of a view; errors stay until they are closed. */
export function useToasts(): {
  readonly say: Say;
  readonly toasts: ReactNode;
} {
  const [list, setList] = useState<readonly Toast[]>([]);
  const drop = useCallback((id: number) => setList((all) => all.filter((toast) => toast.id !== id)), []);
  const say = useCallback<Say>((text, tone = 'note', undo) => {
    setList((all) => [...all.slice(-2), { id: Date.now() + Math.random(), text, tone, undo }]);
  }, []);
  useEffect(() => {
    const timers = list
      .filter((toast) => toast.tone === 'note')
      .map((toast) => setTimeout(() => drop(toast.id), toast.undo ? undoMs : shownMs));
    return () => timers.forEach(clearTimeout);
  }, [list, drop]);
  const toasts = (
    <div className={styles['region']} role="status" aria-live="polite">
      {list.map((toast) => (
        <div key={toast.id} className={styles['toast']} data-tone={toast.tone}>
          <span>{toast.text}</span>
          {toast.undo && (
            <Button
              look="link"
              onClick={() => {
                toast.undo?.();
                drop(toast.id);
              }}
            >
              {toastWords.undo}
            </Button>
          )}
          <button type="button" onClick={() => drop(toast.id)} aria-label={toastWords.closeMessage}>
            ×
          </button>
        </div>
      ))}
    </div>
  );
  return { say, toasts };
}
