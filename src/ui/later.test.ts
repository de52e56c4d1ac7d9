import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { untilHere } from './later';

describe('a part of a view that cannot be fetched', () => {
  beforeEach(() => void vi.useFakeTimers());
  afterEach(() => void vi.useRealTimers());

  it('is asked for again until it comes', async () => {
    let asked = 0;
    const come = untilHere(() => {
      asked += 1;
      return asked < 3 ? Promise.reject(new TypeError('Failed to fetch')) : Promise.resolve('here');
    })();
    await vi.advanceTimersByTimeAsync(2000);
    expect(asked).toBe(2);
    await vi.advanceTimersByTimeAsync(2000);
    await expect(come).resolves.toBe('here');
    expect(asked).toBe(3);
  });

  it('comes at once where nothing is in the way', async () => {
    await expect(untilHere(() => Promise.resolve(1))()).resolves.toBe(1);
  });
});
