import { afterEach, describe, expect, it, vi } from 'vitest';
import { endSession, wipeDevice } from './sign-out';

const answers = (status: number, body: unknown = null) =>
  vi.stubGlobal(
    'fetch',
    vi.fn(async () => new Response(body === null ? null : JSON.stringify(body), { status })),
  );

afterEach(() => vi.unstubAllGlobals());

describe('ending a session', () => {
  it('is done when the house has done it', async () => {
    answers(204);
    await expect(endSession()).resolves.toBeUndefined();
  });

  it('is done, too, when it had ended already', async () => {
    answers(401, { type: '/problems/sign-in', title: 'Sign in first', status: 401 });
    await expect(endSession()).resolves.toBeUndefined();
  });

  it('is not done when the house does not answer, or refuses', async () => {
    answers(503, { type: '/problems/busy', title: 'Busy', status: 503 });
    await expect(endSession()).rejects.toThrow('Busy');
  });
});

describe('leaving a device', () => {
  it('waits until everything is wiped', async () => {
    const wiped: string[] = [];
    const slow = (name: string) => async () => {
      await Promise.resolve();
      wiped.push(name);
    };
    expect(await wipeDevice([slow('views'), slow('answers')])).toBe(true);
    expect(wiped).toEqual(['views', 'answers']);
  });

  it('is not held back by a browser that is stuck', async () => {
    const stuck = () => new Promise<void>(() => undefined);
    expect(await wipeDevice([stuck, async () => undefined], 5)).toBe(false);
  });

  it('wipes the rest where one part cannot be wiped', async () => {
    const rest = vi.fn(async () => undefined);
    const broken = async () => Promise.reject(new Error('no store'));
    expect(await wipeDevice([broken, rest])).toBe(false);
    expect(rest).toHaveBeenCalledOnce();
  });
});
