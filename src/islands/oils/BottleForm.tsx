import { oilsWords } from './oils.words';
import { oilBook } from '../../catalogue/oils/oils';
import type { BottleView } from '../../contracts/oil-views';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field, Select } from '../../ui/field/Field';
import { asFilledIn, send } from '../api';
import { typedNumber } from '../forms/numbers';
import { useHouseForm } from '../forms/use-house-form';
import shared from './Oils.module.css';
import styles from './BottleForm.module.css';
import { FormDate } from '../forms/FormDate';

interface Props {
  readonly bottle: BottleView | undefined;
  readonly onClose: () => void;
  readonly onSaved: () => void;
}

const usual = {
  essential: { oil: 'lavender', sizeMl: '10' },
  carrier: { oil: 'jojoba', sizeMl: '500' },
} as const;

/** What stands in the form at the start: a bottle as it is on the shelf, or a usual new one. */
function firstOf(bottle: BottleView | undefined) {
  const kind = bottle?.kind ?? 'essential';
  return {
    kind,
    oil: bottle?.oil ?? usual[kind].oil,
    lot: bottle?.lot ?? '',
    openedOn: bottle?.openedOn ?? '',
    printedOn: bottle?.printedOn ?? '',
    sizeMl: bottle ? String(bottle.sizeMl) : usual[kind].sizeMl,
    leftMl: bottle ? String(Math.round(bottle.leftMl * 100) / 100) : '',
    cost: bottle ? (bottle.costCents / 100).toFixed(2) : '',
    dropsPerMl: String(bottle?.dropsPerMl ?? ''),
    state: bottle?.state ?? 'in-use',
    note: bottle?.note ?? '',
  };
}

/** A bottle of the shelf: what it is, when it was opened, what is left of it. */
export function BottleForm({ bottle, onClose, onSaved }: Props) {
  const form = useHouseForm({
    first: firstOf(bottle),
    houseNames: { costCents: 'cost' },
    onSend: async ({ sizeMl, leftMl, cost, dropsPerMl, openedOn, printedOn, ...as }) => {
      const body = asFilledIn<'POST /api/oils/bottles'>({
        ...as,
        lot: as.lot.trim(),
        openedOn: openedOn || null,
        printedOn: printedOn || null,
        sizeMl: typedNumber(sizeMl),
        leftMl: typedNumber(leftMl) ?? typedNumber(sizeMl),
        costCents: Math.round((typedNumber(cost) ?? 0) * 100),
        dropsPerMl: as.kind === 'essential' ? typedNumber(dropsPerMl) : null,
      });
      if (bottle) await send('PUT /api/oils/bottles/{key}', { params: { key: bottle.id }, body });
      else await send('POST /api/oils/bottles', { body });
      onSaved();
    },
  });
  const { field } = form;
  const [kind, oil] = form.watch(['kind', 'oil']);
  const names = [...(kind === 'essential' ? oilBook.oils : oilBook.carriers).values()].sort((a, b) =>
    a.name.localeCompare(b.name),
  );
  const perMl = kind === 'essential' ? oilBook.oils.get(oil)?.dropsPerMl : undefined;
  const takeUsual = () => {
    const next = form.getValues('kind');
    form.setValue('oil', usual[next].oil);
    if (!bottle) form.setValue('sizeMl', usual[next].sizeMl);
  };
  return (
    <Dialog title={bottle ? oilsWords.bottle(bottle.id) : oilsWords.aBottleForTheShelf} isOpen onClose={onClose}>
      <form className={shared['form']} onSubmit={form.submit} noValidate>
        <div className={styles['two']}>
          <Select label={oilsWords.kind} {...form.register('kind', { onChange: takeUsual })}>
            <option value="essential">{oilsWords.essentialOil}</option>
            <option value="carrier">{oilsWords.carrier}</option>
          </Select>
          <Select key={kind} label={oilsWords.whatItIs} {...field('oil')}>
            {names.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </Select>
          <Field label={oilsWords.lot} maxLength={40} {...field('lot')} />
          <FormDate label={oilsWords.openedOn} hint={oilsWords.emptyStillClosed} form={form} name="openedOn" />
          <Field label={oilsWords.sizeMl} inputMode="decimal" {...field('sizeMl')} />
          <Field label={oilsWords.leftMl} inputMode="decimal" hint={oilsWords.emptyFull} {...field('leftMl')} />
          <FormDate label={oilsWords.bestBeforeAsPrinted} form={form} name="printedOn" />
          <Field label={oilsWords.whatItCost} inputMode="decimal" {...field('cost')} />
          {kind === 'essential' && (
            <Field
              label={oilsWords.dropsInMlCounted}
              inputMode="decimal"
              hint={oilsWords.emptyAsTheTableHasIt(perMl ?? 27)}
              {...field('dropsPerMl')}
            />
          )}
          {bottle && (
            <Select label={oilsWords.state} {...field('state')}>
              <option value="in-use">{oilsWords.onTheShelf}</option>
              <option value="empty">{oilsWords.empty}</option>
              <option value="discarded">{oilsWords.thrownAway}</option>
            </Select>
          )}
        </div>
        <Field label={oilsWords.note} maxLength={200} {...field('note')} />
        {form.trouble && <p role="alert">{form.trouble}</p>}
        <div className={shared['buttons']}>
          <Button onClick={onClose}>{oilsWords.leaveIt}</Button>
          <Button look="filled" type="submit">
            {bottle ? oilsWords.keep : oilsWords.putItOnTheShelf}
          </Button>
        </div>
      </form>
    </Dialog>
  );
}
