import type { GirthReading, RowTrouble } from './measure-rows';
import { exchangeSays } from './exchange.says';

/** Girths of one client, date, phase and limb, both sides at the same points. */
export interface GatheredTaping extends Pick<GirthReading, 'client' | 'born' | 'date' | 'phase' | 'limb'> {
  readonly positionsCm: readonly number[];
  readonly left: readonly (number | null)[];
  readonly right: readonly (number | null)[];
  /** Second and third readings of both sides; null where nobody read again. */
  readonly second: BothSides | null;
  readonly third: BothSides | null;
  /** Null where the table does not say. */
  readonly swollen: 'left' | 'right' | null;
  /** Rows that it was read from. */
  readonly rows: readonly number[];
}

type BothSides = Readonly<Record<'left' | 'right', readonly (number | null)[]>>;

interface Heap {
  readonly first: GirthReading;
  readonly girths: Record<'left' | 'right', Map<number, GirthReading & { readonly row: number }>>;
  readonly rows: Set<number>;
  swollen: { readonly side: 'left' | 'right'; readonly row: number } | undefined;
}

const across = { left: 'right', right: 'left' } as const;

const fewestPoints = 2;
const mostPoints = 40;

/** Collects readings, row by row, into tapings; the same point twice, and tapings that cannot be one, are troubles. */
export class TapingHeap {
  readonly #heaps = new Map<string, Heap>();

  /** @returns what is wrong with the reading, or undefined when it was taken */
  add(reading: GirthReading, row: number): Omit<RowTrouble, 'row'> | undefined {
    const key = [reading.client, reading.born ?? '', reading.date, reading.phase, reading.limb].join('\n');
    const heap = this.#heaps.get(key) ?? {
      first: reading,
      girths: { left: new Map(), right: new Map() },
      rows: new Set<number>(),
      swollen: undefined,
    };
    const known = heap.girths[reading.side].get(reading.pointCm);
    if (known)
      return {
        column: 'point',
        message: exchangeSays.isAlreadyInRow(reading.pointCm, reading.side, known.row),
      };
    const swollen = reading.isSwollen === null ? undefined : reading.isSwollen ? reading.side : across[reading.side];
    if (swollen && heap.swollen && heap.swollen.side !== swollen)
      return { column: 'swollen', message: exchangeSays.bothSidesAreSwollen(heap.swollen.row, reading.date) };
    if (swollen) heap.swollen ??= { side: swollen, row };
    heap.girths[reading.side].set(reading.pointCm, { ...reading, row });
    heap.rows.add(row);
    this.#heaps.set(key, heap);
    return undefined;
  }

  /** Everything collected, and what has too few or too many points to be a taping. */
  tapings(): { readonly tapings: readonly GatheredTaping[]; readonly troubles: readonly RowTrouble[] } {
    const tapings: GatheredTaping[] = [];
    const troubles: RowTrouble[] = [];
    for (const { first, girths, rows, swollen } of this.#heaps.values()) {
      const positionsCm = [...new Set([...girths.left.keys(), ...girths.right.keys()])].sort((a, b) => a - b);
      const row = Math.min(...rows);
      if (positionsCm.length < fewestPoints || positionsCm.length > mostPoints)
        troubles.push({
          row,
          column: 'point',
          message: exchangeSays.pointsOnATapingHasTo(positionsCm.length, first.date, fewestPoints, mostPoints),
        });
      else {
        const side = (which: 'left' | 'right', reading: 'girthCm' | 'secondCm' | 'thirdCm') =>
          positionsCm.map((cm) => girths[which].get(cm)?.[reading] ?? null);
        const again = (reading: 'secondCm' | 'thirdCm') => {
          const both = { left: side('left', reading), right: side('right', reading) };
          return [...both.left, ...both.right].some((girth) => girth !== null) ? both : null;
        };
        const { client, born, date, phase, limb } = first;
        tapings.push({
          client,
          born,
          date,
          phase,
          limb,
          positionsCm,
          left: side('left', 'girthCm'),
          right: side('right', 'girthCm'),
          second: again('secondCm'),
          third: again('thirdCm'),
          swollen: swollen?.side ?? null,
          rows: [...rows],
        });
      }
    }
    return { tapings, troubles };
  }
}
