import { type ReactNode, useCallback, useEffect, useState } from 'react';
import styles from './Toast.module.css';
import { toastWords } from './toast.words';

interface Toast {
  readonly id: number;
  readonly text: string;
  readonly tone: 'note' | 'error';
}

const shownMs = 7000;

/** Short messages at the foot of a view; errors stay until they are closed. */
export function useToasts(): {
  readonly say: (text: string, tone?: Toast['tone']) => void;
  readonly toasts: ReactNode;
} {
  const [list, setList] = useState<readonly Toast[]>([]);
  const drop = useCallback((id: number) => setList((all) => all.filter((toast) => toast.id !== id)), []);
  const say = useCallback((text: string, tone: Toast['tone'] = 'note') => {
    setList((all) => [...all.slice(-2), { id: Date.now() + Math.random(), text, tone }]);
  }, []);
  useEffect(() => {
    const timers = list
      .filter((toast) => toast.tone === 'note')
      .map((toast) => setTimeout(() => drop(toast.id), shownMs));
    return () => timers.forEach(clearTimeout);
  }, [list, drop]);
  const toasts = (
    <div className={styles['region']} role="status" aria-live="polite">
      {list.map((toast) => (
        <div key={toast.id} className={styles['toast']} data-tone={toast.tone}>
          <span>{toast.text}</span>
          <button type="button" onClick={() => drop(toast.id)} aria-label={toastWords.closeMessage}>
            ×
          </button>
        </div>
      ))}
    </div>
  );
  return { say, toasts };
}
