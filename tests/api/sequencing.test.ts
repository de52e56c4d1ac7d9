import { describe, expect, it } from 'vitest';
import { SequenceResponse, TimeFitResponse } from '../../src/contracts/sequencing';
import { post } from './client';

const block = (id: string, input: object = {}) => ({
  id,
  minutes: 10,
  position: 'supine',
  hands: 'dry',
  therapist: 'head',
  side: 'both',
  after: [],
  ...input,
});

describe('POST /api/compute/sequence', () => {
  it('answers in the documented shape', async () => {
    const blocks = [
      block('back', { position: 'prone', hands: 'oiled', after: ['drain'] }),
      block('face', { hands: 'oiled' }),
      block('drain'),
    ];
    const { status, body } = await post('/api/compute/sequence', { blocks });
    expect(status).toBe(200);
    expect(SequenceResponse.safeParse(body).error).toBeUndefined();
    expect(body).toEqual({
      order: ['drain', 'face', 'back'],
      setupSeconds: 140,
      lowerBound: 140,
      gap: 0,
      optimal: true,
      changes: [
        { before: 'face', kind: 'hands', seconds: 20 },
        { before: 'back', kind: 'turn', seconds: 120 },
      ],
    });
  });

  it('takes another start and other costs', async () => {
    const blocks = [block('back', { position: 'prone', hands: 'oiled', therapist: 'feet' })];
    const start = { position: 'prone', hands: 'stone', therapist: 'left', side: 'both' };
    const costs = { walk: 7, hands: { stone: { oiled: 1 } } };
    const { body } = await post('/api/compute/sequence', { blocks, start, costs });
    expect(body.changes).toEqual([
      { before: 'back', kind: 'hands', seconds: 1 },
      { before: 'back', kind: 'walk', seconds: 7 },
    ]);
  });

  it('names the ring of blocks that wait for each other', async () => {
    const blocks = [block('a', { after: ['b'] }), block('b', { after: ['c'] }), block('c', { after: ['a'] })];
    const { status, body } = await post('/api/compute/sequence', { blocks });
    expect(status).toBe(422);
    expect(body.detail).toContain('a → c → b → a');
  });

  it.each([
    ['an unknown position', { blocks: [block('a', { position: 'upright' })] }, 'blocks.0.position'],
    ['an id given twice', { blocks: [block('a'), block('a')] }, 'blocks.1.id'],
    ['a block after nobody', { blocks: [block('a', { after: ['x'] })] }, 'blocks.0.after.0'],
    ['seconds below 0', { blocks: [], costs: { turn: -1 } }, 'costs.turn'],
    ['no list', {}, 'blocks'],
  ])('names the field for %s', async (_, body, path) => {
    const answer = await post('/api/compute/sequence', body);
    expect(answer.status).toBe(400);
    expect(answer.body.errors.map((e: { path: string }) => e.path)).toContain(path);
  });
});

describe('POST /api/compute/time-fit', () => {
  const step = { id: 'a', secondsPerRepetition: 10, overheadSeconds: 8, min: 3, usual: 5, max: 8, weight: 1 };

  it('answers in the documented shape', async () => {
    const steps = [
      { ...step, optional: false },
      { ...step, id: 'b', optional: true, weight: 0.1 },
    ];
    const { status, body } = await post('/api/compute/time-fit', { availableSeconds: 60, steps, fill: false });
    expect(status).toBe(200);
    expect(TimeFitResponse.safeParse(body).error).toBeUndefined();
    expect(body).toMatchObject({
      fits: true,
      shortBySeconds: 0,
      usedSeconds: 58,
      repetitions: [{ id: 'a', repetitions: 5 }],
      leftOut: ['b'],
    });
    expect(body.penalty).toBeCloseTo(0.15, 12);
  });

  it('says by how much even the least is too long', async () => {
    const { body } = await post('/api/compute/time-fit', { availableSeconds: 20, steps: [step] });
    expect(body).toMatchObject({ fits: false, shortBySeconds: 18 });
  });

  it.each([
    ['repetitions of 0', { min: 0 }, 'steps.0.min'],
    ['a usual number above the most', { usual: 9 }, 'steps.0.max'],
    ['text for seconds', { secondsPerRepetition: '10' }, 'steps.0.secondsPerRepetition'],
  ])('names the field for %s', async (_, change, path) => {
    const answer = await post('/api/compute/time-fit', { availableSeconds: 60, steps: [{ ...step, ...change }] });
    expect(answer.status).toBe(400);
    expect(answer.body.errors.map((e: { path: string }) => e.path)).toContain(path);
  });
});
