import type { Palette } from '../charts/palette';
import { useMemo } from 'react';
import { type Light, useLight } from '../ui/light';

/** The colours of the theme at hand: others as soon as the light is switched. */
export function useThemedPalette(): Palette {
  const light = useLight();
  return useMemo(() => paletteBy(light), [light]);
}

function paletteBy(_light: Light): Palette {
  return {
    ink: token('ink'),
    soft: token('ink-soft'),
    faint: token('ink-faint'),
    line: token('line'),
    river: token('river'),
    riverSoft: token('river-soft'),
    plum: token('plum'),
    moss: token('moss'),
    ochre: token('ochre-line'),
    stone: token('stone-1'),
    sans: 'Atkinson Hyperlegible',
    serif: 'Fraunces Variable',
  };
}

/** A colour of the theme at hand. */
function token(name: string): string {
  return typeof document === 'undefined'
    ? '#000'
    : getComputedStyle(document.documentElement).getPropertyValue(`--${name}`).trim();
}
