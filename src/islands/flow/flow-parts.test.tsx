import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import type { Flow } from '../../core/flow/flow';
import { FlowLines } from './FlowLines';
import type { Replay } from './useReplay';

/** A course that lets out so much a minute. */
const flow = (perMinuteMl: number, minutes = 10): Flow =>
  ({
    series: Array.from({ length: minutes + 1 }, (_, i) => ({ second: i * 60, drainedMl: i * perMinuteMl })),
  }) as unknown as Flow;
const replay = { onFrame: () => () => undefined } as unknown as Replay;
const lines = (planned: Flow, other?: Flow) =>
  renderToStaticMarkup(
    <FlowLines
      planned={planned}
      other={other}
      plannedTitle="the plan"
      otherTitle="far end first"
      endS={600}
      replay={replay}
    />,
  );
const heightsOf = (html: string) => [...html.matchAll(/ d="M[^"]* ([\d.]+)"/g)].map(([, y]) => Number(y));

describe('the lines of a flow', () => {
  it('say both ends in words, for whoever does not see them', () => {
    expect(lines(flow(5), flow(3))).toContain(
      'role="img" aria-label="What has left to the veins at the end: the plan 50 mL; far end first 30 mL"',
    );
  });

  it('lie the higher the more was let out', () => {
    const [other = 0, planned = 0] = heightsOf(lines(flow(5), flow(3)));
    expect(planned).toBeLessThan(other);
  });

  it('share one scale that ends at a round number, above both', () => {
    expect(lines(flow(5), flow(7))).toContain('80 mL');
    expect(lines(flow(5), flow(3))).toContain('60 mL');
    expect(lines(flow(0.1))).toMatch(/1 mL|1\.2 mL/);
  });

  it('stay within the picture from the first to the last moment', () => {
    const html = lines(flow(40), flow(2));
    for (const [, x, y] of html.matchAll(/[ML]([\d.]+) ([\d.]+)/g)) {
      expect(Number(x)).toBeGreaterThanOrEqual(56);
      expect(Number(x)).toBeLessThanOrEqual(640);
      expect(Number(y)).toBeGreaterThanOrEqual(0);
      expect(Number(y)).toBeLessThanOrEqual(250);
    }
  });

  it('name themselves apart even where they end at the same height', () => {
    const ys = [...lines(flow(5), flow(5)).matchAll(/<text x="630" y="([\d.]+)"/g)].map(([, y]) => Number(y));
    expect(Math.abs((ys[0] ?? 0) - (ys[1] ?? 0))).toBeGreaterThanOrEqual(20);
  });

  it('is one line where nothing is compared', () => {
    expect(lines(flow(5)).match(/<path/g)).toHaveLength(1);
    expect(lines(flow(5))).not.toContain('far end first</text>');
  });
});
