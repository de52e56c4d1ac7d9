import { oilsWords } from './oils.words';
import type { OilId } from '../../core/ids';
import { useEffect, useRef } from 'react';
import { X } from 'lucide-react';
import { oilBook } from '../../catalogue/oils/oils';
import { oilOf } from '../../core/oils/book';
import type { CheckedPart } from '../../core/oils/blend-case';
import { percentText } from '../../core/oils/finding-words';
import { Button } from '../../ui/button/Button';
import { DropShape } from './BottleShape';
import styles from './BlendRows.module.css';
import { ShareBar } from './ShareBar';
import { useBench } from './bench-context';

const mostShapes = 12;

/** The oils of the blend: drops by key, wheel or press, each with its share of its own limit. */
export function BlendRows({ onReplace }: { readonly onReplace: (oil: OilId) => void }) {
  const { blend, check, draft, change, usable, mayCompose } = useBench();
  const list = useRef<HTMLUListElement>(null);
  const turn = useRef(change);
  useEffect(() => {
    turn.current = change;
  });
  // React listens to wheels passively; a wheel over a row is to move drops and not the page.
  useEffect(() => {
    const element = list.current;
    const onWheel = (event: WheelEvent) => {
      const row = (event.target as HTMLElement).closest<HTMLElement>('[data-oil]');
      if (
        !row?.dataset['oil'] ||
        row.dataset['oil'] !== document.activeElement?.closest<HTMLElement>('[data-oil]')?.dataset['oil']
      )
        return;
      event.preventDefault();
      turn.current({ kind: 'drops', oil: row.dataset['oil'], by: event.deltaY < 0 ? 1 : -1 });
    };
    element?.addEventListener('wheel', onWheel, { passive: false });
    return () => element?.removeEventListener('wheel', onWheel);
  }, []);
  if (blend.parts.length === 0) return null;
  return (
    <ul className={styles['rows']} ref={list}>
      {blend.parts.map((part) => {
        const oil = oilOf(oilBook, part.oil);
        const checked = check?.parts.find((one) => one.oil === part.oil);
        const isOut = !usable.some((entry) => entry.oil === part.oil);
        return (
          <li key={part.oil} data-oil={part.oil} data-selected={draft.selected === part.oil || undefined}>
            <button
              type="button"
              className={styles['name']}
              aria-pressed={draft.selected === part.oil}
              onClick={() => change({ kind: 'select', oil: part.oil })}
              onFocus={() => change({ kind: 'select', oil: part.oil })}
            >
              {oil.name}
              {isOut && <small>{oilsWords.notOnTheShelf}</small>}
            </button>
            <span className={styles['drops']}>
              {Array.from({ length: Math.min(part.drops, mostShapes) }, (_, i) => (
                <DropShape key={i} note={oil.note} />
              ))}
              {part.drops > mostShapes && <small>+ {part.drops - mostShapes}</small>}
            </span>
            <span className={styles['stepper']} data-fixed={mayCompose ? undefined : true}>
              <Button
                aria-label={oilsWords.aDropLessOf(oil.name)}
                onClick={() => change({ kind: 'drops', oil: part.oil, by: -1 })}
              >
                −
              </Button>
              <strong aria-label={oilsWords.drops(part.drops)}>{part.drops}</strong>
              <Button
                aria-label={oilsWords.aDropMoreOf(oil.name)}
                onClick={() => change({ kind: 'drops', oil: part.oil, by: 1 })}
              >
                +
              </Button>
            </span>
            <span className={styles['percent']}>{checked ? percentText(checked.percent) : '–'}</span>
            <LimitOf part={checked} isOut={isOut} onReplace={() => onReplace(part.oil)} />
            {mayCompose && (
              <button
                type="button"
                className={styles['out']}
                aria-label={oilsWords.takeOut(oil.name)}
                onClick={() => change({ kind: 'remove', oil: part.oil })}
              >
                <X size={16} aria-hidden="true" />
              </button>
            )}
          </li>
        );
      })}
    </ul>
  );
}

function LimitOf({
  part,
  isOut,
  onReplace,
}: {
  readonly part: CheckedPart | undefined;
  readonly isOut: boolean;
  readonly onReplace: () => void;
}) {
  if (isOut)
    return (
      <Button look="mend" onClick={onReplace}>
        {oilsWords.standInForIt}
      </Button>
    );
  if (!part || part.shareOfLimit === null || part.limitPercent === null)
    return (
      <span className={styles['limit']}>
        <ShareBar share={0} label={oilsWords.noLimitKnown} />
        <small>{oilsWords.noLimitKnown}</small>
      </span>
    );
  return (
    <span className={styles['limit']}>
      <ShareBar share={part.shareOfLimit} label={oilsWords.ofItsLimit(Math.round(100 * part.shareOfLimit))} />
      <small>{oilsWords.of(Math.round(100 * part.shareOfLimit), percentText(part.limitPercent))}</small>
    </span>
  );
}
