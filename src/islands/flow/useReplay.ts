import { useCallback, useEffect, useRef, useState } from 'react';
import type { Seconds } from '../../core/quantities';

export const speeds = [1, 10, 60] as const;
export type Speed = (typeof speeds)[number];

/** How often the words beside the picture follow it; the picture itself follows every frame. */
const wordsMs = 100;

export interface Replay {
  readonly second: Seconds;
  readonly isPlaying: boolean;
  readonly speed: Speed;
  readonly toggle: () => void;
  readonly jump: (second: Seconds) => void;
  readonly nextSpeed: () => void;
  /** Called with every frame while it plays, and after each jump. */
  readonly onFrame: (draw: (second: Seconds) => void) => () => void;
}

/** The clock of a replay: plays, halts, jumps; what is drawn with every frame does not go through React. */
export function useReplay(endS: Seconds): Replay {
  const at = useRef(0);
  const draws = useRef(new Set<(second: Seconds) => void>());
  const [second, setSecond] = useState(0);
  const [isPlaying, setIsPlaying] = useState(false);
  const [speed, setSpeed] = useState<Speed>(60);
  const show = useCallback((next: Seconds) => {
    at.current = next;
    for (const draw of draws.current) draw(next);
  }, []);

  useEffect(() => {
    if (!isPlaying) return;
    let before = performance.now();
    let said = before;
    let frame = requestAnimationFrame(function run(now) {
      const next = Math.min(endS, at.current + ((now - before) / 1000) * speed);
      before = now;
      show(next);
      if (now - said > wordsMs || next >= endS) {
        said = now;
        setSecond(next);
      }
      if (next >= endS) setIsPlaying(false);
      else frame = requestAnimationFrame(run);
    });
    return () => cancelAnimationFrame(frame);
  }, [endS, isPlaying, show, speed]);

  const jump = useCallback(
    (to: Seconds) => {
      const next = Math.min(endS, Math.max(0, to));
      show(next);
      setSecond(next);
    },
    [endS, show],
  );
  const toggle = useCallback(() => {
    if (at.current >= endS) jump(0);
    setIsPlaying((is) => !is);
  }, [endS, jump]);
  const nextSpeed = useCallback(() => setSpeed((now) => speeds[(speeds.indexOf(now) + 1) % speeds.length] ?? 60), []);
  const onFrame = useCallback((draw: (second: Seconds) => void) => {
    draws.current.add(draw);
    draw(at.current);
    return () => void draws.current.delete(draw);
  }, []);
  return { second, isPlaying, speed, toggle, jump, nextSpeed, onFrame };
}
