/** What a foot says: one pedal goes on, the other goes back. */
export type FootPress = 'next' | 'back';
/** `lost`: one was there, and does not answer any more. */
export type FootState = 'none' | 'here' | 'lost';

/**
 * A foot switch that answers for itself. (Those that only send PageDown, Enter or Space are keyboards to a browser, and
 * are heard as such.)
 */
export interface FootSwitch {
  /** @returns how to stop listening */
  listen(onPress: (press: FootPress, atMs: number) => void, onState: (state: FootState) => void): () => void;
}

type Message =
  | { readonly kind: 'ask' | 'here' | 'unplugged' }
  /** `atMs`: when the foot trod, on the clock that all windows share; a busy machine hears of it later. */
  | { readonly kind: 'press'; readonly press: FootPress; readonly atMs: number };

/** A clock that all windows of a browser share (ms). */
const sharedMs = () => performance.timeOrigin + performance.now();

const channelName = 'velvet-stone-foot-switch';
const askMs = 1000;
const patienceMs = 3200;

/** The stand-in: a panel in another window of this browser presses, and answers whether it is there. */
export const simulatedFootSwitch: FootSwitch = {
  listen(onPress, onState) {
    const channel = new BroadcastChannel(channelName);
    let heardAt: number | undefined;
    channel.onmessage = ({ data }: MessageEvent<Message>) => {
      if (data.kind === 'here' || data.kind === 'press') {
        heardAt = performance.now();
        onState('here');
      } else if (data.kind === 'unplugged' && heardAt !== undefined) onState('lost');
      if (data.kind === 'press') onPress(data.press, data.atMs);
    };
    const asking = setInterval(() => {
      channel.postMessage({ kind: 'ask' } satisfies Message);
      if (heardAt !== undefined && performance.now() - heardAt > patienceMs) onState('lost');
    }, askMs);
    return () => {
      clearInterval(asking);
      channel.close();
    };
  },
};

/** The other end of the stand-in. */
export interface FootPanel {
  /** @param afterMs so long after now, as a foot that trembles */
  press(press: FootPress, afterMs?: number): void;
  /** Answers no more, as when the cable is out. */
  unplug(): void;
  plugIn(): void;
  close(): void;
}

/** @param onAsked somebody listens */
export function openFootPanel(onAsked: () => void): FootPanel {
  const channel = new BroadcastChannel(channelName);
  let isPlugged = true;
  const say = (message: Message) => isPlugged && channel.postMessage(message);
  channel.onmessage = ({ data }: MessageEvent<Message>) => {
    if (data.kind !== 'ask') return;
    onAsked();
    say({ kind: 'here' });
  };
  return {
    press: (press, afterMs = 0) => say({ kind: 'press', press, atMs: sharedMs() + afterMs }),
    unplug: () => {
      isPlugged = false;
    },
    plugIn: () => {
      isPlugged = true;
      say({ kind: 'here' });
    },
    close: () => {
      say({ kind: 'unplugged' });
      channel.close();
    },
  };
}
