import { benchWords } from './bench.words';
import { type FormEvent, useState } from 'react';
import { stoneBook } from '../../catalogue/stones/stones';
import type { StoneView } from '../../contracts/stone-views';
import { materialIds, sizeIds, type SizeId } from '../../core/stones/book';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field, Select } from '../../ui/field/Field';
import { asFilledIn, RequestError, send } from '../api';
import shared from './Bench.module.css';
import styles from './StoneForm.module.css';

interface Props {
  /** Undefined: stones are added. */
  readonly stone: StoneView | undefined;
  readonly onClose: () => void;
  readonly onSaved: () => void;
}

/** A stone with its own measures; the usual ones of its size to begin with. */
export function StoneForm({ stone, onClose, onSaved }: Props) {
  const [size, setSize] = useState<SizeId>(stone?.size ?? 'palm');
  const [error, setError] = useState<RequestError>();
  const usual = stone ?? stoneBook.sizes[size];
  const save = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const text = (name: string) =>
      String(form.get(name) ?? '')
        .trim()
        .replace(',', '.');
    const value = (name: string) => (text(name) === '' ? null : Number(text(name)));
    const input = asFilledIn<'POST /api/stones'>({
      size,
      material: text('material'),
      lengthMm: value('lengthMm'),
      widthMm: value('widthMm'),
      thicknessMm: value('thicknessMm'),
      massG: value('massG'),
      state: text('state') || 'in-use',
      note: text('note'),
      count: Number(text('count') || '1'),
    });
    try {
      if (stone) await send('PUT /api/stones/{key}', { params: { key: stone.id }, body: input });
      else await send('POST /api/stones', { body: input });
      onSaved();
    } catch (caught) {
      if (caught instanceof RequestError) setError(caught);
    }
  };
  const measure = (name: 'lengthMm' | 'widthMm' | 'thicknessMm', label: string) => (
    <Field
      key={`${name} ${size}`}
      label={label}
      name={name}
      inputMode="decimal"
      defaultValue={String(usual[name])}
      error={error?.fieldError(name)}
    />
  );
  return (
    <Dialog title={stone ? benchWords.stone3(stone.id) : benchWords.addStones} isOpen onClose={onClose}>
      <form className={shared['form']} onSubmit={(event) => void save(event)} noValidate>
        <div className={styles['pair']}>
          <Select label={benchWords.size} value={size} onChange={(event) => setSize(event.target.value as SizeId)}>
            {sizeIds.map((id) => (
              <option key={id} value={id}>
                {stoneBook.sizes[id].label}
              </option>
            ))}
          </Select>
          <Select
            label={benchWords.material}
            name="material"
            defaultValue={stone?.material ?? 'basalt'}
            error={error?.fieldError('material')}
          >
            {materialIds
              .filter((id) => stoneBook.materials[id].isWaterSafe)
              .map((id) => (
                <option key={id} value={id}>
                  {stoneBook.materials[id].label}
                </option>
              ))}
          </Select>
        </div>
        <div className={shared['three']}>
          {measure('lengthMm', benchWords.lengthMm)}
          {measure('widthMm', benchWords.widthMm)}
          {measure('thicknessMm', benchWords.thicknessMm)}
        </div>
        <div className={styles['pair']}>
          <Field
            label={benchWords.weighedG}
            name="massG"
            inputMode="decimal"
            hint={benchWords.leftEmptyItIsWorkedOut}
            defaultValue={stone?.massG ?? ''}
            error={error?.fieldError('massG')}
          />
          {stone ? (
            <Select label={benchWords.state} name="state" defaultValue={stone.state}>
              <option value="in-use">{benchWords.inUse}</option>
              <option value="chipped">{benchWords.chippedNotUsed}</option>
              <option value="retired">{benchWords.retiredForGood}</option>
            </Select>
          ) : (
            <Field
              label={benchWords.howManyAlike}
              name="count"
              inputMode="numeric"
              defaultValue="1"
              error={error?.fieldError('count')}
            />
          )}
        </div>
        <Field
          label={benchWords.note}
          name="note"
          defaultValue={stone?.note ?? ''}
          maxLength={200}
          error={error?.fieldError('note')}
        />
        {error && !error.problem.errors && <p role="alert">{error.message}</p>}
        <div className={shared['buttons']}>
          <Button onClick={onClose}>{benchWords.leaveIt}</Button>
          <Button look="filled" type="submit">
            {stone ? benchWords.keep : benchWords.add}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
