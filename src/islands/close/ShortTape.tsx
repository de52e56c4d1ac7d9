import { type KeyboardEvent, useState } from 'react';
import type { TapingView, VisitView } from '../../contracts/visit-views';
import { formatNumber, formatSigned } from '../../core/units';
import { send, sentenceOf } from '../api';
import { numberIn, readGirth } from '../measure/tape-cells';
import styles from './CloseView.module.css';

interface Props {
  readonly visit: VisitView;
  readonly before: TapingView;
  readonly after: TapingView | null;
  readonly onSaved: (after: TapingView) => void;
}

const marks = 3;

/** The marks round the stretch with the most excess: where a change shows first. */
export function shortMarks(before: TapingView): readonly number[] {
  const segments = before.volume?.segments ?? [];
  const top = segments.reduce((best, one, i) => ((one.excessMl ?? 0) > (segments[best]?.excessMl ?? 0) ? i : best), 0);
  const at = before.positions.indexOf(segments[top]?.from ?? before.positions[0] ?? 0);
  const first = Math.min(Math.max(0, at), Math.max(0, before.positions.length - marks));
  return before.positions.slice(first, first + marks).map((_, i) => first + i);
}

/** Three girths of the affected limb with the marks left on: the shortest after-measure that means something. */
export function ShortTape({ visit, before, after, onSaved }: Props) {
  const [texts, setTexts] = useState<Readonly<Record<number, string>>>({});
  const [trouble, setTrouble] = useState<string>();
  const isWhole = after?.affected.every((girth) => girth !== null) ?? false;
  if (isWhole) return null;
  const held = (i: number) => after?.affected[i] ?? null;
  const take = async (i: number): Promise<boolean> => {
    const text = texts[i];
    if (text === undefined) return true;
    const read = readGirth(text, before.unit);
    if (read && 'error' in read) {
      setTrouble(read.error);
      return false;
    }
    const affected = before.positions.map((_, k) => (k === i ? numberIn(read, before.unit) : held(k)));
    try {
      const { taping } = await send<{ taping: TapingView }>('POST', `/api/visits/${visit.id}/taping`, {
        limb: before.limb,
        side: before.side,
        unit: before.unit,
        method: before.method,
        protocol: before.protocol,
        phase: 'after',
        positions: before.positions,
        affected,
        reference: after?.reference ?? before.positions.map(() => null),
        context: { ...before.context, marks: 'left-on', confirmed: [], note: '' },
        basedOn: after?.version ?? 0,
      });
      onSaved(taping);
      setTexts(({ [i]: _, ...rest }) => rest);
      setTrouble(undefined);
      return true;
    } catch (error) {
      setTrouble(sentenceOf(error));
      return false;
    }
  };
  const onKeyDown = async (event: KeyboardEvent<HTMLInputElement>, i: number) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    const next = event.currentTarget.closest('tr')?.nextElementSibling?.querySelector('input');
    if (await take(i)) next?.focus();
  };
  return (
    <table className={styles['short']}>
      <caption>
        Shortest form: the {before.side} {before.limb} at three marks
      </caption>
      <tbody>
        {shortMarks(before)
          .toReversed()
          .map((i) => {
            const [was, is] = [before.affected[i] ?? null, held(i)];
            const decimals = before.unit === 'in' ? 2 : 1;
            return (
              <tr key={i}>
                <th scope="row">
                  {formatNumber(before.positions[i] ?? 0)} {before.unit}
                </th>
                <td>{was === null ? '–' : formatNumber(was, decimals)}</td>
                <td>
                  <input
                    aria-label={`after, ${before.side} ${before.limb}, ${formatNumber(before.positions[i] ?? 0)} ${before.unit}`}
                    inputMode="decimal"
                    autoComplete="off"
                    value={texts[i] ?? (is === null ? '' : formatNumber(is, decimals))}
                    onChange={(event) => setTexts({ ...texts, [i]: event.target.value })}
                    onBlur={() => void take(i)}
                    onKeyDown={(event) => void onKeyDown(event, i)}
                  />
                </td>
                <td>{was !== null && is !== null ? formatSigned(is - was, decimals) : ''}</td>
              </tr>
            );
          })}
      </tbody>
      {trouble && (
        <tfoot>
          <tr>
            <td colSpan={4} role="alert">
              {trouble}
            </td>
          </tr>
        </tfoot>
      )}
    </table>
  );
}
