import { anatomy } from '../../catalogue/anatomy';
import { shortLabel } from '../../core/anatomy/place-labels';
import type { JudgementViolation } from '../../core/judgement/violations';
import type { ProductViolation } from '../../core/judgement/product-violations';
import type { FieldError } from '../../core/result';
import { treatmentsAnswers } from './treatments.answers';

type Violation = Pick<JudgementViolation | ProductViolation, 'step' | 'limit' | 'place'>;

const limitWords: Readonly<Record<Violation['limit'], string>> = {
  decision: treatmentsAnswers.thisKindOfWorkIsNot,
  place: treatmentsAnswers.thatPlaceIsLeftAlone,
  margin: treatmentsAnswers.itLiesTooNearToA,
  'closed-group': treatmentsAnswers.itsNodeGroupIsClosed,
  maxPressure: treatmentsAnswers.itIsTooFirm,
  skipTechniques: treatmentsAnswers.thisWayOfWorkingIsLeft,
  noHeat: treatmentsAnswers.noHeat,
  noCold: treatmentsAnswers.nothingCool,
  noOil: treatmentsAnswers.noOil,
  noScent: treatmentsAnswers.unscentedOnly,
  avoidPosition: treatmentsAnswers.notLyingSo,
  spineDirection: treatmentsAnswers.alongTheSpineOnlyDownwards,
  maxMinutes: treatmentsAnswers.longerThanAllowed,
  maxPerWeek: treatmentsAnswers.moreOftenThanAllowed,
  dilutionMaxPercent: treatmentsAnswers.strongerThanAllowed,
  avoidOils: treatmentsAnswers.anOilThatIsKeptAway,
  maxStoneC: treatmentsAnswers.theStoneIsTooWarm,
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
    const what = step === null ? treatmentsAnswers.theWholeOfIt : `“${nameOf(step)}”`;
    const where = place === null ? '' : `, ${shortLabel(anatomy, place)}`;
    return {
      path,
      message: treatmentsAnswers.chooseSomethingElseOrLeaveThis(what, where, limitWords[limit]),
    };
  });

/** Thrown inside a unit of work so that nothing of it is kept; answered as a refusal. */
export class AgainstJudgement extends Error {
  constructor(readonly errors: readonly FieldError[]) {
    super(errors.map(({ message }) => message).join(' '));
  }
}
