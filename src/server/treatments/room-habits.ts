import { spreadTable } from '../../catalogue/oils/spread';
import type { RoomHabits } from '../../core/room/room-list';

/** From cold water to the temperature of the bath. */
export const stoneWarmUpMinutes = 40;

/** Palm stones of basalt from 52 °C that glide: useful for some 150 s, warm again after some 320. */
export const roomHabits: RoomHabits = {
  stoneWarmUpMinutes,
  stoneUsefulSeconds: 150,
  stoneReheatSeconds: 320,
  spread: spreadTable,
};
