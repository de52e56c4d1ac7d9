import type { GirthReading, RowTrouble } from './measure-rows';
import { exchangeSays } from './exchange.says';

/** Girths of one client, date, phase and limb, both sides at the same points. */
export interface GatheredTaping extends Pick<GirthReading, 'client' | 'born' | 'date' | 'phase' | 'limb'> {
  readonly positionsCm: readonly number[];
  readonly left: readonly (number | null)[];
  readonly right: readonly (number | null)[];
  /** Rows that it was read from. */
  readonly rows: readonly number[];
}

interface Heap {
  readonly first: GirthReading;
  readonly girths: Record<'left' | 'right', Map<number, { readonly girthCm: number; readonly row: number }>>;
  readonly rows: Set<number>;
}

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
    };
    const known = heap.girths[reading.side].get(reading.pointCm);
    if (known)
      return {
        column: 'point',
        message: exchangeSays.isAlreadyInRow(reading.pointCm, reading.side, known.row),
      };
    heap.girths[reading.side].set(reading.pointCm, { girthCm: reading.girthCm, row });
    heap.rows.add(row);
    this.#heaps.set(key, heap);
    return undefined;
  }

  /** Everything collected, and what has too few or too many points to be a taping. */
  tapings(): { readonly tapings: readonly GatheredTaping[]; readonly troubles: readonly RowTrouble[] } {
    const tapings: GatheredTaping[] = [];
    const troubles: RowTrouble[] = [];
    for (const { first, girths, rows } of this.#heaps.values()) {
      const positionsCm = [...new Set([...girths.left.keys(), ...girths.right.keys()])].sort((a, b) => a - b);
      const row = Math.min(...rows);
      if (positionsCm.length < fewestPoints || positionsCm.length > mostPoints)
        troubles.push({
          row,
          column: 'point',
          message: exchangeSays.pointsOnATapingHasTo(positionsCm.length, first.date, fewestPoints, mostPoints),
        });
      else {
        const side = (which: 'left' | 'right') => positionsCm.map((cm) => girths[which].get(cm)?.girthCm ?? null);
        const { client, born, date, phase, limb } = first;
        tapings.push({
          client,
          born,
          date,
          phase,
          limb,
          positionsCm,
          left: side('left'),
          right: side('right'),
          rows: [...rows],
        });
      }
    }
    return { tapings, troubles };
  }
}
