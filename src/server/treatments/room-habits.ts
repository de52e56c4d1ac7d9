import { spreadTable } from '../../catalogue/oils/spread';
import type { RoomHabits } from '../../core/room/room-list';

/** From cold water to the temperature of the bath. */
export const stoneWarmUpMinutes = 40;

/** What holds where no plan says otherwise. */
export const roomHabits: RoomHabits = {
  stoneWarmUpMinutes,
  spread: spreadTable,
};
