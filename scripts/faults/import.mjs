/** The process is ended while girths are brought in: afterwards all of a table is there, or nothing of it. */
import { startServer } from '../served.mjs';
import { TextEncoder } from 'node:util';
import { killWhile, look, ownerOf, wait } from './caller.mjs';

const days = 120;

export async function killInImport({ folder, times, random }) {
  let server = await startServer({ data: folder });
  const { port } = server;
  const owner = await ownerOf(server.url);
  let lost = 0;
  let whole = 0;
  for (let kill = 0; kill < times; kill += 1) {
    const { id } = (await owner.call('POST', '/api/clients', { name: `Import ${kill}` })).body;
    const { status, body } = await begin(owner, id);
    if (status >= 300) throw new Error(`the import was answered with ${status}: ${JSON.stringify(body)}`);
    let { import: now } = body;
    while (now.state === 'reading') {
      await wait(30);
      now = (await owner.call('GET', `/api/imports/${now.id}`)).body.import;
    }
    if (now.state !== 'checked' || now.tapings !== days) throw new Error(`the table reads as ${JSON.stringify(now)}`);
    const answer = await killWhile(server, 1 + random() * 80, () =>
      owner.call('POST', `/api/imports/${now.id}`, { leaveOutTroubled: false }),
    );
    const found = look(folder, 'select count(*) from taping where client_id = ?', id);
    if (found !== 0 && found !== days) lost += 1;
    if (found === days) whole += 1;
    if (answer?.body?.import?.state === 'done' && found !== days) lost += 1;
    server = await startServer({ data: folder, port });
  }
  await server.stop();
  return { lost, words: `${times} kills, ${whole} tables had been stored whole before` };
}

/** A table of one limb over many days: a girth a row. */
function begin(owner, clientId) {
  const rows = Array.from({ length: days }, (_, i) => {
    const date = new Date(Date.UTC(2025, 0, 1 + i)).toISOString().slice(0, 10);
    const girths = [0, 4, 8, 12].flatMap((at) => [
      `${date};leg;left;${at};${22 + at / 2 + (i % 5) / 10}`,
      `${date};leg;right;${at};${21 + at / 2}`,
    ]);
    return girths.join('\n');
  });
  const table = ['date;limb;side;point;girth', ...rows].join('\n');
  const plan = {
    ...{ clientId, unit: 'cm', dateOrder: 'year-month-day', delimiter: ';' },
    columns: { date: 0, limb: 1, side: 2, point: 3, girth: 4 },
  };
  const address = `/api/imports?plan=${encodeURIComponent(JSON.stringify(plan))}`;
  return owner.call('POST', address, new TextEncoder().encode(table));
}
