import { describe, expect, it } from 'vitest';
import { mayBeSent, mayBeTaken, pictureAnswers } from './agreement';
import { pairsOfVisit, pairsOverVisits, type Pictured } from './pairs';

let next = 0;
const photo = (pose: Pictured['pose'], phase: Pictured['phase'], visitId: number | null) => ({
  ...{ id: (next += 1), pose, phase, visitId },
});
const ids = (pairs: ReturnType<typeof pairsOfVisit<ReturnType<typeof photo>>>) =>
  pairs.map(({ pose, earlier, later }) => [pose, earlier.id, later.id]);

describe('before and after of a visit', () => {
  it('holds each view against itself, and only pictures of this visit', () => {
    const photos = [
      photo('front', 'before', 1),
      photo('front', 'before', 2),
      photo('face', 'before', 2),
      photo('front', 'after', 2),
      photo('face', 'after', 2),
    ];
    const [, front, face, frontAfter, faceAfter] = photos.map(({ id }) => id);
    expect(ids(pairsOfVisit(photos, 2))).toEqual([
      ['front', front, frontAfter],
      ['face', face, faceAfter],
    ]);
    expect(pairsOfVisit(photos, 1)).toEqual([]);
  });

  it('takes the last of several: the one before it was taken again', () => {
    const photos = [photo('back', 'before', 3), photo('back', 'before', 3), photo('back', 'after', 3)];
    expect(ids(pairsOfVisit(photos, 3))).toEqual([['back', photos[1]?.id, photos[2]?.id]]);
  });
});

describe('the first and the newest', () => {
  it('compares before with before where there are two, else what there is', () => {
    const photos = [
      photo('front', 'before', 1),
      photo('front', 'after', 1),
      photo('front', 'before', 2),
      photo('front', 'after', 2),
      photo('face', 'before', 2),
      photo('face', 'after', 2),
      photo('back', 'before', 2),
    ];
    expect(ids(pairsOverVisits(photos))).toEqual([
      ['front', photos[0]?.id, photos[2]?.id],
      ['face', photos[4]?.id, photos[5]?.id],
    ]);
  });

  it('is nothing of nothing', () => expect(pairsOverVisits([])).toEqual([]));
});

describe('what was agreed to', () => {
  it.each([
    [null, false, false],
    ['refused', false, false],
    ['record', true, false],
    ['letters', true, true],
  ] as const)('%s: taken %s, sent %s', (answer, taken, sent) => {
    expect([mayBeTaken(answer), mayBeSent(answer)]).toEqual([taken, sent]);
  });

  it('allows no less the further it goes', () => {
    const allowed = pictureAnswers.map((answer) => Number(mayBeTaken(answer)) + Number(mayBeSent(answer)));
    expect(allowed).toEqual([...allowed].sort((a, b) => a - b));
  });
});
