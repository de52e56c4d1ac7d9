import type { Millilitres, Percent } from '../quantities';
/** Volumes (mL) and body weight (kg) at one date; null or absent: not taken. */
export interface LimbState {
  readonly affectedMl: Millilitres;
  readonly unaffectedMl?: Millilitres | null | undefined;
  readonly weightKg?: number | null | undefined;
}

export const changeModes = ['rvc', 'wac'] as const;
/** Against the other limb (relative volume change), or against body weight (weight-adjusted change). */
export type ChangeMode = (typeof changeModes)[number];

export interface LimbChange {
  readonly changePercent: Percent;
  /** mL beyond what the other limb, or the weight, explains. */
  readonly changeMl: Millilitres;
}

export type LimbChangeResult =
  | { readonly ok: true; readonly value: LimbChange }
  | { readonly ok: false; readonly refusal: 'missing-unaffected' | 'missing-weight'; readonly field: string };

/**
 * Change from baseline with what both sides, or the whole body, share taken out. Dominance cancels and does not enter.
 * Source: Ancukiewicz and others (2011), Int J Radiat Oncol Biol Phys 79:1436–1443 (relative volume change);
 * Miller and others (2013), Lymphology 46:64–74 (weight-adjusted change).
 */
export function limbChange(before: LimbState, after: LimbState, mode: ChangeMode): LimbChangeResult {
  const key = mode === 'rvc' ? 'unaffectedMl' : 'weightKg';
  const [was, is] = [before[key] ?? null, after[key] ?? null];
  if (was === null || is === null)
    return {
      ok: false,
      refusal: mode === 'rvc' ? 'missing-unaffected' : 'missing-weight',
      field: `${was === null ? 'before' : 'after'}.${key}`,
    };
  const expectedMl = (before.affectedMl * is) / was;
  return {
    ok: true,
    value: {
      changePercent: 100 * ((after.affectedMl * was) / (is * before.affectedMl) - 1),
      changeMl: after.affectedMl - expectedMl,
    },
  };
}

/** Share of an excess that is gone (%), or null when there was none beyond its own error to reduce. */
export function excessReductionPercent(fromMl: Millilitres, fromSdMl: Millilitres, toMl: Millilitres): number | null {
  return fromMl > 0 && fromMl > 1.96 * fromSdMl ? (100 * (fromMl - toMl)) / fromMl : null;
}
