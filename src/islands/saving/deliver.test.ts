import { describe, expect, it } from 'vitest';
import { RequestError } from '../api';
import { deliver } from './deliver';

const failing = (status: number, retryAfterMs?: number) => () =>
  Promise.reject(new RequestError(status, { type: '/problems/any', title: 'any', status }, retryAfterMs));

describe('what became of a request', () => {
  it('is saved when it was answered', async () => {
    expect(await deliver(() => Promise.resolve(3))).toEqual({ kind: 'saved', answer: 3 });
  });

  it.each([0, 401, 408, 423, 429, 500, 503, 507])('%i: the same is tried again', async (status) => {
    expect(await deliver(failing(status))).toEqual({ kind: 'unreachable' });
  });

  it('waits as long as the house asks for', async () => {
    expect(await deliver(failing(503, 2000))).toEqual({ kind: 'unreachable', afterMs: 2000 });
  });

  it('409: somebody else saved meanwhile', async () => {
    expect(await deliver(failing(409))).toMatchObject({ kind: 'conflict' });
  });

  it.each([400, 403, 404, 413, 415, 422])('%i: it will never be taken as it is', async (status) => {
    expect(await deliver(failing(status))).toMatchObject({ kind: 'refused', problem: { status } });
  });

  it('does not take a fault of the page for an answer of the house', async () => {
    await expect(deliver(() => Promise.reject(new TypeError('x is not a function')))).rejects.toThrow(TypeError);
  });
});
