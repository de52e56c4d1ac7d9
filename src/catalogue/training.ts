import type { Figure } from '../core/figure/figure';
import type { TrainingBooks } from '../core/training/drill';
import { anatomy } from './anatomy';
import back from './figure/back.json';
import faceFront from './figure/face-front.json';
import faceSide from './figure/face-side.json';
import foot from './figure/foot.json';
import front from './figure/front.json';
import hand from './figure/hand.json';
import { oilBook } from './oils/oils';
import { screeningBook } from './screening/screening';
import { stoneBook } from './stones/stones';

/** Everything that drills ask of the catalogue. */
export const trainingBooks: TrainingBooks = {
  anatomy,
  figures: [front, back, faceFront, faceSide, hand, foot] as unknown as readonly Figure[],
  oils: oilBook,
  stones: stoneBook,
  screening: screeningBook,
};
