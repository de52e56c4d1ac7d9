import { closeWords } from './close.words';
import { type KeyboardEvent, useRef, useState } from 'react';
import type { TapingView, VisitAtWork } from '../../contracts/visit-views';
import { formatNumber, formatSigned } from '../../core/units';
import type { Answer } from '../../contracts/routes/asking';
import { SaveLine } from '../saving/SaveLine';
import { versioned } from '../saving/sending';
import { useSaving } from '../saving/use-saving';
import { numberIn, readGirth } from '../measure/tape-cells';
import styles from './ShortTape.module.css';

interface Props {
  readonly visit: VisitAtWork;
  readonly before: TapingView;
  readonly after: TapingView | null;
  readonly onSaved: (after: TapingView) => void;
}

const marks = 3;

/** The marks round the stretch with the most excess: where a change shows first. */
function shortMarks(before: TapingView): readonly number[] {
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
  /** The girths as they were typed, also while they are still on their way. */
  const girths = useRef<readonly (number | null)[]>(after?.affected ?? before.positions.map(() => null));
  const saving = useSaving<readonly (number | null)[], Answer<'POST /api/visits/{id}/taping'>>(
    `visit ${visit.id} short tape`,
    {
      version: after?.version ?? 0,
      versionOf: ({ taping }) => taping.version,
      onSaved: (_, { taping }) => onSaved(taping),
      onLeft: (drafts) => {
        girths.current = drafts.at(-1)?.body.shown ?? girths.current;
      },
    },
  );
  const isWhole = after?.affected.every((girth) => girth !== null) ?? false;
  if (isWhole) return null;
  const held = (i: number) => after?.affected[i] ?? null;
  const store = (affected: readonly (number | null)[]) => {
    girths.current = affected;
    const { limb, side, unit, method, protocol, positions } = before;
    const body = {
      ...{ limb, side, unit, method, protocol, positions, affected, phase: 'after' as const },
      reference: after?.reference ?? positions.map(() => null),
      context: { ...before.context, marks: 'left-on' as const, confirmed: [], note: '' },
    };
    saving.queue.add('tape', versioned('POST /api/visits/{id}/taping', { id: visit.id }, body, affected));
  };
  /** Reads at once, so that the hand may go on; storing follows in the order of typing. @returns whether it reads */
  const take = (i: number): boolean => {
    const text = texts[i];
    if (text === undefined) return true;
    const read = readGirth(text, before.unit);
    if (read && 'error' in read) {
      setTrouble(read.error);
      return false;
    }
    const girth = numberIn(read, before.unit);
    setTrouble(undefined);
    if (girth === girths.current[i]) return true;
    store(girths.current.map((one, k) => (k === i ? girth : one)));
    return true;
  };
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>, i: number) => {
    if (event.key !== 'Enter') return;
    event.preventDefault();
    if (take(i)) event.currentTarget.closest('tr')?.nextElementSibling?.querySelector('input')?.focus();
  };
  return (
    <table className={styles['short']}>
      <caption>{closeWords.shortestFormTheAtThreeMarks(before.side, before.limb)}</caption>
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
                    aria-label={closeWords.after(
                      before.side,
                      before.limb,
                      formatNumber(before.positions[i] ?? 0),
                      before.unit,
                    )}
                    inputMode="decimal"
                    autoComplete="off"
                    value={texts[i] ?? (is === null ? '' : formatNumber(is, decimals))}
                    onChange={(event) => setTexts({ ...texts, [i]: event.target.value })}
                    onBlur={() => take(i)}
                    onKeyDown={(event) => onKeyDown(event, i)}
                  />
                </td>
                <td>{was !== null && is !== null ? formatSigned(is - was, decimals) : ''}</td>
              </tr>
            );
          })}
      </tbody>
      <tfoot>
        <tr>
          <td colSpan={4}>{trouble ? <span role="alert">{trouble}</span> : <SaveLine saving={saving} saved="" />}</td>
        </tr>
      </tfoot>
    </table>
  );
}
