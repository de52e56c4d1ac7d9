import { report } from './report.mjs';

const pointsOnLeg = 18;

/** A table of 100,000 girths, day by day, both legs. */
function manyGirths() {
  const rows = ['date,limb,side,point cm,girth cm'];
  const start = Date.UTC(2000, 0, 1);
  for (let day = 0; rows.length <= 100_000; day += 1) {
    const date = new Date(start + day * 86_400_000).toISOString().slice(0, 10);
    for (const side of ['left', 'right'])
      for (let i = 0; i < pointsOnLeg; i += 1) rows.push(`${date},leg,${side},${i * 4},${22 + i * 2}`);
  }
  return rows;
}

/** Reads and checks the table, then stores it in one transaction, while others go on working. */
export async function benchImport({ ask }) {
  const rows = manyGirths();
  const plan = {
    ...{ clientId: 1, columns: { date: 0, limb: 1, side: 2, point: 3, girth: 4 }, unit: 'cm' },
    dateOrder: 'year-month-day',
  };
  const job = async (method, to, body) => JSON.parse(await ask(to, { method, body })).import;
  const until = async (id, state) => {
    const waits = [];
    for (;;) {
      const asked = performance.now();
      const now = await job('GET', `/api/imports/${id}`);
      waits.push(performance.now() - asked);
      if (now.state === state) return waits;
      if (now.state === 'failed' || now.state === 'cancelled') throw new Error(`the import ${now.state}`);
      await new Promise((resolve) => setTimeout(resolve, 20));
    }
  };
  let began = performance.now();
  const { id } = await job('POST', `/api/imports?plan=${encodeURIComponent(JSON.stringify(plan))}`, rows.join('\n'));
  const reading = await until(id, 'checked');
  const readMs = performance.now() - began;
  began = performance.now();
  await job('POST', `/api/imports/${id}`, JSON.stringify({ leaveOutTroubled: true }));
  const storing = await until(id, 'done');
  const storeMs = performance.now() - began;
  const rate = (ms) => `${Math.round(rows.length / (ms / 1000)).toLocaleString('en')} rows a second`;
  console.log(`import of ${rows.length - 1} rows: read and checked at ${rate(readMs)}, stored at ${rate(storeMs)}`);
  report('asking how an import stands, meanwhile', [...reading, ...storing]);
}
