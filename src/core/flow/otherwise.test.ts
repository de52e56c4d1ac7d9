import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { makeCase, mustRead } from '../drainage/fixtures';
import { planDrainage } from '../drainage/plan';
import { flowOf } from './flow';
import { frameAt } from './frames';
import { flowGraph, usualStart } from './model';
import { otherwise, otherwiseIds, otherwiseOf } from './otherwise';

const read = mustRead(
  anatomy,
  makeCase(['leg.left'], { minutes: 45, findings: [{ id: 'nodes-removed-inguinal', side: 'left' }] }),
);
const { steps } = planDrainage(anatomy, read);
const graph = flowGraph(anatomy, read.hindrances, read.findings);
const start = usualStart(anatomy, read.territories);
const flow = (of: typeof steps) => flowOf({ graph, start, steps: of, seconds: 3600, every: 60 });
const out = (of: typeof steps) => flow(of).series.at(-1)?.drainedMl ?? 0;

describe('a course done otherwise', () => {
  it.each(otherwiseIds)('(%s) lets out less than the planned one', (id) => {
    expect(out(otherwise(steps, id))).toBeLessThan(out(steps));
  });

  it('keeps its steps where only their order is another', () => {
    for (const id of ['far-first', 'opened-last'] as const)
      expect(
        otherwise(steps, id)
          .map((step) => step.id)
          .toSorted(),
      ).toEqual(steps.map(({ id: own }) => own).toSorted());
  });

  it('is offered only where it is otherwise', () => {
    const plain = steps.filter(({ kind }) => kind === 'clear');
    expect(otherwiseOf(plain)).toEqual(['nothing-opened']);
    expect(otherwiseOf(steps)).toEqual([...otherwiseIds]);
  });
});

describe('a moment of a replay', () => {
  const replay = flow(steps);
  const [place = ''] = Object.keys(replay.places);

  it('is an entry of the series at its own second, and lies between two otherwise', () => {
    const [, , a, b] = replay.series;
    expect(frameAt(replay, 120).drainedMl).toBeCloseTo(a?.drainedMl ?? -1);
    expect(frameAt(replay, 150).drainedMl).toBeCloseTo(((a?.drainedMl ?? 0) + (b?.drainedMl ?? 0)) / 2);
    expect(frameAt(replay, 150).ml(place)).toBeCloseTo(
      ((replay.places[place]?.[2] ?? 0) + (replay.places[place]?.[3] ?? 0)) / 2,
    );
  });

  it('stays at the ends beyond them, and holds nothing where nothing ever was', () => {
    expect(frameAt(replay, -5).drainedMl).toBe(0);
    expect(frameAt(replay, 9999).drainedMl).toBeCloseTo(out(steps));
    expect(frameAt(replay, 600).ml('forehead.left')).toBe(0);
  });
});
