import type { LengthUnit } from '../units';

/** A typed length: its number and, where it was written with it, its unit. */
export type TypedLength =
  | { readonly kind: 'empty' }
  | { readonly kind: 'length'; readonly value: number; readonly unit: LengthUnit | undefined }
  | { readonly kind: 'unreadable' }
  | { readonly kind: 'zero' };

const written = /^([0-9]+(?:[.,][0-9]*)?|[.,][0-9]+)\s*(cm|in|inch|inches|"|″)?$/i;

/** Spaces of all kinds, also the thin ones that typesetters and spreadsheets put beside units. */
const spaces = /[\s\u00a0\u2000-\u200b\u202f\u205f\u3000\ufeff]+/gu;

/**
 * Reads what therapists type and spreadsheets hold: `34.5`, `34,5 cm`, `13.5 in`, `13.5"`.
 * A decimal comma counts as a point; thousands are not separated in girths, so two separators are unreadable.
 */
export function readLength(text: string): TypedLength {
  const plain = text.replace(spaces, ' ').trim();
  if (plain === '') return { kind: 'empty' };
  const match = written.exec(plain);
  if (!match) return { kind: 'unreadable' };
  const value = Number((match[1] ?? '').replace(',', '.'));
  if (value === 0) return { kind: 'zero' };
  const unit = match[2] === undefined ? undefined : match[2].toLowerCase() === 'cm' ? 'cm' : 'in';
  return { kind: 'length', value, unit };
}
