import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { flowErrors } from './errors';

const step = { place: 'toes.left', toward: 'foot-top.left', via: [] };

describe('a question about fluid', () => {
  it('names places that the body does not have, with their field', () => {
    const steps = [step, { place: 'tail.left', toward: 'wing.right', via: ['fin.mid'] }];
    expect(flowErrors(anatomy, { steps, start: { 'gill.left': 5, 'toes.left': 5 } })).toEqual([
      { path: 'start.gill.left', message: 'There is no place “gill.left” on the body.' },
      { path: 'steps.1.place', message: 'There is no place “tail.left” on the body.' },
      { path: 'steps.1.toward', message: 'There is no place “wing.right” on the body.' },
      { path: 'steps.1.via.0', message: 'There is no place “fin.mid” on the body.' },
    ]);
  });

  it('lets fluid begin in skin only', () => {
    const [error] = flowErrors(anatomy, { steps: [], start: { 'axillary.left': 5 } });
    expect(error).toEqual({
      path: 'start.axillary.left',
      message: 'Fluid begins in skin: name a territory, not a group of nodes.',
    });
  });

  it('is in order with places of the body, and without a start', () => {
    expect(flowErrors(anatomy, { steps: [step, { ...step, toward: null }] })).toEqual([]);
  });
});
