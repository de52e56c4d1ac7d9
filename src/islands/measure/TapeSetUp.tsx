import { measureWords } from './measure.words';
import { useState } from 'react';
import type { ClientMeasuringInput } from '../../contracts/measures';
import type { MeasureView } from '../../contracts/measure-views';
import type { TapingTick } from '../../core/swelling/taping-context';
import { readLength } from '../../core/swelling/read-length';
import { formatNumber } from '../../core/units';
import { Button } from '../../ui/button/Button';
import { Choice } from '../../ui/choice/Choice';
import { Dialog } from '../../ui/dialog/Dialog';
import { Field, Select, TextArea } from '../../ui/field/Field';
import { goOn } from './number-fields';
import { usePad } from './pad-context';
import styles from './TapeSetUp.module.css';
import type { TapeRun } from './useTapeRun';

const tickWords: Readonly<Record<TapingTick, string>> = {
  'compression-just-off': measureWords.compressionOffForLessThanMinutes,
  heat: measureWords.heatWithinTwoHours,
  exercise: measureWords.exerciseOrHeavyLiftingWithinTwo,
  'over-dressing': measureWords.tapedOverADressing,
};

interface Props {
  readonly view: MeasureView;
  readonly run: TapeRun;
  readonly limb: 'arm' | 'leg';
  readonly client: ClientMeasuringInput;
  readonly isOpen: boolean;
  readonly onClose: () => void;
  /** Remembered for this client. */
  readonly onClient: (change: Partial<ClientMeasuringInput>) => void;
}

