import { closeWords } from './close.words';
import { rednessLevels } from '../../catalogue/swelling/scales.data';
import { judgeRedness, looksAfterMinutes } from '../../core/skin/redness';
import { Choice } from '../../ui/choice/Choice';
import { type Answers, textOf } from './answers';
import shared from './CloseView.module.css';
import styles from './SkinAfter.module.css';

interface Props {
  readonly answers: Answers;
  readonly onAnswer: (change: Partial<Answers>) => void;
}

const notYet = -1;
const verdictWords = {
  none: '',
  unknown: closeWords.lookAgainAfterAndMinutesAnd,
  expected: closeWords.fadedWithinHalfAnHourExpected,
  watch: closeWords.notBackWithinHalfAnHour,
  reaction: closeWords.aReactionItIsShownBefore,
} as const;

/** Redness before and after, and how long it takes to go back. */
export function SkinAfter({ answers, onAnswer }: Props) {
  const { rednessBefore, redness, fadeMinutes } = answers;
  const levels = rednessLevels.map((text, i) => ({
    value: String(i),
    text,
    ...(i >= 3 ? { tone: 'brick' as const } : {}),
  }));
  const hasRisen = redness !== null && redness > (rednessBefore ?? 0);
  const verdict = judgeRedness({
    before: rednessBefore,
    after: redness,
    fadedAfterMinutes: fadeMinutes === notYet ? 'not-yet' : fadeMinutes,
  });
  return (
    <>
      <Choice
        isRow
        label={closeWords.rednessBeforeTheWork}
        options={levels}
        value={textOf(rednessBefore)}
        onChange={(value) => onAnswer({ rednessBefore: Number(value) })}
      />
      <Choice
        isRow
        label={closeWords.rednessOfTheSkin}
        options={levels}
        value={textOf(redness)}
        onChange={(value) => onAnswer({ redness: Number(value) })}
      />
      {hasRisen && (
        <Choice
          isRow
          label={closeWords.backAfter}
          options={[
            ...looksAfterMinutes.map((minutes) => ({ value: String(minutes), text: closeWords.minutes(minutes) })),
            { value: String(notYet), text: closeWords.notYetAt },
          ]}
          value={textOf(fadeMinutes)}
          onChange={(value) => onAnswer({ fadeMinutes: Number(value) })}
        />
      )}
      {redness !== null && verdictWords[verdict] && <p className={shared['soft']}>{verdictWords[verdict]}</p>}
      {(redness ?? 0) >= 3 && (
        <p className={styles['caution']} role="alert">
          {closeWords.strongRednessAfterLightWorkIs}
        </p>
      )}
    </>
  );
}
