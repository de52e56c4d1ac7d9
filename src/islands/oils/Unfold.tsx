import { oilsWords } from './oils.words';
import { oilBook } from '../../catalogue/oils/oils';
import type { BlendPart } from '../../core/oils/book';
import { oilOf } from '../../core/oils/book';
import { unfold, unfoldHours } from '../../core/oils/unfold';
import shared from './Oils.module.css';
import styles from './Unfold.module.css';

const width = 340;
const height = 92;
const marks = [
  [0, 'now'],
  [1, '1 hour'],
  [4, '4 hours'],
  [8, '8'],
] as const;
const lastHour = unfoldHours.at(-1) ?? 8;
/** Early hours get more room: that is when most happens. */
const xOf = (hours: number) => width * Math.sqrt(hours / lastHour);

/** How the scent comes and goes: a hill for each note, named by its oils. */
export function Unfold({ parts }: { readonly parts: readonly BlendPart[] }) {
  const curves = unfold(oilBook, parts).filter(({ share }) => share > 0);
  const words = curves.map(({ note, share }) => `${note} ${Math.round(100 * share)} %`).join(', ');
  return (
    <section aria-label={oilsWords.howItUnfolds}>
      <div className={shared['line']}>
        <h2>{oilsWords.howItUnfolds}</h2>
        <span>{words === '' ? oilsWords.noScentYet : oilsWords.overTheEvening}</span>
      </div>
      <svg
        className={styles['unfold']}
        viewBox={`0 -26 ${width} ${height + 46}`}
        role="img"
        aria-label={words || oilsWords.noScentYet2}
      >
        {curves.map(({ note, strength }) => (
          <path
            key={note}
            data-note={note}
            d={`M0 ${height} ${strength.map((value, i) => `L${xOf(unfoldHours[i] ?? 0).toFixed(1)} ${(height * (1 - value)).toFixed(1)}`).join(' ')} L${width} ${height} Z`}
          />
        ))}
        {curves.map(({ note, oils, strength }) => {
          const top = Math.max(...strength);
          const x = xOf(unfoldHours[strength.indexOf(top)] ?? 0);
          const anchor = x < 60 ? 'start' : x > width - 60 ? 'end' : 'middle';
          const name = oils
            .map((id) => oilOf(oilBook, id).name.toLowerCase())
            .slice(0, 2)
            .join(', ');
          return (
            <text
              key={note}
              x={anchor === 'start' ? Math.max(0, x - 20) : x}
              y={height * (1 - top) - 6}
              textAnchor={anchor}
            >
              {name}
            </text>
          );
        })}
        <line x1="0" x2={width} y1={height} y2={height} />
        {marks.map(([hours, label]) => (
          <text
            key={label}
            className={styles['hour']}
            x={xOf(hours)}
            y={height + 16}
            textAnchor={hours === 0 ? 'start' : hours === lastHour ? 'end' : 'middle'}
          >
            {label}
          </text>
        ))}
      </svg>
    </section>
  );
}
