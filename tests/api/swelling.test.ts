import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { LimbChangeResponse, MeasurementErrorResponse, TrendResponse } from '../../src/contracts/swelling';
import { call, post } from './client';

interface Example {
  readonly id: string;
  readonly endpoint: string;
  readonly request: object;
  readonly response: Record<string, unknown>;
}
const examples = JSON.parse(
  readFileSync(new URL('./swelling.examples.json', import.meta.url), 'utf8'),
) as readonly Example[];
const shapes = {
  '/api/compute/limb-change': LimbChangeResponse,
  '/api/compute/measurement-error': MeasurementErrorResponse,
  '/api/compute/trend': TrendResponse,
};

describe('worked examples of change, error and trend', () => {
  it.each(examples.map((example) => [example.id, example] as const))('%s', async (_, example) => {
    const { status, body } = await post(example.endpoint, example.request);
    expect(status).toBe(200);
    expect(shapes[example.endpoint as keyof typeof shapes].safeParse(body).error).toBeUndefined();
    expect(Object.keys(body).sort()).toEqual(Object.keys(example.response).sort());
    for (const [key, expected] of Object.entries(example.response)) {
      if (typeof expected === 'number') expect(body[key], key).toBeCloseTo(expected, 4);
      else expect(body[key], key).toBe(expected);
    }
  });
});

const two = [
  { date: '2026-03-01', value: 1 },
  { date: '2026-03-08', value: 2 },
];

describe('refusals', () => {
  it.each([
    [
      '/api/compute/limb-change',
      { before: { affectedMl: 1 }, after: { affectedMl: 1 }, mode: 'rvc' },
      'missing-unaffected',
    ],
    [
      '/api/compute/limb-change',
      { before: { affectedMl: 1 }, after: { affectedMl: 1 }, mode: 'wac' },
      'missing-weight',
    ],
    ['/api/compute/measurement-error', { duplicates: [[1, 2]] }, 'too-few-pairs'],
    ['/api/compute/measurement-error', { duplicates: [] }, 'too-few-pairs'],
    ['/api/compute/trend', { points: [] }, 'too-few-points'],
    ['/api/compute/trend', { points: [two[0], two[0]] }, 'too-few-points'],
  ])('%s: fields that do not fit together', async (path, request, name) => {
    const { status, type, body } = await post(path, request);
    expect([status, type, body.type]).toEqual([422, 'application/problem+json', `/problems/${name}`]);
    expect(body.errors[0].message.length).toBeGreaterThan(5);
    expect((await call('GET', body.type, undefined, undefined, 'nobody')).status).toBe(200);
  });

  it.each([
    [
      '/api/compute/limb-change',
      { before: { affectedMl: 0 }, after: { affectedMl: 1 }, mode: 'rvc' },
      'before.affectedMl',
    ],
    ['/api/compute/limb-change', { before: { affectedMl: 1 }, after: { affectedMl: 1 }, mode: 'both' }, 'mode'],
    ['/api/compute/limb-change', { before: { affectedMl: 1 }, mode: 'rvc' }, 'after'],
    ['/api/compute/measurement-error', { duplicates: [[1, '2']] }, 'duplicates.0.1'],
    ['/api/compute/measurement-error', { duplicates: [[1, 2, 3]] }, 'duplicates.0'],
    ['/api/compute/measurement-error', {}, 'duplicates'],
    ['/api/compute/trend', { points: [{ date: '2026-02-30', value: 1 }] }, 'points.0.date'],
    ['/api/compute/trend', { points: [{ date: '2026-02-01', value: '1' }] }, 'points.0.value'],
    ['/api/compute/trend', { points: two, confidence: 0.5 }, 'confidence'],
    ['/api/compute/trend', { points: two, confidence: null }, 'confidence'],
  ])('%s: a field that is wrong by itself', async (path, request, field) => {
    const { status, body } = await post(path, request);
    expect(status).toBe(400);
    expect(body.type).toBe('/problems/invalid-input');
    expect(body.errors.map((error: { path: string }) => error.path)).toContain(field);
  });

  it('takes null, and a key left out, for what was not measured', async () => {
    const before = { affectedMl: 2000, unaffectedMl: 1900 };
    const { status } = await post('/api/compute/limb-change', {
      before: { ...before, weightKg: null },
      after: before,
      mode: 'rvc',
    });
    expect(status).toBe(200);
  });

  it('works out a trend of a thousand values', async () => {
    const points = Array.from({ length: 1000 }, (_, i) => ({
      date: new Date(Date.UTC(2020, 0, 1 + i)).toISOString().slice(0, 10),
      value: 1000 - i / 7,
    }));
    const { body } = await post('/api/compute/trend', { points });
    expect(body.slopePerWeek).toBeCloseTo(-1, 6);
    expect(body.direction).toBe('falling');
  });
});
