import type { Manner } from '../devices/speech';

/** How a treatment is followed with the ears: a soft beat, a voice, or not at all. */
export type Sound = 'silent' | 'beats' | 'voice';
const sounds: readonly Sound[] = ['silent', 'beats', 'voice'];

export interface Conducting {
  readonly sound: Sound;
  readonly manner: Manner;
}

/** Low: one ear-bud is enough, and the client rests. */
export const usualConducting: Conducting = { sound: 'silent', manner: { voice: '', rate: 0.95, volume: 0.3 } };

/** The one after it; after the last comes the first. */
export const soundAfter = (sound: Sound): Sound => sounds[(sounds.indexOf(sound) + 1) % sounds.length] ?? 'silent';

const name = 'velvet-stone-conducting';

/**
 * What this device was set to; the usual where nothing, or nothing that can be read, is kept.
 * @param store a browser that keeps nothing throws already when it is asked for its store
 */
export function readConducting(store: () => Pick<Storage, 'getItem'>): Conducting {
  try {
    const kept = JSON.parse(store().getItem(name) ?? '{}') as Partial<Conducting>;
    const { rate, volume, voice } = { ...usualConducting.manner, ...kept.manner };
    return {
      sound: sounds.find((one) => one === kept.sound) ?? usualConducting.sound,
      manner: {
        voice: String(voice),
        rate: within(rate, 0.5, 2, usualConducting.manner.rate),
        volume: within(volume, 0, 1, usualConducting.manner.volume),
      },
    };
  } catch {
    return usualConducting;
  }
}

const within = (value: unknown, least: number, most: number, usual: number): number =>
  typeof value === 'number' && value >= least && value <= most ? value : usual;

/** A browser that keeps nothing asks again next time. */
export function keepConducting(store: () => Pick<Storage, 'setItem'>, conducting: Conducting): void {
  try {
    store().setItem(name, JSON.stringify(conducting));
  } catch {
    // As above.
  }
}
