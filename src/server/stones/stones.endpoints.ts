import { stoneRoutes as routes } from '../../contracts/routes/stones';
import { houseBath } from '../devices/stone-bath';
import { endpoints } from '../http/endpoint';
import { readHouseBath, readStoneBench } from './read-stones';
import { addStones, changeStone, logCare, saveHabits } from './save-stones';

export const stoneEndpoints = endpoints(routes, {
  readBench: ({ db, query, actor }) => readStoneBench(db, query.visit ?? null, actor.now),
  addStones: ({ db, body, actor }) => addStones(db, body, actor),
  changeStone: ({ db, params, body, actor }) => changeStone(db, params.key, body, actor),
  logCare: ({ db, body, actor }) => logCare(db, body, actor),
  saveHabits: ({ db, body, actor }) => saveHabits(db, body, actor),
  readBath: async ({ db, query }) => (await readHouseBath(db, query.set)).bath,
  driveBath: async ({ db, query, body }) => {
    houseBath().drive(body);
    return (await readHouseBath(db, query.set)).bath;
  },
});
