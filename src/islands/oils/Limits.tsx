import { oilsWords } from './oils.words';
import { oilBook } from '../../catalogue/oils/oils';
import { oilOf } from '../../core/oils/book';
import type { DropsOnSkin } from '../../core/oils/layers';
import type { BlendCheck } from '../../core/oils/check';
import { percentText } from '../../core/oils/finding-words';
import styles from './Oils.module.css';
import { ShareBar } from './ShareBar';

const mostRows = 5;
const certain = {
  established: '',
  typical: oilsWords.figuresDifferALittle,
  uncertain: oilsWords.notFirmlyKnown,
} as const;

interface Props {
  readonly check: BlendCheck | null;
  /** What drops straight onto the same skin. */
  readonly onSkin: DropsOnSkin | null;
}

/** What comes in through the oils, beside its limits; the fullest first, the worst bottle assumed. */
export function Limits({ check, onSkin }: Props) {
  const limited = (check?.constituents ?? [])
    .flatMap((one) =>
      one.shareOfLimit === null || one.limitPercent === null
        ? []
        : [{ id: one.id, percent: one.percent, limit: one.limitPercent, share: one.shareOfLimit }],
    )
    .sort((a, b) => b.share - a.share);
  const guide = check?.guide.maxPercent ?? 0;
  const total = check?.totalPercent ?? 0;
  const rows = [
    {
      id: 'whole',
      name: oilsWords.theWholeBlend,
      value: percentText(total),
      of: `of ${percentText(guide)}`,
      share: guide > 0 ? total / guide : total > 0 ? Infinity : 0,
      note: '',
    },
    {
      id: 'sun',
      name: oilsWords.burnsInTheSun,
      value: String(Math.round(100 * (check?.phototoxic.sumOfFractions ?? 0)) / 100),
      of: 'of 1',
      share: check?.phototoxic.sumOfFractions ?? 0,
      note: '',
    },
    ...limited.slice(0, mostRows).map(({ id, percent, limit, share }) => {
      const constituent = oilBook.constituents.get(id);
      return {
        id,
        name: constituent?.name ?? id,
        value: percentText(percent),
        of: `of ${percentText(limit)}`,
        share,
        note: [constituent?.reason, constituent ? certain[constituent.confidence] : ''].filter(Boolean).join('; '),
      };
    }),
  ];
  return (
    <section aria-label={oilsWords.limits}>
      <div className={styles['line']}>
        <h2>{oilsWords.limits}</h2>
        <span>{oilsWords.worstBottleAssumed}</span>
      </div>
      {onSkin && (
        <p className={styles['soft']}>
          {oilsWords.withWhatDrops(onSkin.parts.map(({ oil }) => oilOf(oilBook, oil).name.toLowerCase()).join(', '))}
        </p>
      )}
      <ul className={styles['limits']}>
        {rows.map(({ id, name, value, of, share, note }) => (
          <li key={id} title={note}>
            <span>{name}</span>
            <ShareBar share={share} label={`${name}: ${value} ${of}`} />
            <strong>{value}</strong>
            <small>{of}</small>
          </li>
        ))}
      </ul>
      {limited.length > mostRows && (
        <p className={styles['soft']}>{oilsWords.andMoreAllFurtherFromTheir(limited.length - mostRows)}</p>
      )}
    </section>
  );
}
