/** `npm start`: serves the house. `npm start -- --from FOLDER` takes over from a machine that is gone, by its copy. */
import process from 'node:process';
import { fetchHouse } from './litestream.mjs';
import { ensureBuilt, ensureInstalled, fail, serve } from './setup.mjs';

const [how, from] = process.argv.slice(2);
if (how !== undefined && (how !== '--from' || !from))
  fail('Say npm start, or npm start -- --from FOLDER to take over from a copy.');
ensureInstalled();
ensureBuilt();
const data = process.env.VELVET_STONE_DATA ?? './var';
if (from) {
  if (!(await fetchHouse(from, data))) fail(`There is no copy of a house in ${from}.`);
  console.log('The newest state of the house was fetched. The machine that it comes from must not be started again.');
}
await serve({ VELVET_STONE_DATA: data });