/** How this taping is taken: remembered for the client, and what was different today. */
export function TapeSetUp({ view, run, limb, client, isOpen, onClose, onClient }: Props) {
  const protocols = view.protocols.filter((one) => one.limb === limb);
  const chosen = client.protocols[limb] ?? protocols[0]?.id ?? '';
  const { context } = run;
  return (
    <Dialog title={measureWords.howItIsTaped} isOpen={isOpen} onClose={onClose}>
      <div className={styles['columns']}>
        <section>
          <h3>{measureWords.everyTimeWithThisClient}</h3>
          <Select
            label={measureWords.points}
            value={chosen}
            disabled={run.isTouched}
            onChange={(event) => onClient({ protocols: { ...client.protocols, [limb]: event.target.value } })}
            hint={
              run.isTouched
                ? measureWords.numbersWereTypedThePointsStand
                : measureWords.zeroMark2(protocols.find((one) => one.id === chosen)?.zero ?? '')
            }
          >
            {protocols.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </Select>
          <Choice
            label={measureWords.order}
            options={[
              { value: 'one-side', text: measureWords.oneSideFirst },
              { value: 'side-by-side', text: measureWords.sideBySide },
            ]}
            value={client.order}
            onChange={(order) => onClient({ order })}
          />
          <Choice
            label={measureWords.strongerHand}
            options={[
              { value: 'left', text: measureWords.left },
              { value: 'right', text: measureWords.right },
              { value: 'none', text: measureWords.notKnown },
            ]}
            value={client.hand}
            onChange={(hand) => onClient({ hand })}
          />
          <Choice
            label={measureWords.volumeBy}
            options={[
              { value: 'frustum', text: measureWords.frustum },
              { value: 'disc', text: measureWords.disc },
              { value: 'simpson', text: measureWords.simpson },
            ]}
            value={client.method ?? view.house.method}
            onChange={(method) => onClient({ method })}
          />
          <p className={styles['small']}>
            {measureWords.chooseOneMethodAndKeepIt} <a href={`/protocols?limb=${limb}`}>{measureWords.ownPoints}</a>
          </p>
        </section>
        <section>
          <h3>{measureWords.today2}</h3>
          <Choice
            label={measureWords.marks}
            options={[
              { value: 'fresh', text: measureWords.fresh },
              { value: 'left-on', text: measureWords.leftOnTheSkin },
            ]}
            value={context.marks}
            onChange={(marks) => run.setContext({ marks })}
          />
          <div className={styles['pair']}>
            <NumberField
              label={measureWords.restMinutes}
              value={context.restMinutes}
              least={0}
              most={120}
              onValue={(restMinutes) => run.setContext({ restMinutes })}
            />
            <NumberField
              label={measureWords.bodyWeightKg}
              value={context.weightKg}
              least={25}
              most={350}
              decimals={1}
              note={weightNote(context.weightKg, view.lastWeight)}
              onValue={(weightKg) => run.setContext({ weightKg })}
            />
          </div>
          <fieldset className={styles['ticks']}>
            <legend>{measureWords.differentFromTheRules}</legend>
            {(Object.keys(tickWords) as TapingTick[]).map((tick) => (
              <label key={tick}>
                <input
                  type="checkbox"
                  checked={context.ticks.includes(tick)}
                  onChange={(event) =>
                    run.setContext({
                      ticks: event.target.checked
                        ? [...context.ticks, tick]
                        : context.ticks.filter((one) => one !== tick),
                    })
                  }
                />
                {tickWords[tick]}
              </label>
            ))}
          </fieldset>
          <NoteField value={context.note} onValue={(note) => run.setContext({ note })} />
        </section>
      </div>
      <div className={styles['buttons']}>
        <Button look="filled" onClick={onClose}>
          {measureWords.done}
        </Button>
      </div>
    </Dialog>
  );
}

/** Weight more than a tenth away from a value within 60 days is worth a second look. */
function weightNote(now: number | null, last: MeasureView['lastWeight']): string | undefined {
  if (last === null) return undefined;
  const days = (Date.now() - Date.parse(last.date)) / 86_400_000;
  if (now !== null && days <= 60 && Math.abs(now - last.kg) > last.kg / 10)
    return measureWords.kgLastTimeIsThisRight(formatNumber(last.kg, 1));
  return measureWords.lastKg(formatNumber(last.kg, 1));
}

interface NumberProps {
  readonly label: string;
  readonly value: number | null;
  readonly least: number;
  readonly most: number;
  readonly decimals?: number;
  readonly note?: string | undefined;
  /** What it was last time, for the pad's key that takes it over. */
  readonly last?: number | null | undefined;
  readonly onValue: (value: number | null) => void;
}

/** A number that is taken when the field is left; empty: not taken. */
export function NumberField({ label, value, least, most, decimals = 0, note, last, onValue }: NumberProps) {
  const hasPad = usePad();
  const [text, setText] = useState<string>();
  const [error, setError] = useState<string>();
  const take = (): boolean => {
    if (text === undefined) return error === undefined;
    const read = readLength(text);
    const isZero = read.kind === 'zero' && least <= 0;
    const number = read.kind === 'length' && read.unit === undefined ? read.value : isZero ? 0 : undefined;
    if (read.kind === 'empty') {
      setError(undefined);
      setText(undefined);
      onValue(null);
      return true;
    }
    if (number === undefined || number < least || number > most) {
      setError(measureWords.typeANumberFromTo(least, most));
      return false;
    }
    setError(undefined);
    setText(undefined);
    onValue(number);
    return true;
  };
  return (
    <Field
      label={label}
      data-number
      data-last={last == null ? undefined : formatNumber(last, decimals)}
      inputMode={hasPad ? 'none' : 'decimal'}
      autoComplete="off"
      value={text ?? (value === null ? '' : formatNumber(value, decimals))}
      onChange={(event) => setText(event.target.value)}
      onBlur={take}
      onFocus={(event) => event.target.select()}
      onKeyDown={(event) => {
        if (event.key !== 'Enter') return;
        event.preventDefault();
        if (take()) goOn(event.currentTarget);
      }}
      error={error}
      hint={note}
    />
  );
}

function NoteField({ value, onValue }: { readonly value: string; readonly onValue: (value: string) => void }) {
  const [text, setText] = useState(value);
  return (
    <TextArea
      label={measureWords.note}
      rows={2}
      maxLength={400}
      value={text}
      onChange={(event) => setText(event.target.value)}
      onBlur={() => text !== value && onValue(text)}
    />
  );
}
