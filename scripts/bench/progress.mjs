import path from 'node:path';
import { report, timed, timedLater } from './report.mjs';

const visits = 60;
const points = 18;
const girths = (extra) => JSON.stringify(Array.from({ length: points }, (_, i) => 22 + i * 2 + extra));
const neck = (gain) => ({
  ...{ flexion: 48, extension: 52, turnLeft: 50 + gain, turnRight: 70, bendLeft: 30, bendRight: 38 },
  ...{ chin: 'mid', bones: 'even', following: 'freely' },
});
const face = (gain) => ({
  ...{ rightCm: Array(7).fill(11 - gain / 50), leftCm: Array(7).fill(11), neckCm: [35, 36, 37], eyelids: {} },
});
/** Everything that is measured beside the tape. */
const measured = (gain) => [
  ['scores', null, { tightness: 6 - gain / 5, heaviness: 6, pain: 2, movement: 3, calfPain: 0 }],
  ['neck-range', null, neck(gain)],
  ['face', null, face(gain)],
  ['mouth', null, { openingMm: 38 + gain / 5 }],
  ['texture', 'calf-upper.left', { texture: gain > 5 ? 'soft' : 'firm' }],
  ['pitting', 'shin-lower.left', { depthMm: 4 - gain / 10, reboundSeconds: 12 }],
  ['redness', 'calf-lower.left', { grade: gain > 5 ? 0 : 1, isSpreading: false }],
  ['temperature', 'calf-upper.left', { hereC: 32.4, mirrorC: 31.6 }],
  ['tighter', 'neck-side.right', { what: '' }],
];

const clients = 20;

/**
 * Gives clients sixty visits each, with all that can be measured.
 * @param data of a house that does not run
 * @returns who they are
 */
export async function fillProgress(data) {
  const { default: SQLite } = await import('better-sqlite3-multiple-ciphers');
  const db = new SQLite(path.join(data, 'velvet-stone.sqlite'));
  const filled = Array.from({ length: clients }, () => fillClient(db));
  db.close();
  return filled;
}

function fillClient(db) {
  const { lastInsertRowid: client } = db
    .prepare(
      "insert into client (name, search_name, born_on, note, created_at) values ('Sixty Visits', 'sixty visits', '1970-01-01', '', '2024-01-01T00:00:00.000Z')",
    )
    .run();
  const visit = db.prepare(
    "insert into visit (client_id, therapist_id, starts_at, minutes, purpose, focus_json, stage) values (?, 1, ?, 60, 'swelling', '[\"leg.left\"]', 'done')",
  );
  const taping = db.prepare(
    "insert into taping (client_id, visit_id, taken_at, phase, version, limb, side, unit, method, positions_json, affected_json, reference_json, recorded_at, recorded_by) values (?, ?, ?, ?, 1, 'leg', 'left', 'cm', 'frustum', ?, ?, ?, ?, 1)",
  );
  const seen = db.prepare(
    'insert into observation (client_id, visit_id, taken_at, phase, kind, place, value_json, recorded_at, recorded_by) values (?, ?, ?, ?, ?, ?, ?, ?, 1)',
  );
  const positions = JSON.stringify(Array.from({ length: points }, (_, i) => i * 4));
  db.transaction(() => {
    for (let i = 0; i < visits; i += 1) {
      const at = new Date(Date.UTC(2025, 0, 6 + 7 * i, 9)).toISOString();
      const { lastInsertRowid: id } = visit.run(client, at);
      for (const [phase, gain] of [
        ['before', 0],
        ['after', 10],
      ]) {
        taping.run(client, id, at, phase, positions, girths(2 - i / 100 - gain / 50), girths(0), at);
        for (const [kind, place, value] of measured(gain))
          seen.run(client, id, at, phase, kind, place, JSON.stringify(value), at);
      }
    }
  })();
  return Number(client);
}

/** Progress with sixty visits and all measures, and the map that remembers over two hundred. */
export async function benchProgress({ ask }, load, [client, ...others]) {
  await timedLater(() => ask(`/clients/${client}/progress`), 1, 40);
  report(
    'server: progress page of a client not yet opened',
    await timedLater((turn) => ask(`/clients/${others[turn]}/progress`), others.length),
    '–',
  );
  report(
    'server: progress page, 60 visits, all measures',
    await timedLater(() => ask(`/clients/${client}/progress`), 200),
    'p95 under 40 ms',
  );
  report('server: what stands beneath it', await timedLater(() => ask(`/api/clients/${client}/progress`), 50, 5), '–');
  report('server: a health check, for comparison', await timedLater(() => ask('/api/health'), 200), '–');
  const { remember } = await load('/src/core/change/remembered.ts');
  const kinds = ['tighter', 'tender', 'redness', 'warmer', 'firm'];
  const places = ['calf-upper.left', 'calf-upper.right', 'neck-side.right', 'cheek.left', 'sole.left'];
  const looked = Array.from({ length: 200 }, (_, i) => ({
    daysAgo: 1400 - 7 * i,
    found: places.filter((_place, k) => (i + k) % 3 > 0).map((place, k) => ({ kind: kinds[(i + k) % 5], place })),
  }));
  report(
    'map that remembers, 200 visits',
    timed(() => remember(looked), 200, 50),
    'under 5 ms',
  );
}
