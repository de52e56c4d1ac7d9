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
  unknown: 'Look again after 5, 15 and 30 minutes, and note when it is back.',
  expected: 'Faded within half an hour: expected.',
  watch: 'Not back within half an hour: ask the client to look again, and tell you.',
  reaction: 'A reaction: it is shown before the next treatment.',
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
        label="Redness before the work"
        options={levels}
        value={textOf(rednessBefore)}
        onChange={(value) => onAnswer({ rednessBefore: Number(value) })}
      />
      <Choice
        isRow
        label="Redness of the skin"
        options={levels}
        value={textOf(redness)}
        onChange={(value) => onAnswer({ redness: Number(value) })}
      />
      {hasRisen && (
        <Choice
          isRow
          label="Back after"
          options={[
            ...looksAfterMinutes.map((minutes) => ({ value: String(minutes), text: `${minutes} minutes` })),
            { value: String(notYet), text: 'not yet at 30' },
          ]}
          value={textOf(fadeMinutes)}
          onChange={(value) => onAnswer({ fadeMinutes: Number(value) })}
        />
      )}
      {redness !== null && verdictWords[verdict] && <p className={shared['soft']}>{verdictWords[verdict]}</p>}
      {(redness ?? 0) >= 3 && (
        <p className={styles['caution']} role="alert">
          Strong redness after light work is a reaction: cool, look again in ten minutes, and ask a physician if it
          spreads, stays hot or hurts.
        </p>
      )}
    </>
  );
}
