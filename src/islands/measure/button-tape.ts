import { measureWords } from './measure.words';
/** What a tape with a button sends at each press; anything else than a girth in cm is a fault of the device. */
export type TapeReading =
  { readonly kind: 'girth'; readonly cm: number } | { readonly kind: 'fault'; readonly words: string };

export interface ButtonTape {
  /** @returns a function that stops listening */
  readonly listen: (onReading: (reading: TapeReading) => void) => () => void;
}

const channelName = 'velvet-stone-button-tape';

/** The stand-in: a panel in another window of this browser is the tape. */
export const simulatedTape: ButtonTape = {
  listen: (onReading) => {
    const channel = new BroadcastChannel(channelName);
    channel.onmessage = ({ data }: MessageEvent<unknown>) => onReading(readDevice(String(data)));
    return () => channel.close();
  },
};

/** The other end of the stand-in. */
export interface TapePanel {
  /** Sends what a device would: its reading as text, such as `34.5`. */
  readonly press: (sent: string) => void;
  readonly close: () => void;
}

export function openTapePanel(): TapePanel {
  const channel = new BroadcastChannel(channelName);
  return { press: (sent) => channel.postMessage(sent), close: () => channel.close() };
}

/** A device is not believed: text, nothing, and what no limb measures are faults. */
export function readDevice(sent: string): TapeReading {
  const cm = Number(sent.trim().replace(',', '.'));
  if (sent.trim() === '' || !Number.isFinite(cm))
    return { kind: 'fault', words: measureWords.theTapeSentSomethingThatIs };
  if (cm <= 0 || cm >= 400) return { kind: 'fault', words: measureWords.theTapeSentCmWhichNo(cm) };
  return { kind: 'girth', cm };
}
