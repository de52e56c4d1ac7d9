import { type KeyboardEvent, type RefObject, useEffect, useRef, useState } from 'react';
import type { Light } from '../../core/pictures/light';
import { readLight } from './read-light';

/** Every picture is cut to this, so that two of them can be laid over each other. */
export const kept = { width: 900, height: 1200 } as const;
const moveShare = 0.01;
const zoomStep = 1.02;
const leastZoom = 0.2;
const paper = '#f4efe8';

export interface Source {
  readonly image: CanvasImageSource;
  readonly width: number;
  readonly height: number;
}

interface Crop {
  readonly x: number;
  readonly y: number;
  readonly zoom: number;
}

const whole: Crop = { x: 0, y: 0, zoom: 1 };

/** The part of a picture that is kept: drawn as it is moved and sized, with how light it is. */
export function useCrop(source: Source | undefined): {
  readonly canvas: RefObject<HTMLCanvasElement | null>;
  readonly light: Light | undefined;
  readonly move: (across: number, down: number) => void;
  readonly size: (by: number) => void;
  readonly onKeyDown: (event: KeyboardEvent) => void;
} {
  const canvas = useRef<HTMLCanvasElement>(null);
  const [crop, setCrop] = useState(whole);
  const [light, setLight] = useState<Light>();
  const [shown, setShown] = useState(source);
  if (shown !== source) {
    setShown(source);
    setCrop(whole);
  }
  useEffect(() => {
    const context = canvas.current?.getContext('2d');
    if (!context || !source) return;
    context.fillStyle = paper;
    context.fillRect(0, 0, kept.width, kept.height);
    const scale = Math.max(kept.width / source.width, kept.height / source.height) * crop.zoom;
    const [w, h] = [source.width * scale, source.height * scale];
    const [x, y] = [(kept.width - w) / 2 + crop.x * kept.width, (kept.height - h) / 2 + crop.y * kept.height];
    context.drawImage(source.image, x, y, w, h);
    setLight(readLight(context.canvas));
  }, [crop, source]);
  const move = (across: number, down: number) =>
    setCrop((old) => ({ ...old, x: old.x + across * moveShare, y: old.y + down * moveShare }));
  const size = (steps: number) =>
    setCrop((old) => ({ ...old, zoom: Math.max(leastZoom, old.zoom * zoomStep ** steps) }));
  const keys: Partial<Record<string, () => void>> = {
    ArrowLeft: () => move(-1, 0),
    ArrowRight: () => move(1, 0),
    ArrowUp: () => move(0, -1),
    ArrowDown: () => move(0, 1),
    '+': () => size(1),
    '-': () => size(-1),
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const act = keys[event.key];
    if (!act) return;
    event.preventDefault();
    act();
  };
  return { canvas, light, move, size, onKeyDown };
}
