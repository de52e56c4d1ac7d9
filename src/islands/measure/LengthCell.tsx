import { type KeyboardEvent, useState } from 'react';
import { readLength } from '../../core/swelling/read-length';
import { formatNumber, fromCm, type LengthUnit, toCm } from '../../core/units';
import styles from './FaceSheet.module.css';
import { measureWords } from './measure.words';
import { goOn } from './number-fields';
import { usePad } from './pad-context';

interface Props {
  readonly label: string;
  readonly valueCm: number | null;
  readonly unit: LengthUnit;
  readonly leastCm: number;
  readonly mostCm: number;
  /** What it was last time, for the pad's key that takes it over. */
  readonly lastCm?: number | null | undefined;
  readonly isDisabled?: boolean;
  readonly onValue: (cm: number | null) => void;
}

/** One length of a table; Enter takes it and goes on to the next cell below or beside. */
export function LengthCell({ label, valueCm, unit, leastCm, mostCm, lastCm, isDisabled = false, onValue }: Props) {
  const hasPad = usePad();
  const [typed, setTyped] = useState<string>();
  const [error, setError] = useState<string>();
  const decimals = unit === 'in' ? 2 : 1;
  const text = (cm: number) => formatNumber(fromCm(cm, unit), decimals);
  const take = (): boolean => {
    if (typed === undefined) return error === undefined;
    const read = readLength(typed);
    if (read.kind === 'empty') {
      setTyped(undefined);
      setError(undefined);
      onValue(null);
      return true;
    }
    const cm = read.kind === 'length' ? toCm(read.value, read.unit ?? unit) : NaN;
    if (!(cm >= leastCm && cm <= mostCm)) {
      setError(measureWords.fromTo(text(leastCm), text(mostCm), unit));
      return false;
    }
    setTyped(undefined);
    setError(undefined);
    onValue(cm);
    return true;
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    if (!take()) return;
    goOn(event.currentTarget);
  };
  return (
    <>
      <input
        data-length-cell
        data-number
        data-last={lastCm == null ? undefined : text(lastCm)}
        className={styles['cell']}
        aria-label={label}
        inputMode={hasPad ? 'none' : 'decimal'}
        autoComplete="off"
        disabled={isDisabled}
        value={typed ?? (valueCm === null ? '' : text(valueCm))}
        aria-invalid={error ? true : undefined}
        onChange={(event) => setTyped(event.target.value)}
        onFocus={(event) => event.target.select()}
        onBlur={take}
        onKeyDown={onKeyDown}
      />
      {error && (
        <span className={styles['error']} role="alert">
          {error}
        </span>
      )}
    </>
  );
}
