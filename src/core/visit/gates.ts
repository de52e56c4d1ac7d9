import { visitSays } from './visit.says';

/** What has to be there before hands are laid on. */
export type GateId = 'intake' | 'consent' | 'check';

export interface MissingGate {
  readonly gate: GateId;
  /** Questions that are still open. */
  readonly open: number;
}

export interface GateFacts {
  readonly isFirst: boolean;
  /** Questions of the full intake that have no answer and no finding. */
  readonly intakeOpen: number;
  readonly hasConsent: boolean;
  /** Questions of the check of the day without an answer. */
  readonly checkOpen: number;
}

/** A first visit needs the full intake, consent and the check; every visit the check. In the order in which they are asked. */
export function missingGates({ isFirst, intakeOpen, hasConsent, checkOpen }: GateFacts): readonly MissingGate[] {
  return [
    ...(isFirst && intakeOpen > 0 ? [{ gate: 'intake', open: intakeOpen } as const] : []),
    ...(isFirst && !hasConsent ? [{ gate: 'consent', open: 1 } as const] : []),
    ...(checkOpen > 0 ? [{ gate: 'check', open: checkOpen } as const] : []),
  ];
}

/** `the full intake (174 open), consent and the check of today (15 open)`. */
export function gatesInWords(missing: readonly MissingGate[]): string {
  const words = missing.map(({ gate, open }) => {
    switch (gate) {
      case 'intake':
        return visitSays.theFullIntakeOpen(open);
      case 'consent':
        return 'consent';
      case 'check':
        return visitSays.theCheckOfTodayOpen(open);
    }
  });
  return words.length < 2 ? (words[0] ?? '') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)}`;
}
