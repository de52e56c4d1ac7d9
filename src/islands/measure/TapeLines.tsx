import type { Millilitres } from '../../core/quantities';
import { useId } from 'react';
import type { Figure, Point } from '../../core/figure/figure';
import styles from './TapeLines.module.css';

interface Props {
  readonly figure: Figure;
  readonly limb: 'arm' | 'leg';
  readonly side: 'left' | 'right';
  readonly positionsCm: readonly number[];
  /** The point at hand; null: none. */
  readonly hereCm: number | null;
  readonly isHereAffected: boolean;
  readonly bands: readonly Band[];
}

/** A tint on the affected limb: how strong, and what it means. */
export interface Band {
  readonly fromCm: number;
  readonly toCm: number;
  /** 0–1. */
  readonly strength: number;
  readonly tone: 'excess' | 'smaller' | 'larger';
}

/** Excess of each stretch as a tint, the strongest where most fluid sits. */
export function excessBands(
  segments: readonly { readonly fromCm: number; readonly toCm: number; readonly ml: Millilitres }[],
): readonly Band[] {
  const most = Math.max(1, ...segments.map(({ ml }) => ml));
  return segments.map(({ fromCm, toCm, ml }) => ({ fromCm, toCm, strength: Math.max(0, ml / most), tone: 'excess' }));
}

/** The figure stands about 1.72 m tall on 947 units of its drawing. */
const unitsPerCm = 5.5;

const limbParts = {
  arm: [
    'wrist',
    'forearm-inner',
    'forearm-outer',
    'elbow-crease',
    'upper-arm-inner',
    'upper-arm-outer',
    'shoulder-cap',
  ],
  leg: [
    'ankle-inner',
    'ankle-outer',
    'shin-lower',
    'shin-upper',
    'knee-inner',
    'knee-front',
    'knee-outer',
    'thigh-lower-inner',
    'thigh-lower-outer',
    'thigh-upper-inner',
    'thigh-upper-outer',
  ],
} as const;

/** Where the zero mark lies and where the limb goes from there, by the drawing's own anchors. */
function axisOf(
  figure: Figure,
  limb: 'arm' | 'leg',
  side: string,
): { readonly zero: Point; readonly along: Point } | undefined {
  const middle = (names: readonly string[]): Point | undefined => {
    const anchors = names.flatMap((name) => figure.regions.find((r) => r.id === `${name}.${side}`)?.anchor ?? []);
    const points = Array.from(
      { length: anchors.length / 2 },
      (_, i) => [anchors[2 * i] ?? 0, anchors[2 * i + 1] ?? 0] as const,
    );
    if (points.length === 0) return undefined;
    return [
      points.reduce((sum, p) => sum + p[0], 0) / points.length,
      points.reduce((sum, p) => sum + p[1], 0) / points.length,
    ];
  };
  const zero = middle(limb === 'leg' ? ['ankle-inner', 'ankle-outer'] : ['wrist']);
  const top = middle(
    limb === 'leg' ? ['thigh-upper-inner', 'thigh-upper-outer'] : ['upper-arm-inner', 'upper-arm-outer'],
  );
  if (!zero || !top) return undefined;
  const length = Math.hypot(top[0] - zero[0], top[1] - zero[1]);
  return { zero, along: [(top[0] - zero[0]) / length, (top[1] - zero[1]) / length] };
}

/** Tape lines on both limbs, the one at hand strong, and tints on the affected one. */
export function TapeLines({ figure, limb, side, positionsCm, hereCm, isHereAffected, bands }: Props) {
  const id = useId();
  return (
    <g className={styles['tapeLines']} aria-hidden="true">
      {(['left', 'right'] as const).map((which) => {
        const axis = axisOf(figure, limb, which);
        if (!axis) return null;
        const { zero, along } = axis;
        const across: Point = [-along[1], along[0]];
        const at = (cm: number): Point => [zero[0] + along[0] * cm * unitsPerCm, zero[1] + along[1] * cm * unitsPerCm];
        const half = limb === 'leg' ? 62 : 34;
        const line = (cm: number) => {
          const [x, y] = at(cm);
          const bow = limb === 'leg' ? 7 : 5;
          return `M${x - across[0] * half} ${y - across[1] * half}Q${x - along[0] * bow} ${y - along[1] * bow} ${x + across[0] * half} ${y + across[1] * half}`;
        };
        const band = (fromCm: number, toCmValue: number) => {
          const corners = [
            [fromCm, -half],
            [fromCm, half],
            [toCmValue, half],
            [toCmValue, -half],
          ].map(([cm = 0, aside = 0]) => {
            const [x, y] = at(cm);
            return `${x + across[0] * aside} ${y + across[1] * aside}`;
          });
          return `M${corners.join('L')}Z`;
        };
        const parts = figure.regions.filter((region) =>
          limbParts[limb].some((name) => region.id === `${name}.${which}`),
        );
        const clip = `${id}-${which}`;
        return (
          <g key={which}>
            {/* A mask, not a clip path: joining neighbours with shared borders makes Chromium drop some of them. */}
            <mask id={clip} maskUnits="userSpaceOnUse" x="0" y="0" width={figure.viewBox[2]} height={figure.viewBox[3]}>
              {parts.map((region) => (
                <path key={region.id} d={region.d} fill="white" />
              ))}
            </mask>
            <g mask={`url(#${clip})`}>
              {which === side &&
                bands.map((one) => (
                  <path
                    key={one.fromCm}
                    d={band(one.fromCm, one.toCm)}
                    className={styles['band']}
                    data-tone={one.tone}
                    fillOpacity={one.strength * 0.6}
                  />
                ))}
              {positionsCm.map((cm) => (
                <path
                  key={cm}
                  d={line(cm)}
                  className={styles['tapeLine']}
                  data-here={cm === hereCm && (which === side) === isHereAffected ? true : undefined}
                />
              ))}
            </g>
          </g>
        );
      })}
    </g>
  );
}
