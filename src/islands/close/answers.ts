import type { ClosingInput } from '../../contracts/record';

/** What is asked and looked at in the end; null: not asked. */
export type Answers = Omit<ClosingInput, 'basedOn'>;

export const tenths = Array.from({ length: 11 }, (_, i) => ({ value: String(i), text: String(i) }));
export const textOf = (value: number | null) => (value === null ? null : String(value));
