import type { Percent } from '../quantities';
import { picturesSays } from './pictures.says';

/** How light a picture is, in per cent of white: its left half and its right half as one looks at it. */
export interface Light {
  readonly leftPercent: Percent;
  readonly rightPercent: Percent;
}

/** Points across and down of the small copy that is looked at, on the screen and in the house. */
export const lightPoints = 32;

export type LightWord = 'same' | 'darker' | 'brighter' | 'other-side';

export interface LightChange {
  readonly word: LightWord;
  /** Points of a hundred by which the whole, or with `other-side` one half against the other, has moved. */
  readonly points: number;
}

/** Shares of red, green and blue in what the eye takes for brightness (ITU-R BT.709). */
const [red, green, blue] = [0.2126, 0.7152, 0.0722];
/** More than so many points and colours no longer compare. */
const sameWithin = 6;
/** The light stands elsewhere, and shadows do not compare. */
const sideWithin = 12;

/**
 * Measures how light a picture is. A small copy of it is enough: `lightPoints` by `lightPoints` tell the same.
 * @param bytes colours row by row, 0–255
 * @param width points of a row, at least 2
 * @param channels bytes of a point: 3, or 4 with opacity, which is left out
 */
export function lightOf(bytes: ArrayLike<number>, width: number, channels: 3 | 4): Light {
  const half = Math.floor(width / 2);
  const rows = Math.floor(bytes.length / (width * channels));
  const sums = { left: 0, right: 0 };
  for (let y = 0; y < rows; y += 1)
    for (let x = 0; x < width; x += 1) {
      const at = (y * width + x) * channels;
      const brightness = red * (bytes[at] ?? 0) + green * (bytes[at + 1] ?? 0) + blue * (bytes[at + 2] ?? 0);
      if (x < half) sums.left += brightness;
      else sums.right += brightness;
    }
  const percent = (sum: number, points: number) => (points === 0 ? 0 : (100 * sum) / (255 * points));
  return { leftPercent: percent(sums.left, half * rows), rightPercent: percent(sums.right, (width - half) * rows) };
}

const wholeOf = ({ leftPercent, rightPercent }: Light): Percent => (leftPercent + rightPercent) / 2;
const leanOf = ({ leftPercent, rightPercent }: Light): number => rightPercent - leftPercent;

/** Whether two pictures were taken in the same light: what is darker or lit from elsewhere is no finding of the skin. */
export function compareLight(before: Light, now: Light): LightChange {
  const whole = wholeOf(now) - wholeOf(before);
  const lean = leanOf(now) - leanOf(before);
  if (Math.abs(lean) > sideWithin && Math.abs(lean) > Math.abs(whole))
    return { word: 'other-side', points: Math.abs(lean) };
  if (Math.abs(whole) <= sameWithin) return { word: 'same', points: Math.abs(whole) };
  return { word: whole < 0 ? 'darker' : 'brighter', points: Math.abs(whole) };
}

/** What the light of a pair allows to compare; undefined where it was not measured of both. */
export function lightOfPair(
  earlier: Light | null,
  later: Light | null,
): (LightChange & { readonly words: string }) | undefined {
  if (!earlier || !later) return undefined;
  const change = compareLight(earlier, later);
  const points = Math.round(change.points);
  const words: Readonly<Record<LightWord, string>> = {
    same: picturesSays.sameLight,
    darker: picturesSays.darker(points),
    brighter: picturesSays.brighter(points),
    'other-side': picturesSays.otherSide,
  };
  return { ...change, words: words[change.word] };
}
