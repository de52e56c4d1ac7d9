import { oilsWords } from './oils.words';
import { type FormEvent, useState } from 'react';
import { oilBook } from '../../catalogue/oils/oils';
import type { BottleView } from '../../contracts/oil-views';
import { Button } from '../../ui/button/Button';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field, Select } from '../../ui/field/Field';
import { asFilledIn, RequestError, send } from '../api';
import shared from './Oils.module.css';
import styles from './BottleForm.module.css';

interface Props {
  readonly bottle: BottleView | undefined;
  readonly onClose: () => void;
  readonly onSaved: () => void;
}

const usualMl = { essential: '10', carrier: '500' } as const;

/** A bottle of the shelf: what it is, when it was opened, what is left of it. */
export function BottleForm({ bottle, onClose, onSaved }: Props) {
  const [kind, setKind] = useState(bottle?.kind ?? 'essential');
  const [error, setError] = useState<RequestError>();
  const names = [...(kind === 'essential' ? oilBook.oils : oilBook.carriers).values()];
  const [oil, setOil] = useState(bottle?.oil ?? 'lavender');
  const perMl = kind === 'essential' ? oilBook.oils.get(oil)?.dropsPerMl : undefined;
  const save = async (event: FormEvent<HTMLFormElement>) => {
    event.preventDefault();
    const form = new FormData(event.currentTarget);
    const text = (name: string) => String(form.get(name) ?? '').trim();
    const number = (name: string) => (text(name) === '' ? null : Number(text(name).replace(',', '.')));
    const cost = number('cost');
    const input = asFilledIn<'POST /api/oils/bottles'>({
      kind,
      oil,
      lot: text('lot'),
      openedOn: text('openedOn') || null,
      printedOn: text('printedOn') || null,
      sizeMl: number('sizeMl'),
      leftMl: number('leftMl') ?? number('sizeMl'),
      costCents: cost === null ? 0 : Math.round(cost * 100),
      dropsPerMl: number('dropsPerMl'),
      state: text('state') || 'in-use',
      note: text('note'),
    });
    try {
      if (bottle) await send('PUT /api/oils/bottles/{key}', { params: { key: bottle.id }, body: input });
      else await send('POST /api/oils/bottles', { body: input });
      onSaved();
    } catch (caught) {
      if (caught instanceof RequestError) setError(caught);
    }
  };
  const of = (name: string) => error?.fieldError(name);
  return (
    <Dialog title={bottle ? oilsWords.bottle(bottle.id) : oilsWords.aBottleForTheShelf} isOpen onClose={onClose}>
      <form className={shared['form']} onSubmit={(event) => void save(event)} noValidate>
        <div className={styles['two']}>
          <Select
            label={oilsWords.kind}
            value={kind}
            onChange={(event) => {
              const next = event.target.value as typeof kind;
              setKind(next);
              setOil(next === 'essential' ? 'lavender' : 'jojoba');
            }}
          >
            <option value="essential">{oilsWords.essentialOil}</option>
            <option value="carrier">{oilsWords.carrier}</option>
          </Select>
          <Select
            label={oilsWords.whatItIs}
            value={oil}
            onChange={(event) => setOil(event.target.value)}
            error={of('oil')}
          >
            {names
              .sort((a, b) => a.name.localeCompare(b.name))
              .map(({ id, name }) => (
                <option key={id} value={id}>
                  {name}
                </option>
              ))}
          </Select>
          <Field label={oilsWords.lot} name="lot" defaultValue={bottle?.lot ?? ''} maxLength={40} error={of('lot')} />
          <Field
            label={oilsWords.openedOn}
            name="openedOn"
            type="date"
            defaultValue={bottle?.openedOn ?? ''}
            hint={oilsWords.emptyStillClosed}
            error={of('openedOn')}
          />
          <Field
            key={`size ${kind}`}
            label={oilsWords.sizeMl}
            name="sizeMl"
            inputMode="decimal"
            defaultValue={bottle ? String(bottle.sizeMl) : usualMl[kind]}
            error={of('sizeMl')}
          />
          <Field
            label={oilsWords.leftMl}
            name="leftMl"
            inputMode="decimal"
            defaultValue={bottle ? String(Math.round(bottle.leftMl * 100) / 100) : ''}
            hint={oilsWords.emptyFull}
            error={of('leftMl')}
          />
          <Field
            label={oilsWords.bestBeforeAsPrinted}
            name="printedOn"
            type="date"
            defaultValue={bottle?.printedOn ?? ''}
            error={of('printedOn')}
          />
          <Field
            label={oilsWords.whatItCost}
            name="cost"
            inputMode="decimal"
            defaultValue={bottle ? (bottle.costCents / 100).toFixed(2) : ''}
            error={of('costCents')}
          />
          {kind === 'essential' && (
            <Field
              label={oilsWords.dropsInMlCounted}
              name="dropsPerMl"
              inputMode="decimal"
              defaultValue={bottle?.dropsPerMl ?? ''}
              hint={oilsWords.emptyAsTheTableHasIt(perMl ?? 27)}
              error={of('dropsPerMl')}
            />
          )}
          {bottle && (
            <Select label={oilsWords.state} name="state" defaultValue={bottle.state}>
              <option value="in-use">{oilsWords.onTheShelf}</option>
              <option value="empty">{oilsWords.empty}</option>
              <option value="discarded">{oilsWords.thrownAway}</option>
            </Select>
          )}
        </div>
        <Field
          label={oilsWords.note}
          name="note"
          defaultValue={bottle?.note ?? ''}
          maxLength={200}
          error={of('note')}
        />
        {error && !error.problem.errors && <p role="alert">{error.message}</p>}
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
