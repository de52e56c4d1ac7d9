import { tableWords } from './table.words';
import { markWords } from '../../core/table/marks';
import type { MarkKind } from '../../core/table/mark-kinds';
import { Kbd } from '../../ui/kbd/Kbd';
import styles from './SideAsk.module.css';

const answers = [
  { kind: 'declined', words: tableWords.somethingSpeaksAgainstItLeaveThis },
  { kind: 'asked-again', words: tableWords.nothingSpeaksAgainstIt },
] as const satisfies readonly { kind: MarkKind; words: string }[];

/** What has to be asked again before a part begins; the answer is kept, and until it is there nothing goes on. */
export function AskAgain({
  questions,
  onAnswer,
}: {
  readonly questions: readonly string[];
  readonly onAnswer: (kind: MarkKind) => void;
}) {
  return (
    <div className={styles['ask']} data-two role="group" aria-label={tableWords.askAgainBeforeThis}>
      <p role="status">{tableWords.askAgainBeforeThis2(questions.join(' '))}</p>
      {answers.map(({ kind, words }) => (
        <button
          key={kind}
          type="button"
          onClick={(event) => {
            onAnswer(kind);
            event.currentTarget.blur();
          }}
        >
          <Kbd>{markWords[kind].key}</Kbd> {words}
        </button>
      ))}
    </div>
  );
}
