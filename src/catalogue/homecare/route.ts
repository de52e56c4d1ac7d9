import { nameOf, sideOf } from '../../core/anatomy/place';
import type { HomeSheet } from '../../core/homecare/sheet';
import { stepsOf } from '../../core/homecare/sheet';
import type { HomeRoute } from './home-places';

const doorNames: ReadonlySet<string> = new Set(['axillary', 'inguinal']);
const other = { left: 'right', right: 'left' } as const;

/**
 * Which way a sheet leads, by the doors that it opens: the nearest one, or those round it.
 * @returns undefined where it is another way, for which only the words of each place are right
 */
export function routeOf(sheet: Pick<HomeSheet, 'routine' | 'side' | 'parts'>): HomeRoute | undefined {
  const { routine, side } = sheet;
  if (routine !== 'one-leg' && routine !== 'after-armpit') return undefined;
  const doors = new Set(
    stepsOf(sheet)
      .flatMap(({ places }) => places)
      .filter((place) => doorNames.has(nameOf(place))),
  );
  const are = (...wanted: readonly string[]) => doors.size === wanted.length && wanted.every((door) => doors.has(door));
  if (side === 'left' || side === 'right') {
    const [own, far] = routine === 'one-leg' ? ['inguinal', 'axillary'] : ['axillary', 'inguinal'];
    const areOwn = [...doors].every((door) => nameOf(door) === own);
    if (doors.has(`${own}.${side}`)) return areOwn ? 'open' : undefined;
    if (are(`${own}.${other[side]}`, `${far}.${side}`)) return routine === 'one-leg' ? 'leg' : 'arm';
    return undefined;
  }
  const own = routine === 'one-leg' ? 'inguinal' : 'axillary';
  if (are(`${own}.left`, `${own}.right`)) return 'open';
  return routine === 'after-armpit' && are('inguinal.left', 'inguinal.right') ? 'arms' : undefined;
}

export const isDoor = (place: string): boolean => doorNames.has(nameOf(place)) && sideOf(place) !== 'mid';
