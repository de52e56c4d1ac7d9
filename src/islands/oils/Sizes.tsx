import { oilsWords } from './oils.words';
import { oilBook } from '../../catalogue/oils/oils';
import { scaleBlend } from '../../core/oils/amounts';
import { oilOf } from '../../core/oils/book';
import { percentText } from '../../core/oils/finding-words';
import shared from './Oils.module.css';
import styles from './Sizes.module.css';
import { useBench } from './bench-context';

const sizesMl = [10, 30, 100] as const;

/** The same blend in other bottles, in whole drops, with what rounding does to it. */
export function Sizes() {
  const { blend, change, view } = useBench();
  const need = blend.area === 'face' ? view.visit?.needs.face : view.visit?.needs.body;
  const sizes = [...(need ? [need.ml] : []), ...sizesMl].filter((ml, i, all) => all.indexOf(ml) === i);
  if (blend.parts.length === 0) return null;
  const now = scaleBlend(oilBook, blend.parts, blend.volumeMl, blend.volumeMl).totalPercent;
  return (
    <section aria-label={oilsWords.inOtherBottles}>
      <div className={shared['line']}>
        <h2>{oilsWords.inOtherBottles}</h2>
        <span>{oilsWords.wholeDrops}</span>
      </div>
      <ul className={styles['sizes']}>
        {sizes.map((ml) => {
          const scaled = scaleBlend(oilBook, blend.parts, blend.volumeMl, ml);
          const drops = scaled.parts.reduce((sum, part) => sum + part.drops, 0);
          const off = Math.max(0, ...scaled.parts.map((part) => Math.abs(part.percent - part.wantedPercent)));
          const isNow = ml === blend.volumeMl;
          return (
            <li key={ml}>
              <button
                type="button"
                aria-pressed={isNow}
                onClick={() => change({ kind: 'volume', volumeMl: ml, isScaled: true })}
              >
                <strong>{oilsWords.ml6(ml)}</strong>
                <span>{oilsWords.drops4(drops, percentText(isNow ? now : scaled.totalPercent))}</span>
                <small>
                  {isNow
                    ? oilsWords.thisOne
                    : scaled.lost.length > 0
                      ? oilsWords.losesMlAtLeast(
                          scaled.lost.map((oil) => oilOf(oilBook, oil).name.toLowerCase()).join(', '),
                          scaled.leastMl,
                        )
                      : oilsWords.anOilIsOffByUp(percentText(off))}
                </small>
              </button>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
