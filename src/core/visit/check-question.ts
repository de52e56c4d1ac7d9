import type { RedFlag } from '../screening/tables';

export interface CheckQuestion {
  readonly id: string;
  readonly text: string;
  readonly hint?: string;
  /** Present for a red flag: what a yes ends the visit with. */
  readonly flag?: RedFlag;
}

/** Findings that are asked afresh at each visit, those of one gate; of what the work asks, one each. */
export interface TodayGroup {
  readonly id: string;
  readonly group: string;
  readonly conditions: readonly { readonly id: string; readonly label: string; readonly ask: string }[];
}
