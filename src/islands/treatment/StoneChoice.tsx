import { stoneBook } from '../../catalogue/stones/stones';
import { sizeIds } from '../../core/stones/book';
import type { TableStep } from '../../core/table/table-step';
import { Button } from '../../ui/button/Button';
import { treatmentWords } from './treatment.words';
import type { TreatmentHandle } from './useTreatment';
import styles from './StoneChoice.module.css';

/** Stones of one step: as its technique asks, or of another size and number. */
export function StoneChoice({ step, handle }: { readonly step: TableStep; readonly handle: TreatmentHandle }) {
  const stones = step.told?.stones;
  if (!stones) return null;
  const { size, count, keep = false } = stones;
  const take = (part: Partial<typeof stones>) =>
    handle.change({ kind: 'stones', stones: { [step.id]: { size, count, keep, ...part } } });
  const isChosen = handle.treatment.wish.stones?.[step.id] !== undefined;
  return (
    <span className={styles['stones']} role="group" aria-label={treatmentWords.stonesOf(step.told?.title ?? '')}>
      <select
        aria-label={treatmentWords.sizeOfStone}
        value={size}
        onChange={({ target }) => {
          const next = sizeIds.find((id) => id === target.value);
          if (next) take({ size: next, keep: false });
        }}
      >
        {sizeIds.map((id) => (
          <option key={id} value={id}>
            {stoneBook.sizes[id].label.toLowerCase()}
          </option>
        ))}
      </select>
      <select
        aria-label={treatmentWords.howManyStones}
        value={count}
        onChange={({ target }) => take({ count: Number(target.value) })}
      >
        {[1, 2, 3, 4].map((number) => (
          <option key={number} value={number}>
            {number}
          </option>
        ))}
      </select>
      <label>
        <input type="checkbox" checked={keep} onChange={({ target }) => take({ keep: target.checked })} />
        {treatmentWords.thoseInTheHand}
      </label>
      {isChosen && (
        <Button look="link" onClick={() => handle.change({ kind: 'usual-stones', step: step.id })}>
          {treatmentWords.asTheTechniqueAsks}
        </Button>
      )}
    </span>
  );
}
