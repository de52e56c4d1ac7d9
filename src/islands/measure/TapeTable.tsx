import { measureWords } from './measure.words';
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import { formatNumber, formatSigned, fromCm } from '../../core/units';
import { useTouch } from '../../ui/number-pad/NumberPad';
import styles from './TapeTable.module.css';
import { type Doubt, lastGirthsCm } from './doubts';
import { type CellAddress, cellAt, type PassName, type TapeSide } from './tape-cells';
import { pointFrom, stepFrom } from './tape-order';
import type { TapeRun } from './useTapeRun';

interface Props {
  readonly run: TapeRun;
  readonly limb: 'arm' | 'leg';
  readonly side: 'left' | 'right';
  readonly pass: PassName;
  readonly order: readonly CellAddress[];
  readonly eight: 'hand' | 'ankle' | null;
  readonly at: CellAddress;
  readonly onMove: (to: CellAddress) => void;
}

const otherSide = (side: 'left' | 'right') => (side === 'left' ? 'right' : 'left');
const passWords: Readonly<Record<PassName, string>> = { first: '', second: ', again', third: measureWords.thirdTime };

/** The tape run: one number after the other, Enter goes on; highest point on top, as on the body. */
export function TapeTable({ run, limb, side, pass, order, eight, at, onMove }: Props) {
  const { unit, positionsCm } = run;
  const decimals = unit === 'in' ? 2 : 1;
  const rows = positionsCm.map((cm, index) => ({ cm, index })).reverse();
  const last = run.last ? lastGirthsCm(run.last, positionsCm) : undefined;
  const nameOf = (which: TapeSide) => (which === 'affected' ? side : otherSide(side));
  const text = (cm: number | null | undefined) => (cm == null ? '' : formatNumber(fromCm(cm, unit), decimals));
  const pointText = (cm: number) =>
    `${formatNumber(fromCm(cm, unit), unit === 'in' ? 1 : Number.isInteger(cm) ? 0 : 1)} ${unit}`;

  const cell = (which: TapeSide, index: CellAddress['index'], label: string) => {
    const address: CellAddress = { pass, side: which, index };
    const here = at.side === which && at.index === index && at.pass === pass;
    const held = cellAt(run.cells, address);
    const isWalked = order.some((one) => one.side === which && one.index === index);
    if (!isWalked && pass === 'third') return <span className={styles['settled']}>{measureWords.agrees}</span>;
    return (
      <TapeCell
        label={`${nameOf(which)} ${label}${passWords[pass]}`}
        text={held.text}
        error={held.error}
        isHere={here}
        onFocus={() => onMove(address)}
        onCommit={(typed) => run.commit(address, typed)}
        onGo={(direction) => {
          const to = {
            on: () => stepFrom(order, address, 1),
            up: () => pointFrom(order, address, 1),
            down: () => pointFrom(order, address, -1) ?? (index === 0 ? stepFrom(order, address, -1) : undefined),
          }[direction]();
          if (to) onMove(to);
        }}
      />
    );
  };

  return (
    <table className={styles['tape']}>
      <thead>
        <tr>
          <th scope="col">
            {measureWords.fromThe} {limb === 'leg' ? measureWords.ankle : measureWords.wrist}
          </th>
          <th scope="col">{otherSide(side)}</th>
          <th scope="col" className={styles['last']}>
            {measureWords.last}
          </th>
          <th scope="col">{side}</th>
          <th scope="col" className={styles['last']}>
            {measureWords.last}
          </th>
          <th scope="col">{measureWords.between}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ cm, index }) => {
          const [affected, reference] = [run.settled.affected[index] ?? null, run.settled.reference[index] ?? null];
          const doubts = run.doubts.filter((doubt) => doubt.at === index);
          return (
            <RowGroup key={cm} doubts={doubts} onConfirm={run.confirm}>
              <tr data-here={at.index === index ? true : undefined}>
                <th scope="row">{pointText(cm)}</th>
                <td>{cell('reference', index, `${limb}, ${pointText(cm)}`)}</td>
                <td className={styles['last']}>{text(last?.reference[index])}</td>
                <td>{cell('affected', index, `${limb}, ${pointText(cm)}`)}</td>
                <td className={styles['last']}>{text(last?.affected[index])}</td>
                <td className={styles['between']}>
                  {affected !== null && reference !== null ? formatSigned(affected - reference, decimals) : ''}
                </td>
              </tr>
            </RowGroup>
          );
        })}
        {eight && (
          <tr data-here={at.index === 'eight' ? true : undefined} className={styles['eight']}>
            <th scope="row">
              {eight === 'hand' ? measureWords.hand : measureWords.foot}
              {measureWords.asAn}
            </th>
            {pass === 'first' ? (
              <>
                <td>{cell('reference', 'eight', `${eight === 'hand' ? 'hand' : 'foot'}, figure-of-eight`)}</td>
                <td />
                <td>{cell('affected', 'eight', `${eight === 'hand' ? 'hand' : 'foot'}, figure-of-eight`)}</td>
                <td />
              </>
            ) : (
              <td colSpan={4} />
            )}
            <td />
          </tr>
        )}
      </tbody>
    </table>
  );
}

interface GroupProps {
  readonly doubts: readonly Doubt[];
  readonly onConfirm: (keys: readonly string[]) => void;
  readonly children: React.ReactNode;
}

/** A row, and below it what is doubtful about it with the way out. */
function RowGroup({ doubts, onConfirm, children }: GroupProps) {
  return (
    <>
      {children}
      {doubts.length > 0 && (
        <tr className={styles['doubtRow']}>
          <td colSpan={6}>
            <p role="alert">{doubts.map(({ message }) => message).join(' ')}</p>
            <button type="button" onClick={() => onConfirm(doubts.map(({ key }) => key))}>
              {measureWords.tapedAgainItIsRight}
            </button>
          </td>
        </tr>
      )}
    </>
  );
}

interface CellProps {
  readonly label: string;
  readonly text: string;
  readonly error: string | undefined;
  readonly isHere: boolean;
  readonly onFocus: () => void;
  readonly onCommit: (text: string) => boolean;
  readonly onGo: (direction: 'on' | 'up' | 'down') => void;
}

const keyDirections = { Enter: 'on', ArrowUp: 'up', ArrowDown: 'down' } as const;

function TapeCell({ label, text, error, isHere, onFocus, onCommit, onGo }: CellProps) {
  const [typed, setTyped] = useState<string>();
  const draft = typed ?? text;
  const input = useRef<HTMLInputElement>(null);
  const hasPad = useTouch();
  useEffect(() => {
    if (!isHere || document.activeElement === input.current) return;
    input.current?.focus();
    input.current?.select();
    input.current?.scrollIntoView({ block: 'nearest' });
  }, [isHere]);
  /** Hands over what was typed; the cell then shows what was taken, or what is wrong with it. */
  const take = (): boolean => {
    if (typed === undefined) return error === undefined;
    setTyped(undefined);
    return onCommit(typed);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    const direction = keyDirections[event.key as keyof typeof keyDirections];
    if (!direction) return;
    event.preventDefault();
    if (take()) onGo(direction);
  };
  return (
    <>
      <input
        ref={input}
        className={styles['cell']}
        aria-label={label}
        inputMode={hasPad ? 'none' : 'decimal'}
        autoComplete="off"
        maxLength={12}
        value={draft}
        data-here={isHere ? true : undefined}
        aria-invalid={error ? true : undefined}
        onChange={(event) => setTyped(event.target.value)}
        onFocus={(event) => {
          onFocus();
          event.target.select();
        }}
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
