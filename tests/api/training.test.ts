import { describe, expect, it } from 'vitest';
import { DrillAnswerResponse, DrillResponse } from '../../src/contracts/training';
import { drillKinds, levels } from '../../src/core/training/kinds';
import { post } from './client';

const ask = (kind: string, level: unknown = 1, seed: unknown = 7) => post('/api/compute/drill', { kind, level, seed });
const answer = (kind: string, given: unknown, level = 1, seed = 7) =>
  post('/api/compute/drill-answer', { kind, level, seed, answer: given });
const fieldsOf = ({ body }: { readonly body: { readonly errors?: readonly { readonly path: string }[] } }) =>
  (body.errors ?? []).map(({ path }) => path);

describe.each(drillKinds)('POST /api/compute/drill of “%s”', (kind) => {
  it.each(levels)('asks at level %i what its own best answer answers', async (level) => {
    const asked = await ask(kind, level);
    expect(asked.status).toBe(200);
    expect(DrillResponse.safeParse(asked.body).error).toBeUndefined();
    expect(await ask(kind, level)).toMatchObject({ body: asked.body });
    const givenUp = await answer(kind, null, level);
    expect(DrillAnswerResponse.safeParse(givenUp.body).error).toBeUndefined();
    expect(givenUp.body).toMatchObject({ score: 0, faults: [] });
    const best = await answer(kind, givenUp.body.best, level);
    expect({ status: best.status, body: best.body }).toMatchObject({ status: 200, body: { score: 1, faults: [] } });
  });

  it('refuses an answer of another shape, and names its field', async () => {
    const other = await answer(kind, { sandwich: 'cheese' });
    expect(other.status).toBe(400);
    expect(fieldsOf(other).every((path) => path.startsWith('answer'))).toBe(true);
    expect(fieldsOf(other).length).toBeGreaterThan(0);
    expect(fieldsOf(await answer(kind, 'seven'))).toEqual(['answer']);
  });
});

describe('what no drill is', () => {
  it('names the field: a kind, a level, a seed', async () => {
    expect(fieldsOf(await ask('juggling'))).toEqual(['kind']);
    expect(fieldsOf(await ask('order', 9))).toEqual(['level']);
    expect(fieldsOf(await ask('order', 1, 1.5))).toEqual(['seed']);
    expect(fieldsOf(await ask('order', 1, -1))).toEqual(['seed']);
    expect(fieldsOf(await answer('juggling', null))).toEqual(['kind']);
  });

  it('names the step of an answer to another case', async () => {
    const { body } = await answer('order', null);
    expect(fieldsOf(await answer('order', { order: ['s1', 's999'] }))).toEqual(['answer.order.1']);
    expect(fieldsOf(await answer('order', { order: ['s1', 's1'] }))).toEqual(['answer.order.1']);
    expect(body.best.order.length).toBeGreaterThan(5);
  });

  it('names the oil and the kind of work that were not asked for', async () => {
    expect(fieldsOf(await answer('drops', { drops: { moonflower: 3 } }))).toContain('answer.drops.moonflower');
    expect(fieldsOf(await answer('drops', { drops: { moonflower: 1.5 } }))).toContain('answer.drops.moonflower');
    expect(fieldsOf(await answer('screen', { decisions: { juggling: 'ok' } }))).toContain('answer.decisions.juggling');
  });
});
