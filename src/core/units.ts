import type { Seconds } from './quantities';
/** Exact by definition (international inch, 1959). */
export const cmPerInch = 2.54;

export const lengthUnits = ['cm', 'in'] as const;
export type LengthUnit = (typeof lengthUnits)[number];

/** A length in cm, in full precision. */
export function toCm(value: number, unit: LengthUnit): number {
  return unit === 'in' ? value * cmPerInch : value;
}

/** A length in the unit that the reader uses, unrounded. */
export function fromCm(valueCm: number, unit: LengthUnit): number {
  return unit === 'in' ? valueCm / cmPerInch : valueCm;
}

/** Rounds half away from zero, for the screen only; computing keeps full precision. */
export function roundTo(value: number, decimals: number): number {
  const scale = 10 ** decimals;
  return (Math.sign(value) * Math.round(Math.abs(value) * scale + 1e-9)) / scale;
}

/** `2.5` as `2.5`, `-41` as `−41`: a real minus sign, fixed decimals. */
export function formatNumber(value: number, decimals = 0): string {
  const rounded = roundTo(value, decimals);
  const text = Math.abs(rounded).toFixed(decimals);
  return rounded < 0 ? `−${text}` : text;
}

/** As `formatNumber`, with a plus sign on what is above zero. */
export function formatSigned(value: number, decimals = 0): string {
  const rounded = roundTo(value, decimals);
  return rounded > 0 ? `+${formatNumber(value, decimals)}` : formatNumber(value, decimals);
}

/** Whole minutes and seconds: 3160 s is `52:40`. */
export function formatClock(seconds: Seconds): string {
  const whole = Math.max(0, Math.round(seconds));
  return `${Math.floor(whole / 60)}:${String(whole % 60).padStart(2, '0')}`;
}
