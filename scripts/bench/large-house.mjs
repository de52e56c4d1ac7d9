/** Fills a house as far as the design goes: 20,000 clients, 300,000 visits, 2 million tape points. */
import path from 'node:path';

const size = { clients: 20_000, visitsEach: 15, tapePoints: 2_000_000 };
const first =
  'Alma Benno Carla Dario Edda Fabio Gesa Hanno Ilva Jonte Kaja Levi Mira Nilo Orla Pia Quirin Runa Sven Tilda'.split(
    ' ',
  );
const last =
  'Ahrens Birkwald Cordes Dornau Ellmann Fuhrberg Gerling Hohmuth Ibsen Jarl Kestner Lohse Marquart Nolte Osterloh Prager Rehbein Sturm Tewes Ulrich'.split(
    ' ',
  );
const nameOf = (i) => `${first[i % 20]} ${last[Math.floor(i / 20) % 20]} ${i}`;

/** A visit every 45 × 3 hours, from the start of 2024. */
const visitAt = (client, nth) => new Date(Date.UTC(2024, 0, 1) + (client * 7 + nth * 45) * 3 * 3_600_000).toISOString();

const pointsOnLeg = 18;
const positions = JSON.stringify(Array.from({ length: pointsOnLeg }, (_, i) => i * 4));
const girths = (extra) => JSON.stringify(Array.from({ length: pointsOnLeg }, (_, i) => 22 + i * 2 + extra));

/** @param data the folder of a house that has been opened before, while no server runs on it */
export async function fillHouse(data) {
  const { default: SQLite } = await import('better-sqlite3-multiple-ciphers');
  const db = new SQLite(path.join(data, 'velvet-stone.sqlite'));
  const client = db.prepare(
    "insert into client (name, search_name, born_on, phone, note, created_at) values (?, ?, '1970-01-01', ?, '', '2026-01-01T00:00:00.000Z')",
  );
  const visit = db.prepare(
    "insert into visit (client_id, therapist_id, starts_at, minutes, purpose, focus_json, stage) values (?, 1, ?, 60, 'swelling', '[\"leg.left\"]', 'done')",
  );
  const taping = db.prepare(
    "insert into taping (client_id, visit_id, taken_at, phase, version, limb, side, unit, method, positions_json, affected_json, reference_json, recorded_at, recorded_by) values (?, ?, ?, 'before', 1, 'leg', 'left', 'cm', 'frustum', ?, ?, ?, ?, 1)",
  );
  db.transaction(() => {
    let points = 0;
    for (let i = 0; i < size.clients; i += 1) {
      const name = nameOf(i);
      const { lastInsertRowid: clientId } = client.run(name, name.toLowerCase(), `0700 ${i}`);
      for (let nth = 0; nth < size.visitsEach; nth += 1) {
        const at = visitAt(i, nth);
        const { lastInsertRowid: visitId } = visit.run(clientId, at);
        if (points >= size.tapePoints) continue;
        taping.run(clientId, visitId, at, positions, girths(2 - nth / 10), girths(0), at);
        points += 2 * pointsOnLeg;
      }
    }
  })();
  db.close();
}
