import { lazy, Suspense, useId } from 'react';
import { describe, expect, it } from 'vitest';
import drawn from './drawn-at-once';

const Named = () => <label htmlFor={useId()}>Ørsted “at rest”</label>;

describe('an island that is drawn in one go', () => {
  const read = async (node: Parameters<typeof drawn.renderToReadableStream>[0], identifierPrefix?: string) =>
    new Response(await drawn.renderToReadableStream(node, { identifierPrefix })).text();

  it('is what React writes', async () => {
    expect(await read(<p title="b">one {2}</p>)).toBe('<p title="b">one <!-- -->2</p>');
    expect(await read(<Named />)).toContain('Ørsted “at rest”');
  });

  it('has names of its own beside other islands', async () => {
    const [first, second] = [await read(<Named />, 'r1'), await read(<Named />, 'r2')];
    expect(first).toContain('r1');
    expect(second).toContain('r2');
    expect(first).not.toBe(second);
  });

  it('comes in a single piece', async () => {
    const rows = Array.from({ length: 999 }, (_, i) => <li key={i}>{i}</li>);
    const reader = (await drawn.renderToReadableStream(<ul>{rows}</ul>))?.getReader();
    expect((await reader?.read())?.done).toBe(false);
    expect((await reader?.read())?.done).toBe(true);
  });

  it('waits for a part whose code has not come yet, and draws it at once the next time', async () => {
    let fetched = 0;
    const Part = lazy(async () => {
      fetched += 1;
      await new Promise((resolve) => setTimeout(resolve, 5));
      return { default: () => <p>the part</p> };
    });
    const view = (
      <Suspense fallback={<p>soon</p>}>
        <Part />
      </Suspense>
    );
    const first = await read(view);
    expect(first).toContain('the part');
    const second = await read(view);
    expect(second).toContain('<p>the part</p>');
    expect(second).not.toContain('soon');
    expect(second).not.toContain('<script');
    expect(fetched).toBe(1);
  });

  it('waits for a part without a word for the time until then', async () => {
    const Part = lazy(async () => Promise.resolve({ default: () => <p>the part</p> }));
    expect(await read(<Part />)).toContain('<p>the part</p>');
  });

  it('fails where the view fails, and does not keep it to itself', async () => {
    const Broken = () => {
      throw new RangeError('no such place');
    };
    await expect(read(<Broken />)).rejects.toThrow('no such place');
  });

  it('of nothing is nothing', async () => {
    expect(await read(null)).toBe('');
  });
});
