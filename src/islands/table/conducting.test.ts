import { describe, expect, it } from 'vitest';
import { type Conducting, keepConducting, readConducting, soundAfter, usualConducting } from './conducting';

const shelf = (text: string | null = null) => {
  let kept = text;
  return { getItem: () => kept, setItem: (_: string, next: string) => void (kept = next) };
};

describe('how a device conducts', () => {
  it('is silent, and low when it speaks, where nobody has chosen', () => {
    expect(readConducting(() => shelf())).toEqual(usualConducting);
    expect(usualConducting.manner.volume).toBeLessThan(0.5);
  });

  it('is kept for the next treatment on it', () => {
    const store = shelf();
    const chosen: Conducting = { sound: 'voice', manner: { voice: 'v1', rate: 0.8, volume: 1 } };
    keepConducting(() => store, chosen);
    expect(readConducting(() => store)).toEqual(chosen);
  });

  it('is the usual where what is kept makes no sense, part by part', () => {
    for (const text of ['{', 'null', '{"sound":"loud","manner":{"rate":99,"volume":"x"}}'])
      expect(
        readConducting(() => shelf(text)),
        text,
      ).toEqual(usualConducting);
    expect(readConducting(() => shelf('{"sound":"beats","manner":{"rate":1.1}}'))).toEqual({
      sound: 'beats',
      manner: { ...usualConducting.manner, rate: 1.1 },
    });
  });

  it('goes on without a store', () => {
    const full = {
      setItem: () => {
        throw new Error('QuotaExceededError');
      },
    };
    expect(() => keepConducting(() => full, usualConducting)).not.toThrow();
    const none = () => {
      throw new Error('SecurityError');
    };
    expect(() => keepConducting(none, usualConducting)).not.toThrow();
    expect(readConducting(none)).toEqual(usualConducting);
  });

  it('goes round: silent, beats, voice, silent', () => {
    expect(soundAfter('silent')).toBe('beats');
    expect(soundAfter('beats')).toBe('voice');
    expect(soundAfter('voice')).toBe('silent');
  });
});
