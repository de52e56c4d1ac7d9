import { benchWords } from './bench.words';
import type { Celsius, Seconds } from '../../core/quantities';
import { stoneBook } from '../../catalogue/stones/stones';
import type { StoneBenchView } from '../../contracts/stone-views';
import { type MaterialId, materialIds, type SizeId, sizeIds, type SkinId, skinIds } from '../../core/stones/book';

type VisitStones = NonNullable<StoneBenchView['visit']>;

/** What is looked at on the stone bench: a stone, how warm it is, and how it meets the skin. */
export interface StoneSetting {
  readonly size: SizeId;
  readonly material: MaterialId;
  readonly startC: Celsius;
  readonly isMoving: boolean;
  readonly towelLayers: number;
  readonly flip: boolean;
  readonly skin: SkinId;
  readonly seconds: Seconds;
  /** A stone of the house that is looked at instead of the usual one of its size. */
  readonly stone: { readonly id: number; readonly thicknessMm: number } | null;
}

const usualFirstC = 52;
const warmestC = 60;
const mostLayers = 3;
const [fiveMinutes, quarterHour] = [300, 900];

/** A palm stone at rest on a cloth, as warm as this client may be touched with. */
export function startingSetting(visit: VisitStones | null): StoneSetting {
  return {
    ...{ size: 'palm', material: 'basalt', startC: visit?.moving.firstC ?? usualFirstC, isMoving: false },
    ...{ towelLayers: 1, flip: true, skin: visit?.limits.skin ?? 'normal', seconds: fiveMinutes, stone: null },
  };
}

/** Half degrees between ice and the hottest a bath may be. */
export const warmedBy = (now: StoneSetting, byC: Celsius): StoneSetting => ({
  ...now,
  startC: Math.min(warmestC, Math.max(0, Math.round((now.startC + byC) * 2) / 2)),
});

export const isCold = ({ startC }: StoneSetting): boolean => startC < stoneBook.physics.skinC;

export const thicknessMmOf = ({ stone, size }: StoneSetting): number =>
  stone?.thicknessMm ?? stoneBook.sizes[size].thicknessMm;

/** The size without its measures, as in “Palm”. */
const sizeWord = ({ size }: StoneSetting) => stoneBook.sizes[size].label.replace(/ \(.*/, '');
const materialWord = ({ material }: StoneSetting) => stoneBook.materials[material].label.toLowerCase();
const flipWord = ({ flip }: StoneSetting) => (flip ? benchWords.turnedOnce : benchWords.notTurned);

export function clothWords({ towelLayers }: StoneSetting): string {
  if (towelLayers === 0) return benchWords.noCloth;
  return towelLayers === 1 ? benchWords.oneCloth : benchWords.cloths(towelLayers);
}

/** As in “Palm stone gliding, from 52°”. */
export const titleOf = (now: StoneSetting): string =>
  benchWords.stoneFrom(sizeWord(now), now.isMoving ? 'gliding' : benchWords.atRest, now.startC);

/** What the title leaves out. */
export const detailsOf = (now: StoneSetting): string =>
  [materialWord(now), now.isMoving ? flipWord(now) : clothWords(now), benchWords.skin(now.skin)].join(' · ');

const next = <T>(list: readonly T[], now: T): T => list[(list.indexOf(now) + 1) % list.length] ?? now;

/** What can be put in a bath of warm water. */
const bathMaterials = materialIds.filter((id) => stoneBook.materials[id].isWaterSafe);

/** Something to turn by one letter or one press. */
export interface Knob {
  readonly letter: string;
  readonly tells: string;
  readonly shows: (now: StoneSetting) => string;
  readonly turn: (now: StoneSetting) => StoneSetting;
}

/** In the order of their buttons. */
export const knobs: readonly Knob[] = [
  {
    ...{ letter: 's', tells: 'size', shows: (now) => sizeWord(now).toLowerCase() },
    turn: (now) => ({ ...now, size: next(sizeIds, now.size), stone: null }),
  },
  {
    ...{ letter: 'm', tells: 'material', shows: materialWord },
    turn: (now) => ({ ...now, material: next(bathMaterials, now.material), stone: null }),
  },
  {
    ...{ letter: 'c', tells: 'cloths', shows: clothWords },
    turn: (now) => ({ ...now, towelLayers: (now.towelLayers + 1) % (mostLayers + 1) }),
  },
  {
    ...{
      letter: 'g',
      tells: benchWords.glidingOrAtRest,
      shows: ({ isMoving }) => (isMoving ? 'gliding' : benchWords.atRest),
    },
    turn: (now) => ({ ...now, isMoving: !now.isMoving }),
  },
  {
    ...{ letter: 'f', tells: benchWords.turnedOnceOrNot, shows: flipWord },
    turn: (now) => ({ ...now, flip: !now.flip }),
  },
  {
    ...{ letter: 'k', tells: benchWords.kindOfSkin, shows: ({ skin }) => benchWords.skin(skin) },
    turn: (now) => ({ ...now, skin: next(skinIds, now.skin) }),
  },
  {
    ...{ letter: 't', tells: benchWords.fiveOrFifteenMinutes, shows: ({ seconds }) => benchWords.min(seconds / 60) },
    turn: (now) => ({ ...now, seconds: now.seconds === fiveMinutes ? quarterHour : fiveMinutes }),
  },
];
