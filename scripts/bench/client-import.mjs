import { readFileSync } from 'node:fs';
import { report } from './report.mjs';

const rowsInAll = 200_000;
const given = ['Agda', 'Bero', 'Cilla', 'Dorin', 'Edda', 'Falk', 'Greta', 'Hauke', 'Imke', 'Jorun'];
const syllables = ['al', 'bro', 'cas', 'den', 'er', 'fol', 'gar', 'hem', 'il', 'jor', 'kel', 'lun', 'mar', 'nor', 'os'];

/** A table of many people, each with a name, birthday, number and address of their own. */
function manyPeople() {
  const rows = ['name,born,phone,email,address,note'];
  const part = (i) => syllables[i % syllables.length];
  for (let i = 0; i < rowsInAll; i += 1) {
    const family = part(i) + part(Math.floor(i / 15)) + part(Math.floor(i / 225)) + part(Math.floor(i / 3375));
    const born = new Date(Date.UTC(1940, 0, 1) + (i % 25_000) * 86_400_000).toISOString().slice(0, 10);
    rows.push(
      `${given[i % 10]} ${family},${born},0${700_000_000 + i},person${i}@many.example,"Row ${i}, Brel",came from a file`,
    );
  }
  return rows.join('\n');
}

/** Memory that a process holds, MB. */
const heldMb = (pid) => Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))[1]) / 1024;

/** Reads, checks and stores 200,000 clients, stopped once and taken back once, while others ask the server. */
export async function benchClientImport({ ask, post }, pid) {
  const table = manyPeople();
  const columns = { name: 0, born: 1, phone: 2, email: 3, address: 4, note: 5 };
  const plan = { file: 'many.csv', columns, dateOrder: 'year-month-day' };
  let most = heldMb(pid);
  const before = most;
  const until = async (id, ...states) => {
    const waits = [];
    for (;;) {
      const { import: now } = JSON.parse(await ask(`/api/client-imports/${id}`));
      most = Math.max(most, heldMb(pid));
      if (states.includes(now.state)) return { waits, now };
      if (now.state === 'failed' || now.state === 'cancelled') throw new Error(`the import ${now.state}`);
      const asked = performance.now();
      await ask('/api/clients?q=ola');
      waits.push(performance.now() - asked);
      await new Promise((resolve) => setTimeout(resolve, 40));
    }
  };
  const begin = async () =>
    JSON.parse(
      await ask(`/api/client-imports?plan=${encodeURIComponent(JSON.stringify(plan))}`, {
        method: 'POST',
        body: table,
      }),
    ).import.id;
  const seconds = (from) => ((performance.now() - from) / 1000).toFixed(1);

  let from = performance.now();
  const id = await begin();
  const reading = await until(id, 'checked');
  console.log(`clients in: ${rowsInAll} rows read and checked in ${seconds(from)} s, ${reading.now.fresh} of them new`);
  from = performance.now();
  await post(`/api/client-imports/${id}`, { leaveOutTroubled: true });
  const storing = await until(id, 'done');
  console.log(`clients in: stored in ${seconds(from)} s`);
  from = performance.now();
  const undo = JSON.parse(await post(`/api/past-client-imports/${storing.now.key}/undo`, {})).import.id;
  const undoing = await until(undo, 'undone');
  console.log(`clients in: taken back in ${seconds(from)} s, ${undoing.now.added} of them`);
  report('clients in: a search, while it is read', reading.waits);
  report('clients in: a search, while it is stored', storing.waits);
  report('clients in: a search, while it is taken back', undoing.waits);
  console.log(`clients in: the server held ${before.toFixed(0)} MB before, ${most.toFixed(0)} MB at most`);
}
