import { benchWords } from './bench.words';
import type { StoneHabits } from '../../core/stones/habits';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field } from '../../ui/field/Field';
import { asFilledIn, send } from '../api';
import { typedNumber } from '../forms/numbers';
import { useHouseForm } from '../forms/use-house-form';
import styles from './Bench.module.css';

interface Props {
  readonly habits: StoneHabits;
  readonly onClose: () => void;
  readonly onSaved: () => void;
}

const fields = [
  ['hotBathC', benchWords.hotBathC],
  ['coldBathC', benchWords.coldBathC],
  ['toleranceC', benchWords.readyWithinC],
  ['waterLitres', benchWords.waterLitres],
  ['heaterW', benchWords.heaterW],
  ['usefulHotC', benchWords.swapHotStonesAtC],
  ['usefulColdC', benchWords.swapCoolStonesAtC],
  ['coldBodyC', benchWords.coolestTouchOnTheBodyC],
  ['coldFaceC', benchWords.coolestTouchOnTheFaceC],
] as const;

/** The house's bath, and how warm and cool it works. The limits of practice are not among it: they hold. */
export function HabitsForm({ habits, onClose, onSaved }: Props) {
  const form = useHouseForm({
    first: Object.fromEntries(fields.map(([name]) => [name, String(habits[name])])),
    onSend: async (typed) => {
      const body = Object.fromEntries(fields.map(([name]) => [name, typedNumber(typed[name] ?? '')]));
      await send('PUT /api/stones/habits', {
        body: asFilledIn<'PUT /api/stones/habits'>(body as Record<keyof StoneHabits, number | null>),
      });
      onSaved();
    },
  });
  return (
    <Dialog title={benchWords.bathAndTemperatures} isOpen onClose={onClose}>
      <form className={styles['form']} onSubmit={form.submit} noValidate>
        <div className={styles['three']}>
          {fields.map(([name, label]) => (
            <Field key={name} label={label} inputMode="decimal" {...form.field(name)} />
          ))}
        </div>
        <p className={styles['soft']}>{benchWords.whatAClientMayBeTouched}</p>
        {form.trouble && <p role="alert">{form.trouble}</p>}
        <div className={styles['buttons']}>
          <Button onClick={onClose}>{benchWords.leaveIt}</Button>
          <Button look="filled" type="submit">
            {benchWords.keep}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
