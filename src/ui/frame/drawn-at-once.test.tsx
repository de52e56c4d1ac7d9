import { useId } from 'react';
import { describe, expect, it } from 'vitest';
import drawn from './drawn-at-once';

const Named = () => <label htmlFor={useId()}>Ørsted “at rest”</label>;

describe('an island that is drawn in one go', () => {
  const read = (node: Parameters<typeof drawn.renderToReadableStream>[0], identifierPrefix?: string) =>
    new Response(drawn.renderToReadableStream(node, { identifierPrefix })).text();

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
    const reader = drawn
      .renderToReadableStream(
        <ul>
          {Array.from({ length: 999 }, (_, i) => (
            <li key={i}>{i}</li>
          ))}
        </ul>,
      )
      ?.getReader();
    expect((await reader?.read())?.done).toBe(false);
    expect((await reader?.read())?.done).toBe(true);
  });

  it('of nothing is nothing', async () => {
    expect(await read(null)).toBe('');
  });
});
