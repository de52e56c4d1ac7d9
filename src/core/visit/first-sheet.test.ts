import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { screeningBook } from '../../catalogue/screening/screening';
import { firstSheet, measureSheets } from './first-sheet';

describe('what is measured first', () => {
  it.each([
    ['a swollen leg', ['leg.left'], undefined, 'tape'],
    ['both arms', ['arm.left', 'arm.right'], ['lymph-drainage'], 'tape'],
    ['a puffy face', ['face', 'neck'], undefined, 'face'],
    ['a belly that is drained', ['abdomen'], ['lymph-drainage'], 'belly'],
    ['a facial', ['whole-body'], ['facial-massage'], 'face'],
    ['a neck that is moved', ['whole-body'], ['neck-mobilisation', 'body-massage'], 'face'],
    ['gloved work in the mouth', ['whole-body'], ['facial-intraoral'], 'face'],
    ['a belly massage', ['whole-body'], ['abdominal-massage'], 'belly'],
    ['hot stones', ['whole-body'], ['hot-stone', 'body-massage'], 'feel'],
    ['a drained leg with stones', ['leg.left'], ['lymph-drainage', 'hot-stone'], 'tape'],
    ['a drained leg before a facial', ['leg.left'], ['lymph-drainage', 'facial-massage'], 'tape'],
    ['the whole body, drained', ['whole-body'], ['lymph-drainage'], 'tape'],
  ] as const)('of %s', (_, focus, modalities, sheet) => expect(firstSheet({ focus, modalities })).toBe(sheet));

  it('is nothing of the legs where the work does not drain them', () => {
    expect(firstSheet({ focus: ['leg.left'], modalities: ['hot-stone'] })).not.toBe('tape');
  });

  it('is always a sheet that there is', () => {
    const visit = fc.record({
      focus: fc.subarray(['leg.left', 'arm.right', 'face', 'neck', 'abdomen', 'trunk-upper.left', 'whole-body']),
      modalities: fc.option(fc.subarray([...screeningBook.modalities.keys()]), { nil: undefined }),
    });
    fc.assert(
      fc.property(visit, (one) => {
        expect(measureSheets).toContain(firstSheet(one));
      }),
    );
  });
});
