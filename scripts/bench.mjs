/**
 * Measures what the design sets limits for: the core, then pages, search, saving and import in a large house, then the
 * views in a browser. `npm run bench`; a word behind it (`npm run bench -- stones`) runs the parts of that name only.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { benchDrainage } from './bench/drainage.mjs';
import { benchClientImport } from './bench/client-import.mjs';
import { benchImport } from './bench/girth-import.mjs';
import { callerOf } from './bench/caller.mjs';
import { benchHouses } from './bench/many-houses.mjs';
import { benchJudgement } from './bench/judgement.mjs';
import { fillHouse } from './bench/large-house.mjs';
import { benchBlends } from './bench/oils.mjs';
import { benchProgress, fillProgress } from './bench/progress.mjs';
import { benchServer, benchViews } from './bench/pages.mjs';
import { benchPhone } from './bench/phone.mjs';
import { benchScreening } from './bench/screening.mjs';
import { benchRefit, benchSequencing } from './bench/sequencing.mjs';
import { benchStones } from './bench/stones.mjs';
import { benchTrend } from './bench/swelling.mjs';
import { benchEvents } from './bench/table-events.mjs';
import { startServer } from './served.mjs';
import { ensureBuilt, ensureInstalled } from './setup.mjs';
import { checkWithoutFindings, withSource } from './source.mjs';

ensureInstalled();
ensureBuilt();

const core = {
  drainage: benchDrainage,
  screening: benchScreening,
  judgement: benchJudgement,
  swelling: benchTrend,
  sequencing: benchSequencing,
  refit: benchRefit,
  stones: benchStones,
  oils: benchBlends,
};
const wanted = process.argv.slice(2);
const isWanted = (name) => wanted.length === 0 || wanted.includes(name);

/** Everything that needs a house behind it. */
async function benchHouse(load) {
  const data = mkdtempSync(path.join(tmpdir(), 'velvet-stone-bench-'));
  await (await startServer({ data })).stop();
  console.log('\nfilling a house with 20,000 clients, 300,000 visits, 2 million tape points …');
  await fillHouse(data);
  const server = await startServer({ data });
  try {
    const caller = await callerOf(server.url);
    const visit = Number(/href="\/visits\/(\d+)\/\w+"[^>]*>Marit/.exec(await caller.ask('/'))[1]);
    await caller.post(`/api/visits/${visit}/check`, { answers: await checkWithoutFindings(load) });
    await benchServer(caller, visit);
    await benchEvents(caller, load, data, visit);
    await benchImport(caller);
    await benchViews(caller, visit);
  } finally {
    await server.stop();
    rmSync(data, { recursive: true, force: true });
  }
}

/** The demo house as it comes to a phone. */
async function benchPages(load) {
  const data = mkdtempSync(path.join(tmpdir(), 'velvet-stone-bench-'));
  const server = await startServer({ data });
  try {
    const caller = await callerOf(server.url);
    const visit = Number(/href="\/visits\/(\d+)\/\w+"[^>]*>Marit/.exec(await caller.ask('/'))[1]);
    await caller.post(`/api/visits/${visit}/check`, { answers: await checkWithoutFindings(load) });
    await caller.ask(`/visits/${visit}/plan`);
    await benchPhone(caller, visit);
  } finally {
    await server.stop();
    rmSync(data, { recursive: true, force: true });
  }
}

/** A file of many clients. */
async function benchClientFile() {
  const data = mkdtempSync(path.join(tmpdir(), 'velvet-stone-bench-'));
  const server = await startServer({ data });
  try {
    await benchClientImport(await callerOf(server.url), server.pid);
  } finally {
    await server.stop();
    rmSync(data, { recursive: true, force: true });
  }
}

/** A client with sixty visits and everything measured. */
async function benchManyVisits(load) {
  const data = mkdtempSync(path.join(tmpdir(), 'velvet-stone-bench-'));
  await (await startServer({ data })).stop();
  const client = await fillProgress(data);
  const server = await startServer({ data });
  try {
    await benchProgress(await callerOf(server.url), load, client);
  } finally {
    await server.stop();
    rmSync(data, { recursive: true, force: true });
  }
}

await withSource(async (load) => {
  for (const [name, bench] of Object.entries(core)) if (isWanted(name)) await bench(load);
  if (isWanted('house')) await benchHouse(load);
  if (isWanted('progress')) await benchManyVisits(load);
  if (isWanted('clients')) await benchClientFile();
  if (isWanted('pages')) await benchPages(load);
  // Twenty processes take five gigabytes: only when asked for by name.
  if (wanted.includes('houses')) await benchHouses();
});
