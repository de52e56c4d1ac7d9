import type { Palette } from '../charts/palette';
import { token } from '../ui/charts/Chart';

/** The colours of the theme at hand. */
export function themedPalette(): Palette {
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
