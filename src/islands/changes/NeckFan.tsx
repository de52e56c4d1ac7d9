import type { ChangeView } from '../../contracts/change-views';
import { changesWords } from './changes.words';
import styles from './Changes.module.css';
import { type DialSide, type NeckDial, neckDials, wedgePath } from '../../core/change/neck-dial';
import { figureText } from '../../core/change/figure-text';

const titles: Readonly<Record<NeckDial, string>> = {
  turns: changesWords.turns,
  tilts: changesWords.tilts,
  bends: changesWords.bends,
};
const sideNames: Readonly<Record<NeckDial, readonly [string, string]>> = {
  turns: [changesWords.left, changesWords.right],
  tilts: [changesWords.left, changesWords.right],
  bends: [changesWords.back, changesWords.forward],
};
const radius = 58;

/** The neck's range in six directions, one side against the other: outlined before the work, filled after it. */
export function NeckFan({ changes }: { readonly changes: readonly ChangeView[] }) {
  const dials = neckDials(changes);
  if (dials.length === 0) return null;
  return (
    <figure className={styles['fans']}>
      {dials.map(({ dial, sides }) => {
        const [left, right] = sides;
        const names = sideNames[dial];
        const told = sides.map(({ before, after }, i) =>
          changesWords.side(names[i] ?? '', angleText(before), angleText(after)),
        );
        return (
          <svg
            key={dial}
            viewBox="-80 -74 160 100"
            role="img"
            aria-label={changesWords.dial(titles[dial], told.join('; '))}
          >
            <line x1="0" y1="0" x2="0" y2={-radius - 6} className={styles['middle']} />
            {[left, right].map((side, i) => (
              <g key={i} transform={i === 0 ? 'scale(-1 1)' : undefined}>
                {side.after !== null && <path d={wedgePath(side.after, radius)} className={styles['after']} />}
                {side.before !== null && <path d={wedgePath(side.before, radius)} className={styles['before']} />}
              </g>
            ))}
            <text x="-76" y="18">
              {names[0]} {sideText(left)}
            </text>
            <text x="76" y="18" textAnchor="end">
              {sideText(right)} {names[1]}
            </text>
            <text x="0" y="-62" textAnchor="middle" className={styles['dialName']}>
              {titles[dial]}
            </text>
          </svg>
        );
      })}
      <figcaption>{changesWords.dialKey}</figcaption>
    </figure>
  );
}

const angleText = (value: number | null) => (value === null ? changesWords.notKnown : figureText('°', value));
const sideText = ({ before, after }: DialSide) => angleText(after ?? before);
