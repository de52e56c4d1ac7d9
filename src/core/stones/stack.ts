import type { Medium, SkinId, StoneBook } from './book';

/** One cell of a stack: its thickness and what it is made of. */
export interface Cell extends Medium {
  readonly thicknessM: number;
  /** Volume of blood per volume of tissue and second; 0 outside the skin. */
  readonly perfusionPerS: number;
}

/** Cells from the outside inwards. */
export type Stack = readonly Cell[];

/** Finer grids and steps for proving convergence: all cells and steps are this many times smaller. */
export type Fineness = 1 | 2 | 4;

const mm = 1e-3;
const growth = 1.19;

/** Cells that grow from a fine edge: sizes from it outwards, none above the greatest, together the whole. */
function graded(totalM: number, firstM: number, mostM: number, fineness: Fineness): readonly number[] {
  const sizes: number[] = [];
  let [sum, next] = [0, firstM / fineness];
  const ratio = growth ** (1 / fineness);
  while (sum < totalM) {
    sizes.push(next);
    sum += next;
    next = Math.min(next * ratio, mostM / fineness);
  }
  return sizes.map((size) => (size * totalM) / sum);
}

const even = (totalM: number, count: number): readonly number[] => Array.from({ length: count }, () => totalM / count);

const cellsOf = (sizes: readonly number[], medium: Medium, perfusionPerS = 0): readonly Cell[] =>
  sizes.map((thicknessM) => ({
    thicknessM,
    perfusionPerS,
    densityKgM3: medium.densityKgM3,
    specificHeatJKgK: medium.specificHeatJKgK,
    conductivityWMK: medium.conductivityWMK,
  }));

/** A stone from the hand to the skin, finest at the skin. */
export const stoneCells = (thicknessMm: number, stone: Medium, fineness: Fineness = 1): Stack =>
  cellsOf(graded(thicknessMm * mm, 25e-6, 0.6e-3, fineness).toReversed(), stone);

export const towelCells = (layers: number, towelMm: number, towel: Medium, fineness: Fineness = 1): Stack =>
  cellsOf(even(layers * towelMm * mm, layers * 10 * fineness), towel);

/** Epidermis, dermis, fat and muscle of a kind of skin. */
export function skinCells(
  { skins, tissue }: Pick<StoneBook, 'skins' | 'tissue'>,
  skin: SkinId,
  fineness: Fineness = 1,
): Stack {
  const layers = skins[skin];
  const of = (id: 'dermis' | 'fat' | 'muscle', firstM: number, mostM: number) =>
    cellsOf(graded(layers[id].thicknessMm * mm, firstM, mostM, fineness), tissue[id], layers[id].perfusionPerS);
  return [
    ...cellsOf(even(layers.epidermis.thicknessMm * mm, 8 * fineness), tissue.epidermis, layers.epidermis.perfusionPerS),
    ...of('dermis', 8e-6, 0.1e-3),
    ...of('fat', 0.08e-3, 0.5e-3),
    ...of('muscle', 0.1e-3, 1e-3),
  ];
}

/** Conductance from the middle of a cell to its edge (W/(m²·K)). */
export const halfConductance = ({ conductivityWMK, thicknessM }: Cell): number => conductivityWMK / (thicknessM / 2);
