import { describe, expect, it, vi } from 'vitest';
import type { ObservationView } from '../../contracts/measure-views';
import { openTapePanel, readDevice, simulatedTape, type TapeReading } from './button-tape';
import { observedWords, strengthOf, temperatureWords } from './observed-words';

describe('a tape with a button', () => {
  it('is not believed: text, nothing, and what no limb measures are faults', () => {
    expect(readDevice('34.5')).toEqual({ kind: 'girth', cm: 34.5 });
    expect(readDevice(' 34,5 ')).toEqual({ kind: 'girth', cm: 34.5 });
    for (const sent of ['', 'ERR', 'NaN', '0', '-3', '400', 'Infinity'])
      expect(readDevice(sent).kind, sent).toBe('fault');
  });

  it('tells everybody who listens, and nobody who has stopped', async () => {
    const tape = openTapePanel();
    const heard: TapeReading[] = [];
    const other: TapeReading[] = [];
    const stop = simulatedTape.listen((reading) => heard.push(reading));
    const stopOther = simulatedTape.listen((reading) => other.push(reading));
    tape.press('20');
    await vi.waitFor(() => expect(heard).toHaveLength(1));
    stop();
    tape.press('ERR 3');
    await vi.waitFor(() => expect(other.map(({ kind }) => kind)).toEqual(['girth', 'fault']));
    stopOther();
    tape.close();
    expect(heard).toEqual([{ kind: 'girth', cm: 20 }]);
  });
});

describe('what was felt or seen, in a few words', () => {
  const seen = (kind: string, value: unknown) =>
    observedWords({
      ...{ key: 1, phase: 'before', place: 'shin-lower.left', takenAt: '2026-11-25T09:00:00Z', visitId: 1, by: null },
      ...{ kind, value },
    } as ObservationView);

  it('names depth, time and grade of a pit', () => {
    const words = seen('pitting', { depthMm: 4, reboundSeconds: 12 });
    expect(words).toContain('pits 4 mm');
    expect(words).toContain('back in 12 s');
    expect(seen('pitting', { depthMm: 2.5, reboundSeconds: null })).toContain('pits 2.5 mm:');
  });

  it('tells warmer from as warm by the rule, with its sign', () => {
    expect(temperatureWords(0.1)).toContain('as warm as the other side');
    expect(temperatureWords(3)).toBe('clearly warmer than the other side (+3.0 °C)');
    expect(temperatureWords(-3)).toBe('clearly cooler than the other side (−3.0 °C)');
  });

  it('says that redness spreads', () => {
    expect(seen('redness', { grade: 2, isSpreading: true })).toMatch(/^redness .*, spreading$/);
  });

  it('is tinted the stronger the worse it is', () => {
    const tint = (texture: string) => strengthOf({ kind: 'texture', value: { texture } } as unknown as ObservationView);
    expect(['soft', 'doughy', 'firm', 'hard'].map(tint)).toEqual([0.2, 0.45, 0.7, 0.95]);
  });
});
