import process from 'node:process';
import { describe, expect, it } from 'vitest';
import { signInDemo } from '../../scripts/served.mjs';
import { allRoutes } from '../../src/contracts/routes';
import { appUrl } from '../app-url';
import { seededRandom } from '../../src/core/random';
import { Fuzz, isFuzzed } from '../fuzz/requests';

const seed = Number(process.env['VELVET_STONE_SEED'] ?? 20_260_101);
const timesEach = Number(process.env['FUZZ_TIMES'] ?? 8);

describe('whatever is asked', () => {
  it('is answered or refused, and never breaks the house', async () => {
    const cookie = `velvet-stone=${await signInDemo(appUrl(), 1)}`;
    const broken: string[] = [];
    for (const [r, route] of allRoutes.filter(isFuzzed).entries()) {
      const fuzz = new Fuzz(seededRandom(seed + 7919 * r));
      for (let time = 0; time < timesEach; time += 1) {
        const { method, path, body, type } = fuzz.request(route);
        const response = await fetch(`${appUrl()}${path}`, {
          method,
          redirect: 'manual',
          headers: { origin: appUrl(), cookie, 'content-type': type },
          ...(body === undefined ? {} : { body }),
        });
        await response.arrayBuffer();
        if (response.status >= 500 && ![503, 507].includes(response.status))
          broken.push(`${response.status} ${method} ${path} ${body?.slice(0, 600) ?? ''}`);
      }
    }
    expect(broken).toEqual([]);
    expect((await fetch(`${appUrl()}/api/health`)).status).toBe(200);
  });
});
