import { benchWords } from './bench.words';
import { stoneBook } from '../../catalogue/stones/stones';
import type { StoneView } from '../../contracts/stone-views';
import { materialIds, sizeIds, type SizeId } from '../../core/stones/book';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field, Select } from '../../ui/field/Field';
import { asFilledIn, send } from '../api';
import { typedNumber } from '../forms/numbers';
import { useHouseForm } from '../forms/use-house-form';
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
  const first = stone ?? { ...stoneBook.sizes.palm, size: 'palm', material: 'basalt', massG: null, note: '' };
  const form = useHouseForm({
    first: {
      size: first.size,
      material: first.material,
      lengthMm: String(first.lengthMm),
      widthMm: String(first.widthMm),
      thicknessMm: String(first.thicknessMm),
      massG: String(first.massG ?? ''),
      state: stone?.state ?? 'in-use',
      note: first.note,
      count: '1',
    },
    onSend: async ({ lengthMm, widthMm, thicknessMm, massG, count, ...as }) => {
      const body = asFilledIn<'POST /api/stones'>({
        ...as,
        lengthMm: typedNumber(lengthMm),
        widthMm: typedNumber(widthMm),
        thicknessMm: typedNumber(thicknessMm),
        massG: typedNumber(massG),
        count: typedNumber(count) ?? 1,
      });
      if (stone) await send('PUT /api/stones/{key}', { params: { key: stone.id }, body });
      else await send('POST /api/stones', { body });
      onSaved();
    },
  });
  const { field } = form;
  /** A stone that is new has the usual measures of its size. */
  const takeUsual = (size: SizeId) => {
    if (stone) return;
    for (const name of ['lengthMm', 'widthMm', 'thicknessMm'] as const)
      form.setValue(name, String(stoneBook.sizes[size][name]));
  };
  return (
    <Dialog title={stone ? benchWords.stone3(stone.id) : benchWords.addStones} isOpen onClose={onClose}>
      <form className={shared['form']} onSubmit={form.submit} noValidate>
        <div className={styles['pair']}>
          <Select
            label={benchWords.size}
            {...form.register('size', { onChange: () => takeUsual(form.getValues('size') as SizeId) })}
          >
            {sizeIds.map((id) => (
              <option key={id} value={id}>
                {stoneBook.sizes[id].label}
              </option>
            ))}
          </Select>
          <Select label={benchWords.material} {...field('material')}>
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
          <Field label={benchWords.lengthMm} inputMode="decimal" {...field('lengthMm')} />
          <Field label={benchWords.widthMm} inputMode="decimal" {...field('widthMm')} />
          <Field label={benchWords.thicknessMm} inputMode="decimal" {...field('thicknessMm')} />
        </div>
        <div className={styles['pair']}>
          <Field
            label={benchWords.weighedG}
            inputMode="decimal"
            hint={benchWords.leftEmptyItIsWorkedOut}
            {...field('massG')}
          />
          {stone ? (
            <Select label={benchWords.state} {...field('state')}>
              <option value="in-use">{benchWords.inUse}</option>
              <option value="chipped">{benchWords.chippedNotUsed}</option>
              <option value="retired">{benchWords.retiredForGood}</option>
            </Select>
          ) : (
            <Field label={benchWords.howManyAlike} inputMode="numeric" {...field('count')} />
          )}
        </div>
        <Field label={benchWords.note} maxLength={200} {...field('note')} />
        {form.trouble && <p role="alert">{form.trouble}</p>}
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
