import type { ProtocolStep } from '../../core/library/protocol';
import { stoneBook } from '../../catalogue/stones/stones';
import { sizeIds } from '../../core/stones/book';
import { Field, Select, TextArea } from '../../ui/field/Field';
import { libraryWords } from './library.words';
import styles from './StepFields.module.css';

interface Props {
  readonly step: ProtocolStep;
  readonly name: string;
  readonly onChange: (change: Partial<ProtocolStep>) => void;
}

const usualDrops = [6, 10] as const;

/** All else of a step: its note, why it stands here, counted drops, and stones where they are not those of the technique. */
export function StepFields({ step, name, onChange }: Props) {
  const { note = '', why = '', layer, stones } = step;
  const [least = usualDrops[0], most = usualDrops[1]] = layer?.drops ?? usualDrops;
  return (
    <details className={styles['fields']}>
      <summary aria-label={libraryWords.moreOf(name)}>{libraryWords.more}</summary>
      <Field
        label={libraryWords.noteAtThisStep}
        value={note}
        onChange={({ target }) => onChange({ note: target.value === '' ? undefined : target.value })}
      />
      <TextArea
        label={libraryWords.whyAtThisPoint}
        value={why}
        onChange={({ target }) => onChange({ why: target.value === '' ? undefined : target.value })}
      />
      <div className={styles['row']}>
        <Field
          label={libraryWords.dropsFor}
          value={layer?.use ?? ''}
          onChange={({ target }) =>
            onChange({ layer: target.value === '' ? undefined : { use: target.value, drops: [least, most] } })
          }
        />
        {layer && (
          <>
            <Field
              label={libraryWords.dropsAtLeast}
              type="number"
              min={1}
              max={30}
              value={least}
              onChange={({ target }) => onChange({ layer: { ...layer, drops: [Number(target.value), most] } })}
            />
            <Field
              label={libraryWords.dropsAtMost}
              type="number"
              min={1}
              max={30}
              value={most}
              onChange={({ target }) => onChange({ layer: { ...layer, drops: [least, Number(target.value)] } })}
            />
          </>
        )}
      </div>
      <div className={styles['row']}>
        <Select
          label={libraryWords.stonesOfThisStep}
          value={stones?.size ?? ''}
          onChange={({ target }) => {
            const size = sizeIds.find((id) => id === target.value);
            onChange({ stones: size && { count: stones?.count ?? 1, keep: stones?.keep ?? false, size } });
          }}
        >
          <option value="">{libraryWords.asTheTechniqueHasIt}</option>
          {sizeIds.map((id) => (
            <option key={id} value={id}>
              {stoneBook.sizes[id].label.toLowerCase()}
            </option>
          ))}
        </Select>
        {stones && (
          <>
            <Field
              label={libraryWords.howManyStones}
              type="number"
              min={1}
              max={8}
              value={stones.count}
              onChange={({ target }) => onChange({ stones: { ...stones, count: Number(target.value) } })}
            />
            <label>
              <input
                type="checkbox"
                checked={stones.keep}
                onChange={({ target }) => onChange({ stones: { ...stones, keep: target.checked } })}
              />{' '}
              {libraryWords.thoseInTheHand}
            </label>
          </>
        )}
      </div>
    </details>
  );
}
