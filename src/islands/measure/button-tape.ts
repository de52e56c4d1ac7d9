import { measureWords } from './measure.words';
/** What a tape with a button sends at each press; anything else than a girth in cm is a fault of the device. */
export type TapeReading =
  { readonly kind: 'girth'; readonly cm: number } | { readonly kind: 'fault'; readonly words: string };

export interface ButtonTape {
  /** @returns a function that stops listening */
  readonly listen: (onReading: (reading: TapeReading) => void) => () => void;
}

/** A stand-in for the device, driven by hand or by a test. */
export interface SimulatedTape extends ButtonTape {
  /** Sends what a device would: its reading as text, such as `34.5`. */
  readonly press: (sent: string) => void;
}

export function simulateTape(): SimulatedTape {
  const listeners = new Set<(reading: TapeReading) => void>();
  return {
    listen: (onReading) => {
      listeners.add(onReading);
      return () => listeners.delete(onReading);
    },
    press: (sent) => {
      const reading = readDevice(sent);
      for (const tell of listeners) tell(reading);
    },
  };
}

/** A device is not believed: text, nothing, and what no limb measures are faults. */
export function readDevice(sent: string): TapeReading {
  const cm = Number(sent.trim().replace(',', '.'));
  if (sent.trim() === '' || !Number.isFinite(cm))
    return { kind: 'fault', words: measureWords.theTapeSentSomethingThatIs };
  if (cm <= 0 || cm >= 400) return { kind: 'fault', words: measureWords.theTapeSentCmWhichNo(cm) };
  return { kind: 'girth', cm };
}
