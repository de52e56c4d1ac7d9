import { benchWords } from './bench.words';
import { stoneBook } from '../../catalogue/stones/stones';
import type { StoneView } from '../../contracts/stone-views';
import { sizeIds } from '../../core/stones/book';
import styles from './Tray.module.css';

interface Props {
  readonly stones: readonly StoneView[];
  readonly selected: number | undefined;
  readonly onSelect: (stone: StoneView) => void;
}

/** Pixels for a millimetre: all stones of the tray in the same scale. */
const scale = 0.62;
const across = 268;
const gap = 8;

/** Outlines of river stones about 100 wide and 100 high, taken in turn. */
const outlines = [
  'M4 52C3 22 24 4 52 4C80 4 97 24 96 50C95 78 74 96 46 96C22 96 5 80 4 52Z',
  'M6 46C10 18 34 3 58 5C84 8 98 30 95 54C92 82 68 97 42 95C18 92 2 74 6 46Z',
  'M3 56C5 26 20 8 48 5C76 2 96 18 97 48C98 74 78 95 54 96C26 97 2 84 3 56Z',
];

/** The house's stones to scale, as they lie in the tray: the large ones first; what is chipped is crossed. */
export function Tray({ stones, selected, onSelect }: Props) {
  const rows = placed(stones);
  const height = rows.reduce((most, { y, h }) => Math.max(most, y + h), 60) + gap;
  return (
    <svg
      className={styles['tray']}
      viewBox={`0 0 ${across + 2 * gap} ${height + gap}`}
      style={{ aspectRatio: `${across + 2 * gap} / ${height + gap}` }}
      role="group"
      aria-label={benchWords.tray}
    >
      {rows.map(({ stone, x, y, w, h }, i) => {
        const { label } = stoneBook.sizes[stone.size];
        const material = stoneBook.materials[stone.material].label;
        return (
          <g
            key={stone.id}
            transform={`translate(${x} ${y})`}
            role="button"
            tabIndex={0}
            aria-label={benchWords.byMm(
              label,
              stone.id,
              material.toLowerCase(),
              stone.lengthMm,
              stone.widthMm,
              stone.state === 'chipped' ? ', chipped' : '',
            )}
            aria-pressed={stone.id === selected}
            className={styles['stone']}
            data-material={stone.material}
            data-state={stone.state}
            onClick={() => onSelect(stone)}
            onKeyDown={(event) => {
              if (event.key !== 'Enter' && event.key !== ' ') return;
              event.preventDefault();
              event.stopPropagation();
              onSelect(stone);
            }}
          >
            <path d={outlines[i % outlines.length]} transform={`scale(${w / 100} ${h / 100})`} />
            {h > 20 && (
              <text x={w / 2} y={h / 2 + 4} textAnchor="middle">
                {stone.id}
              </text>
            )}
            {stone.state === 'chipped' && <path d={`M4 4L${w - 4} ${h - 4}`} className={styles['crack']} />}
          </g>
        );
      })}
    </svg>
  );
}

/** Rows of the tray: each size begins a new one. */
function placed(stones: readonly StoneView[]) {
  let [x, y, row] = [gap, gap, 0];
  let before = '';
  return [...stones]
    .sort(
      (a, b) =>
        sizeIds.indexOf(a.size) - sizeIds.indexOf(b.size) || a.material.localeCompare(b.material) || a.id - b.id,
    )
    .map((stone) => {
      const [w, h] = [stone.lengthMm * scale, stone.widthMm * scale];
      const kind = `${stone.size} ${stone.material}`;
      if ((before !== '' && kind !== before) || x + w > across + gap) {
        x = gap;
        y += row + gap;
        row = 0;
      }
      before = kind;
      const place = { stone, x, y, w, h };
      x += w + gap;
      row = Math.max(row, h);
      return place;
    });
}
