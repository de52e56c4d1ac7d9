import { addDays } from 'date-fns';
import type { StoneInput } from '../contracts/stones';
import type { SizeId } from '../core/stones/book';
import { stoneBook } from '../catalogue/stones/stones';
import { usualHabits } from '../core/stones/habits';
import { insertCare, insertStones, storeHabits } from '../server/stones/stones.repository';
import type { Db } from '../server/db/connection';

/** Four and twenty stones, enough for back and legs; cleaned yesterday. */
export async function layTray(db: Db, now: Date): Promise<void> {
  const tray: readonly (readonly [SizeId, StoneInput['material'], number])[] = [
    ['placement', 'basalt', 2],
    ['large', 'basalt', 4],
    ['palm', 'basalt', 8],
    ['edge', 'basalt', 6],
    ['small', 'basalt', 2],
    ['palm', 'marble', 2],
  ];
  const added = addDays(now, -200).toISOString();
  for (const [size, material, count] of tray) {
    const { lengthMm, widthMm, thicknessMm } = stoneBook.sizes[size];
    const stone = {
      size,
      material,
      lengthMm,
      widthMm,
      thicknessMm,
      massG: null,
      state: 'in-use',
      note: '',
      count,
    } as const;
    await insertStones(db, stone, added);
  }
  await storeHabits(db, { ...usualHabits, usefulColdC: 22 });
  await insertCare(db, { what: 'cleaned', stones: [] }, 2, addDays(now, -1).toISOString());
  await insertCare(db, { what: 'water-changed', stones: [] }, 2, addDays(now, -1).toISOString());
  await insertCare(db, { what: 'oiled', stones: [] }, 2, addDays(now, -9).toISOString());
}
