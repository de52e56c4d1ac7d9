import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';
import { authAnswers } from './auth.answers';

/** Guesses that a patient machine makes in a day are too few to keep a house (of 0 to 4). */
const leastScore = 3;

let judge: ZxcvbnFactory | undefined;

/** What is wrong with a password that passes the plain rules: that it is known, or made like those that are. */
export function oftenTriedTrouble(password: string, ownWords: readonly string[]): string | undefined {
  judge ??= new ZxcvbnFactory({ graphs: adjacencyGraphs, dictionary: { ...dictionary } });
  const { score } = judge.check(password.slice(0, 100), [...ownWords]);
  return score >= leastScore ? undefined : authAnswers.thatIsAmongThePasswordsThat;
}
