import { performance } from 'node:perf_hooks';
import { describe, expect, it } from 'vitest';
import { appUrl } from '../app-url';
import { call } from './client';
import { heavyQuestions } from './heavy-questions';

const ask = (question: string, body: unknown, signal?: AbortSignal) =>
  fetch(`${appUrl()}/api/compute/${question}`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify(body),
    ...(signal && { signal }),
  });

const timeOf = async (act: () => Promise<unknown>): Promise<number> => {
  const begun = performance.now();
  await act();
  return performance.now() - begun;
};

/** The aim is 2 s and 50 ms on a machine with nothing else to do; tests run beside each other, and on slower ones. */
const slackFactor = 3 * slowness();

/** How many times slower this machine is now than the one on which the aims were set: a loop of known length there. */
function slowness(): number {
  const usualMs = 160;
  const begun = performance.now();
  let x = 1;
  for (let i = 0; i < 20_000_000; i += 1) x = (x * 1_103_515_245 + 12_345) & 0x7fffffff;
  const tookMs = performance.now() - begun + (x === 0 ? 1 : 0);
  return Math.max(1, tookMs / usualMs);
}

describe('while something heavy is computed', () => {
  it.each(Object.entries(heavyQuestions))('%s: everybody else is served', async (_, [question, body]) => {
    const waits: number[] = [];
    let isOver = false;
    const others = (async () => {
      while (!isOver) waits.push(await timeOf(async () => (await fetch(`${appUrl()}/api/health`)).text()));
    })();
    const took = await timeOf(async () => expect((await ask(question, body)).status).toBe(200));
    isOver = true;
    await others;
    expect(took).toBeLessThan(slackFactor * 2000);
    // On the thread of the house one of them would wait as long as the question takes. What takes no longer than a busy
    // machine may pause by itself says nothing.
    expect(Math.max(...waits)).toBeLessThan(Math.max(slackFactor * 100, took * 0.9));
  });

  it('more than can wait are asked to come again, and nothing is lost for the others', async () => {
    const [question, body] = heavyQuestions['twenty blocks in any order'] ?? ['', null];
    const leaving = new AbortController();
    const crowd = Array.from({ length: 80 }, () => ask(question, body, leaving.signal).catch(() => undefined));
    const refused = await Promise.race(
      crowd.map(
        (one) =>
          new Promise<Response>((resolve) => {
            void one.then((answer) => {
              if (answer?.status === 503) resolve(answer);
            });
          }),
      ),
    );
    expect(refused.headers.get('retry-after')).toMatch(/^\d+$/);
    expect(await refused.json()).toMatchObject({ type: '/problems/busy', status: 503 });
    // Who goes away is not computed for: the next one need not wait for a crowd that has left.
    leaving.abort();
    await Promise.all(crowd);
    // That they have gone is heard of one after the other: until then somebody else is asked to come again, and does.
    const small = async (): Promise<number> => {
      // Somebody who is signed in: the crowd may have used up the share of its address on a slow machine.
      const { status } = await call('POST', '/api/compute/sequence', { blocks: [] });
      if (status !== 503) return status;
      await new Promise((resolve) => setTimeout(resolve, 100));
      return small();
    };
    const took = await timeOf(async () => expect(await small()).toBe(200));
    expect(took).toBeLessThan(slackFactor * 2000);
  });
});
