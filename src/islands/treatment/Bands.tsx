import { treatmentWords } from './treatment.words';
import type { Seconds } from '../../core/quantities';
import type { TreatmentView } from '../../contracts/treatment-views';
import { formatClock } from '../../core/units';
import styles from './Bands.module.css';

interface Props {
  readonly treatment: TreatmentView;
  readonly selected: string | undefined;
  readonly onSelect: (id: string) => void;
}

const positionWords = {
  supine: treatmentWords.onTheBack,
  prone: treatmentWords.faceDown,
  'side-left': treatmentWords.leftSide,
  'side-right': treatmentWords.rightSide,
  seated: 'sitting',
} as const;
const placeWords = {
  head: treatmentWords.atTheHead,
  left: treatmentWords.leftSide,
  right: treatmentWords.rightSide,
  feet: treatmentWords.atTheFeet,
} as const;
const narrowest = 0.06;

/** Time along the bottom: parts, how the client lies, what is on the hands, where the therapist is. */
export function Bands({ treatment, selected, onSelect }: Props) {
  const { blocks, totalSeconds, availableSeconds } = treatment;
  const whole = Math.max(totalSeconds, availableSeconds);
  const spare = Math.max(0, availableSeconds - totalSeconds);
  const rows = [
    { name: treatmentWords.client, of: (block: (typeof blocks)[number]) => positionWords[block.position] },
    { name: treatmentWords.hands, of: (block: (typeof blocks)[number]) => block.hands },
    { name: treatmentWords.therapist, of: (block: (typeof blocks)[number]) => placeWords[block.therapist] },
  ];
  return (
    <div className={styles['ribbon']} role="group" aria-label={treatmentWords.timeRibbon}>
      <span>{treatmentWords.parts}</span>
      <div className={styles['parts']}>
        {blocks.map((block) => (
          <button
            key={block.id}
            type="button"
            tabIndex={-1}
            aria-label={`${block.name}, ${formatClock(block.seconds)}`}
            title={`${block.name}, ${formatClock(block.seconds)}`}
            data-selected={block.id === selected || undefined}
            style={{ flexGrow: block.seconds }}
            onClick={() => onSelect(block.id)}
          >
            {block.seconds / whole > narrowest ? block.name : ''}
          </button>
        ))}
        {spare > 0 && <i style={{ flexGrow: spare }} title={treatmentWords.toSpare(formatClock(spare))} />}
      </div>
      <strong data-over={totalSeconds > availableSeconds || undefined}>
        {formatClock(totalSeconds)} / {formatClock(availableSeconds)}
      </strong>
      {rows.map(({ name, of }) => (
        <Row
          key={name}
          name={name}
          bands={merged(blocks.map((block) => ({ text: of(block), seconds: block.seconds })))}
          spare={spare}
          whole={whole}
        />
      ))}
    </div>
  );
}

interface Band {
  readonly text: string;
  readonly seconds: Seconds;
}

const merged = (list: readonly Band[]): readonly Band[] =>
  list.reduce<Band[]>((all, band) => {
    const last = all.at(-1);
    if (last?.text === band.text) all[all.length - 1] = { ...last, seconds: last.seconds + band.seconds };
    else all.push(band);
    return all;
  }, []);

function Row({
  name,
  bands,
  spare,
  whole,
}: {
  readonly name: string;
  readonly bands: readonly Band[];
  readonly spare: number;
  readonly whole: number;
}) {
  return (
    <>
      <span>{name}</span>
      <div className={styles['bands']}>
        {bands.map(({ text, seconds }, i) => (
          <b key={`${text} ${i}`} data-of={text} style={{ flexGrow: seconds }} title={text}>
            {seconds / whole > narrowest ? text : ''}
          </b>
        ))}
        {spare > 0 && <i style={{ flexGrow: spare }} />}
      </div>
      <span />
    </>
  );
}
