/** The durable save of a press at the table: the saving itself, and as a device waits for it. */
import { report, timedLater } from './report.mjs';

const deviceId = 'the-bench-table';
const pressOf = (name) => (i) => ({
  deviceId,
  events: [
    {
      id: `${name}-${String(i).padStart(6, '0')}`,
      ...{ kind: i === 0 ? 'start' : i % 2 ? 'pause' : 'resume', stepId: 's1', planVersion: 1 },
      at: new Date().toISOString(),
    },
  ],
});

/** @param data the folder of the house that the server runs on: a second connection saves beside it */
export async function benchEvents({ ask, post }, load, data, visit) {
  const overHttp = pressOf('over-http');
  report(
    'table event, as a device waits for it',
    await timedLater((i) => post(`/api/visits/${visit}/events`, overHttp(i)), 200, 20),
    'p95 under 15 ms',
  );
  report('  of which an empty request', await timedLater(() => ask('/api/health'), 200, 20));
  const { openDatabase } = await load('/src/server/db/connection.ts');
  const { recordEvents } = await load('/src/server/table/record-table.ts');
  const db = openDatabase(data);
  const direct = pressOf('direct');
  const save = async (i) => {
    const { kind } = await recordEvents(db, visit, direct(i), { therapistId: 1, now: new Date() });
    if (kind !== 'saved') throw new Error(`a press was not saved: ${kind}`);
  };
  report('table event, saved durably on the server', await timedLater(save, 400, 30), 'p95 under 5 ms');
  await db.destroy();
}
