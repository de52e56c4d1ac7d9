/** How something is said aloud. */
export interface Manner {
  /** Id of a voice of this device; '' for its usual one. */
  readonly voice: string;
  /** 1 is the device’s usual pace. */
  readonly rate: number;
  /** 0–1. */
  readonly volume: number;
}

export interface Voice {
  readonly id: string;
  readonly name: string;
}

/** Whatever says words aloud. What is said last goes first: at the table the moment counts. */
export interface Speech {
  say(text: string, manner: Manner): void;
  /** Stops in the middle of a word. */
  hush(): void;
  /** @returns those that speak English, as far as the device has told of them */
  voices(): readonly Voice[];
}

const hasSpeech = () => typeof window !== 'undefined' && 'speechSynthesis' in window;

/** The browser’s own; silent where it has none. */
const browserSpeech: Speech = {
  say(text, { voice, rate, volume }) {
    if (!hasSpeech()) return;
    const { speechSynthesis } = window;
    speechSynthesis.cancel();
    const utterance = new SpeechSynthesisUtterance(text);
    const chosen = speechSynthesis.getVoices().find(({ voiceURI }) => voiceURI === voice);
    if (chosen) utterance.voice = chosen;
    Object.assign(utterance, { lang: 'en-GB', rate, volume });
    speechSynthesis.speak(utterance);
  },
  hush: () => hasSpeech() && window.speechSynthesis.cancel(),
  voices: () =>
    hasSpeech()
      ? window.speechSynthesis
          .getVoices()
          .filter(({ lang }) => lang.startsWith('en'))
          .map(({ voiceURI, name }) => ({ id: voiceURI, name }))
      : [],
};

type Message =
  { readonly kind: 'here' | 'gone' | 'ask' } | { readonly kind: 'say'; readonly text: string; readonly manner: Manner };

const channelName = 'velvet-stone-ear';

/** What is said goes to an ear in another window of this browser while one is there, and otherwise to `usual`. */
export function speechWithEar(usual: Speech = browserSpeech): Speech & { readonly close: () => void } {
  const channel = new BroadcastChannel(channelName);
  let hasEar = false;
  channel.onmessage = ({ data }: MessageEvent<Message>) => {
    if (data.kind === 'here') hasEar = true;
    if (data.kind === 'gone') hasEar = false;
  };
  channel.postMessage({ kind: 'ask' } satisfies Message);
  return {
    say: (text, manner) =>
      hasEar ? channel.postMessage({ kind: 'say', text, manner } satisfies Message) : usual.say(text, manner),
    hush: () => usual.hush(),
    voices: () => usual.voices(),
    close: () => channel.close(),
  };
}

/** The stand-in of an ear: writes down what it hears. @returns how it is taken away */
export function openEar(onHeard: (text: string, manner: Manner) => void): () => void {
  const channel = new BroadcastChannel(channelName);
  const here = () => channel.postMessage({ kind: 'here' } satisfies Message);
  channel.onmessage = ({ data }: MessageEvent<Message>) => {
    if (data.kind === 'ask') here();
    if (data.kind === 'say') onHeard(data.text, data.manner);
  };
  here();
  return () => {
    channel.postMessage({ kind: 'gone' } satisfies Message);
    channel.close();
  };
}
