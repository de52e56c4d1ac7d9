import { answerQuestion, type Asked } from './answer-question';

/** Answers one question in a thread of its own; `pool.ts` starts it. */
export default (asked: Asked) => answerQuestion(asked);
