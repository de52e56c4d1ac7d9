import { benchWords } from './bench.words';
import { type FormEvent, useState } from 'react';
import type { StoneHabits } from '../../core/stones/habits';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field } from '../../ui/field/Field';
import { asFilledIn, RequestError, send } from '../api';
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
  const [error, setError] = useState<RequestError>();
  const save = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const input = Object.fromEntries(
      fields.map(([name]) => {
        const text = String(form.get(name) ?? '')
          .trim()
          .replace(',', '.');
        return [name, text === '' ? null : Number(text)];
      }),
    );
    try {
      await send('PUT /api/stones/habits', {
        body: asFilledIn<'PUT /api/stones/habits'>(input as Record<keyof StoneHabits, number | null>),
      });
      onSaved();
    } catch (caught) {
      if (caught instanceof RequestError) setError(caught);
    }
  };
  return (
    <Dialog title={benchWords.bathAndTemperatures} isOpen onClose={onClose}>
      <form className={styles['form']} onSubmit={(event) => void save(event)} noValidate>
        <div className={styles['three']}>
          {fields.map(([name, label]) => (
            <Field
              key={name}
              label={label}
              name={name}
              inputMode="decimal"
              defaultValue={String(habits[name])}
              error={error?.fieldError(name)}
            />
          ))}
        </div>
        <p className={styles['soft']}>{benchWords.whatAClientMayBeTouched}</p>
        {error && !error.problem.errors && <p role="alert">{error.message}</p>}
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
