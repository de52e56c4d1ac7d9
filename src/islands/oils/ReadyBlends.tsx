import { oilsWords } from './oils.words';
import type { Millilitres } from '../../core/quantities';
import { useRef } from 'react';
import { oilBook } from '../../catalogue/oils/oils';
import type { BlendInput } from '../../contracts/oil-house';
import { oilOf } from '../../core/oils/book';
import { checkBlend } from '../../core/oils/check';
import { Button } from '../../ui/button/Button';
import { asRead, send } from '../api';
import shared from './Oils.module.css';
import styles from './ReadyBlends.module.css';
import { useBench } from './bench-context';

/** Blends that stand ready: those used for the client before, then those of the house, each judged for this client. */
export function ReadyBlends() {
  const bench = useBench();
  const { client, change, attempt, reload } = bench;
  const { blends, usedBefore, visit, scope } = bench.view;
  const take = (blend: BlendInput) => change({ kind: 'whole', blend: { ...blend, volumeMl: blend.volumeMl } });
  const pour = (blend: BlendInput, mixId: number) => {
    const area = blend.area === 'face' ? 'face' : 'body';
    const ml = visit?.needs[area]?.ml ?? blend.volumeMl;
    return attempt(async () => {
      if (!visit) return '';
      const body = { area, blend: poured(blend, ml), pouredFrom: mixId } as const;
      await send('PUT /api/visits/{id}/blend', { params: { id: visit.id }, body });
      await reload();
      return oilsWords.isPouredForThisVisitMl(blend.name, ml);
    });
  };
  const file = useRef<HTMLInputElement>(null);
  const bringIn = (chosen: File) =>
    attempt(async () => {
      const text = await chosen.text();
      const input: unknown = readJson(text);
      if (input === undefined) return oilsWords.thatFileIsNotJsonChoose;
      const { id } = await send('POST /api/oils/blends/import', {
        body: asRead<'POST /api/oils/blends/import'>(input),
      });
      await reload();
      return id === 1 ? oilsWords.oneBlendIsBroughtIn : oilsWords.blendsAreBroughtIn(id);
    });
  return (
    <>
      {usedBefore.length > 0 && (
        <section aria-label={oilsWords.usedBefore}>
          <div className={shared['line']}>
            <h2>{oilsWords.usedBefore}</h2>
          </div>
          <ul className={styles['ready']}>
            {usedBefore.slice(0, 3).map(({ date, blend, said }) => (
              <li key={date + blend.name}>
                <button type="button" onClick={() => take(blend)}>
                  <strong>{blend.name}</strong>
                  <small>
                    {date}
                    {said && ` · ${said}`}
                  </small>
                </button>
              </li>
            ))}
          </ul>
        </section>
      )}
      <section aria-label={oilsWords.houseBlends}>
        <div className={shared['line']}>
          <h2>{oilsWords.houseBlends}</h2>
          <span>
            {scope.mayBlend && (
              <>
                <button type="button" className={styles['plain']} onClick={() => file.current?.click()}>
                  {oilsWords.bringIn}
                </button>{' '}
                ·{' '}
              </>
            )}
            <a href="/api/oils/blends">{oilsWords.file}</a>
          </span>
        </div>
        <input
          ref={file}
          type="file"
          accept=".json,application/json"
          aria-label={oilsWords.aFileOfBlends}
          className="visually-hidden"
          tabIndex={-1}
          onChange={(event) => {
            const [chosen] = event.target.files ?? [];
            if (chosen) void bringIn(chosen);
            event.target.value = '';
          }}
        />
        {blends.length === 0 && <p className={shared['soft']}>{oilsWords.noneYetKeepOneWithK}</p>}
        <ul className={styles['ready']}>
          {blends.map(({ id, blend, ready }) => {
            const check = checkBlend(oilBook, { ...blend, client, basis: 'max' });
            const isOver = check === null || check.verdict === 'over' || !check.withinGuide;
            const names = blend.parts.map(({ oil }) => oilOf(oilBook, oil).name.toLowerCase()).join(', ');
            return (
              <li key={id}>
                <button type="button" onClick={() => take(blend)} title={names}>
                  <strong>{blend.name}</strong>
                  <small data-bad={isOver || undefined}>{isOver ? oilsWords.tooStrongAsItIs : names}</small>
                </button>
                {visit &&
                  !isOver &&
                  ready.map(({ mixId, leftMl }) => (
                    <Button key={mixId} look="mend" onClick={() => void pour(blend, mixId)}>
                      {oilsWords.pourMlThere(Math.floor(leftMl))}
                    </Button>
                  ))}
              </li>
            );
          })}
        </ul>
        {!scope.mayBlend && <p className={shared['soft']}>{oilsWords.readyMixedBottlesArePouredOwn}</p>}
      </section>
    </>
  );
}

/** Part of a bottle that is mixed: the same percent, whatever whole drops would come to. */
function poured(blend: BlendInput, ml: Millilitres): BlendInput {
  const parts = blend.parts
    .map((part) => ({ ...part, drops: Math.round((part.drops * ml) / blend.volumeMl) }))
    .filter(({ drops }) => drops > 0);
  return { ...blend, volumeMl: ml, parts };
}

function readJson(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}
