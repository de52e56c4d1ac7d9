import { formatNumber } from '../../core/units';
import type { Facts } from '../saving/SaveLine';
import type { Answers } from './answers';
import { closeWords } from './close.words';

const number = (value: number | null | undefined) => (value === null || value === undefined ? '' : formatNumber(value));

/** What a closing says, answer by answer, for two versions to be set side by side. */
export function factsOf(answers: Answers): Facts {
  return {
    [closeWords.factPressure]: number(answers.pressure),
    [closeWords.factComfort]: number(answers.comfort),
    [closeWords.factRelaxationBefore]: number(answers.relaxationBefore),
    [closeWords.factRelaxationAfter]: number(answers.relaxationAfter),
    [closeWords.factWarmth]: number(answers.warmth),
    [closeWords.factScent]: number(answers.scent),
    [closeWords.factRednessBefore]: number(answers.rednessBefore),
    [closeWords.factRedness]: number(answers.redness),
    [closeWords.factFade]: number(answers.fadeMinutes),
    [closeWords.factNote]: answers.note ?? '',
    [closeWords.factBodyOil]: number(answers.oilMl?.body),
    [closeWords.factFaceOil]: number(answers.oilMl?.face),
    [closeWords.factStones]: number(answers.stonesUsed),
    [closeWords.factAftercare]: answers.aftercare?.join(', ') ?? '',
  };
}
