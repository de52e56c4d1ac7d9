import { oilsWords } from './oils.words';
import type { OilId } from '../../core/ids';
import { oilBook } from '../../catalogue/oils/oils';
import type { BlendInput } from '../../contracts/oil-house';
import { carrierOf, oilOf } from '../../core/oils/book';
import { checkBlend, tightestOf } from '../../core/oils/check';
import type { OilClient } from '../../core/oils/client';
import { percentText } from '../../core/oils/finding-words';
import { unfold } from '../../core/oils/unfold';
import styles from './Compare.module.css';

interface Props {
  readonly before: BlendInput;
  readonly now: BlendInput;
  readonly client: OilClient;
}

/** Two blends beside each other: what was pinned, and what is on the bench. */
export function Compare({ before, now, client }: Props) {
  const oils = [...new Set([...before.parts, ...now.parts].map(({ oil }) => oil))];
  const drops = (blend: BlendInput, oil: OilId) => blend.parts.find((part) => part.oil === oil)?.drops ?? 0;
  const rows: readonly (readonly [string, string, string])[] = [
    ...oils.map((oil) => [oilOf(oilBook, oil).name, String(drops(before, oil)), String(drops(now, oil))] as const),
    [oilsWords.inAll, facts(before).total, facts(now).total],
    ['tightest', facts(before).tightest, facts(now).tightest],
    [oilsWords.topMiddleBase, facts(before).notes, facts(now).notes],
    ['in', carrierOf(oilBook, before.carrier).name, carrierOf(oilBook, now.carrier).name],
  ];
  return (
    <table className={styles['compare']}>
      <caption>{oilsWords.pinnedBesideNow}</caption>
      <thead>
        <tr>
          <th scope="col">{oilsWords.oil}</th>
          <th scope="col">{before.name === now.name ? oilsWords.pinned : before.name}</th>
          <th scope="col">{oilsWords.now}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(([what, was, is]) => (
          <tr key={what} data-changed={was !== is || undefined}>
            <th scope="row">{what}</th>
            <td>{was}</td>
            <td>{is}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );

  function facts(blend: BlendInput) {
    const check = checkBlend(oilBook, { ...blend, client, basis: 'max' });
    const tightest = check && tightestOf(check);
    return {
      total: check ? percentText(check.totalPercent) : oilsWords.tooMuch,
      tightest: tightest ? oilsWords.ofALimit(Math.round(100 * tightest.share)) : '–',
      notes: unfold(oilBook, blend.parts)
        .map(({ share }) => Math.round(100 * share))
        .join(', '),
    };
  }
}
