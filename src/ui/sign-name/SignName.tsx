import { type PointerEvent, useRef, useState } from 'react';
import styles from './SignName.module.css';
import { signNameWords } from './sign-name.words';

const width = 600;
const height = 160;

/** A box in which a name is drawn with finger, pen or mouse. The drawing is the `d` of a path in 600 by 160. */
export function SignName({
  label,
  again,
  onDraw,
}: {
  readonly label: string;
  /** On the button that wipes the name off. */
  readonly again: string;
  readonly onDraw: (path: string | null) => void;
}) {
  const [path, setPath] = useState('');
  const isDown = useRef(false);
  const latest = useRef('');

  const pointOf = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const x = Math.round(((event.clientX - box.left) / box.width) * width);
    const y = Math.round(((event.clientY - box.top) / box.height) * height);
    return `${Math.max(0, Math.min(width, x))} ${Math.max(0, Math.min(height, y))}`;
  };
  const draw = (next: string) => {
    latest.current = next;
    setPath(next);
    onDraw(next === '' ? null : next);
  };
  return (
    <div className={styles['sign']}>
      <svg
        viewBox={`0 0 ${width} ${height}`}
        role="img"
        aria-label={path === '' ? signNameWords.notDrawnYet(label) : `${label}: drawn`}
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          isDown.current = true;
          draw(`${latest.current}M${pointOf(event)}`);
        }}
        onPointerMove={(event) => isDown.current && draw(`${latest.current}L${pointOf(event)}`)}
        onPointerUp={() => (isDown.current = false)}
      >
        <path d="M30 124H570" className={styles['rule']} />
        <path d={path} className={styles['ink']} />
      </svg>
      <button type="button" onClick={() => draw('')} disabled={path === ''}>
        {again}
      </button>
    </div>
  );
}
