import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import type { TapingView } from '../../contracts/views';
import { formatNumber, formatSigned, fromCm, toCm } from '../../core/units';
import styles from './MeasureView.module.css';
import type { CellAddress, TapeSide, useTapeRun } from './useTapeRun';

interface Props {
  readonly run: ReturnType<typeof useTapeRun>;
  readonly limb: 'arm' | 'leg';
  readonly side: 'left' | 'right';
  readonly lastTime: TapingView | null;
  readonly at: CellAddress;
  readonly onMove: (to: CellAddress) => void;
}

const otherSide = (side: 'left' | 'right') => (side === 'left' ? 'right' : 'left');

/** The tape run: one number after the other, Enter goes on; highest point on top, as on the body. */
export function TapeTable({ run, limb, side, lastTime, at, onMove }: Props) {
  const count = run.positionsCm.length;
  const decimals = run.unit === 'in' ? 2 : 1;
  const rows = run.positionsCm.map((cm, index) => ({ cm, index })).reverse();
  const lastOf = (which: TapeSide, cm: number): number | null => {
    const i = lastTime?.positions.findIndex((x) => Math.abs(toCm(x, lastTime.unit) - cm) < 0.01) ?? -1;
    const girth = i < 0 ? null : (lastTime?.[which][i] ?? null);
    return girth === null || !lastTime ? null : fromCm(toCm(girth, lastTime.unit), run.unit);
  };
  /** Reference first, from the zero mark up, then the affected side. */
  const after = ({ side: s, index }: CellAddress): CellAddress | undefined =>
    index + 1 < count ? { side: s, index: index + 1 } : s === 'reference' ? { side: 'affected', index: 0 } : undefined;
  const before = ({ side: s, index }: CellAddress): CellAddress | undefined =>
    index > 0 ? { side: s, index: index - 1 } : s === 'affected' ? { side: 'reference', index: count - 1 } : undefined;

  return (
    <table className={styles['tape']}>
      <thead>
        <tr>
          <th scope="col">from the {limb === 'leg' ? 'ankle' : 'wrist'}</th>
          <th scope="col">{otherSide(side)}</th>
          <th scope="col">{side}</th>
          <th scope="col" className={styles['last']}>
            {side}, last
          </th>
          <th scope="col">between</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ cm, index }) => {
          const here = at.index === index;
          const [affected, reference] = [run.girths.affected[index] ?? null, run.girths.reference[index] ?? null];
          const last = lastOf('affected', cm);
          const warnings =
            run.volume.value?.warnings.filter(
              (w) =>
                w.position !== null &&
                Math.abs(toCm(w.position, run.unit) - cm) < 0.01 &&
                !/^(trimmed|interpolated)/.test(w.code),
            ) ?? [];
          return (
            <tr key={cm} data-here={here ? true : undefined}>
              <th scope="row">
                {formatNumber(fromCm(cm, run.unit), run.unit === 'in' ? 1 : 0)} {run.unit}
              </th>
              {(['reference', 'affected'] as const).map((which) => (
                <td key={which}>
                  <TapeCell
                    label={`${which === 'affected' ? side : otherSide(side)} ${limb}, ${formatNumber(fromCm(cm, run.unit), run.unit === 'in' ? 1 : 0)} ${run.unit}`}
                    text={run.cells[which][index]?.text ?? ''}
                    error={run.cells[which][index]?.error}
                    isHere={here && at.side === which}
                    onFocus={() => onMove({ side: which, index })}
                    onCommit={(text) => run.commit({ side: which, index }, text)}
                    onGo={(direction) => {
                      const to =
                        direction === 'on'
                          ? after({ side: which, index })
                          : direction === 'back'
                            ? before({ side: which, index })
                            : { side: which === 'affected' ? 'reference' : ('affected' as TapeSide), index };
                      if (to) onMove(to);
                    }}
                  />
                </td>
              ))}
              <td className={styles['last']}>{last === null ? '' : formatNumber(last, decimals)}</td>
              <td className={styles['between']}>
                {affected !== null && reference !== null ? formatSigned(affected - reference, decimals) : ''}
                {warnings.length > 0 && (
                  <span className={styles['doubt']} role="alert">
                    {warnings.map((w) => w.message).join(' ')}
                  </span>
                )}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

interface CellProps {
  readonly label: string;
  readonly text: string;
  readonly error: string | undefined;
  readonly isHere: boolean;
  readonly onFocus: () => void;
  readonly onCommit: (text: string) => boolean;
  readonly onGo: (direction: 'on' | 'back' | 'across') => void;
}

function TapeCell({ label, text, error, isHere, onFocus, onCommit, onGo }: CellProps) {
  const [typed, setTyped] = useState<string>();
  const draft = typed ?? text;
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    if (!isHere || document.activeElement === input.current) return;
    input.current?.focus();
    input.current?.select();
  }, [isHere]);
  /** Hands over what was typed; the cell then shows what was taken, or what is wrong with it. */
  const take = (): boolean => {
    if (typed === undefined) return error === undefined;
    setTyped(undefined);
    return onCommit(typed);
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    const go = { Enter: 'on', ArrowUp: 'on', ArrowDown: 'back' } as const;
    const direction = go[event.key as keyof typeof go];
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
        inputMode="decimal"
        autoComplete="off"
        maxLength={8}
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
