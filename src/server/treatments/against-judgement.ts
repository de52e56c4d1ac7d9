import { anatomy } from '../../catalogue/anatomy';
import { shortLabel } from '../../core/anatomy/place-labels';
import type { JudgementViolation } from '../../core/judgement/violations';
import type { ProductViolation } from '../../core/judgement/product-violations';
import type { FieldError } from '../../core/result';

type Violation = Pick<JudgementViolation | ProductViolation, 'step' | 'limit' | 'place'>;

const limitWords: Readonly<Record<Violation['limit'], string>> = {
  decision: 'this kind of work is not given today',
  place: 'that place is left alone',
  margin: 'it lies too near to a mark',
  'closed-group': 'its node group is closed',
  maxPressure: 'it is too firm',
  skipTechniques: 'this way of working is left out',
  noHeat: 'no heat',
  noCold: 'nothing cool',
  noOil: 'no oil',
  noScent: 'unscented only',
  avoidPosition: 'not lying so',
  spineDirection: 'along the spine only downwards',
  maxMinutes: 'longer than allowed',
  maxPerWeek: 'more often than allowed',
  dilutionMaxPercent: 'stronger than allowed',
  avoidOils: 'an oil that is kept away',
  maxStoneC: 'the stone is too warm',
};

/**
 * What the check apart has found in something that was made for a client, in words that name the step.
 * @param nameOf a step by its id
 */
export const violationErrors = (
  violations: readonly Violation[],
  path: string,
  nameOf: (step: string) => string,
): readonly FieldError[] =>
  violations.map(({ step, limit, place }) => {
    const what = step === null ? 'The whole of it' : `“${nameOf(step)}”`;
    const where = place === null ? '' : `, ${shortLabel(anatomy, place)}`;
    return {
      path,
      message: `${what}${where}: ${limitWords[limit]}. Choose something else, or leave this part out.`,
    };
  });

/** Thrown inside a unit of work so that nothing of it is kept; answered as a refusal. */
export class AgainstJudgement extends Error {
  constructor(readonly errors: readonly FieldError[]) {
    super(errors.map(({ message }) => message).join(' '));
  }
}
