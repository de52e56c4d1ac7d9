import { type ComponentType, createElement, Suspense } from 'react';
import { renderToStaticMarkup } from 'react-dom/server';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { laterPart, untilHere } from './later';

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

describe('a part that is fetched later', () => {
  const Lamp = ({ words }: { readonly words: string }) => createElement('p', null, words);
  const drawn = (part: ComponentType<{ readonly words: string }>) =>
    renderToStaticMarkup(createElement(Suspense, { fallback: 'waiting' }, createElement(part, { words: 'lit' })));

  it('is waited for until it has come', () => {
    const { Part } = laterPart(() => Promise.resolve(Lamp));
    expect(drawn(Part)).toContain('waiting');
  });

  it('is drawn at once when it was fetched ahead, and is loaded once', async () => {
    let loads = 0;
    const { fetch, Part } = laterPart(() => {
      loads += 1;
      return Promise.resolve(Lamp);
    });
    await fetch();
    await fetch();
    expect(drawn(Part)).toBe('<p>lit</p>');
    expect(loads).toBe(1);
  });
});
