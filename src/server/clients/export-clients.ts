import ICAL from 'ical.js';
import Papa from 'papaparse';
import type { AuditAction } from '../../contracts/audit';
import type { ClientInput } from '../../contracts/record';
import type { Db } from '../db/connection';
import { insertAudit } from '../house/audit.repository';
import type { Actor } from '../shared/saving';
import { nextClients } from './client-imports.repository';
import { toClientData } from './clients.repository';

const pack = 500;
const fields = [
  ...(['name', 'born', 'phone', 'email', 'address', 'emergency contact', 'language', 'height cm'] as const),
  ...(['medicines', 'note'] as const),
];
const handedOut: AuditAction = 'client list handed out';

/** All clients as a table that can be brought in again: a row a client. */
export async function clientsAsCsv(db: Db, actor: Actor): Promise<string> {
  const data = (await everybody(db)).map((client) => [
    ...[client.name, client.bornOn ?? '', client.phone, client.email, client.address, client.emergencyContact],
    ...[client.language, client.heightCm ?? '', client.medicines, client.note],
  ]);
  await noteHandedOut(db, actor);
  return Papa.unparse({ fields, data }, { newline: '\r\n', escapeFormulae: true });
}

/** All clients as vCards 4.0 (RFC 6350): how to reach them, and nothing of their health. */
export async function clientsAsVCards(db: Db, actor: Actor): Promise<string> {
  const cards = (await everybody(db)).map(cardOf);
  await noteHandedOut(db, actor);
  return cards.join('\r\n') + (cards.length > 0 ? '\r\n' : '');
}

function cardOf(client: ClientInput): string {
  const card = new ICAL.Component(['vcard', [], []]);
  card.addPropertyWithValue('version', '4.0');
  card.addPropertyWithValue('fn', client.name);
  if (client.bornOn) card.addPropertyWithValue('bday', client.bornOn);
  if (client.phone) card.addPropertyWithValue('tel', client.phone);
  if (client.email) card.addPropertyWithValue('email', client.email);
  // The record holds an address in one line: it is told as the street, so that nothing of it is guessed.
  if (client.address) card.addPropertyWithValue('adr', ['', '', client.address, '', '', '', '']);
  if (client.language) card.addPropertyWithValue('lang', client.language);
  return card.toString();
}

async function everybody(db: Db): Promise<readonly ClientInput[]> {
  const all: ClientInput[] = [];
  for (let last = 0; ;) {
    const rows = await nextClients(db, last, pack);
    if (rows.length === 0) return all;
    all.push(...rows.map(toClientData));
    last = rows.at(-1)?.id ?? last;
  }
}

const noteHandedOut = (db: Db, actor: Actor) =>
  insertAudit(db, { at: actor.now.toISOString(), by: actor.therapistId, action: handedOut, subject: 'house' });
