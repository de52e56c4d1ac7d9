import { z } from 'zod';
import { ClientImportPlan, ClientImportStep, ClientImportView, PastImport } from '../client-imports';
import { jsonOf } from './json-of';
import { del, file, get, Id, Key, post, saved, savedOnly } from './route';

const ofImport = { who: 'therapist', what: 'import', params: { job: Key } } as const;
const imported = saved({ import: ClientImportView });
const list = { who: 'therapist', asksPin: true, what: 'house', audit: ['client list handed out'] } as const;

/** Clients as other programs write and read them. */
export const clientExchangeRoutes = {
  startClientImport: post('/api/client-imports', {
    who: 'therapist',
    what: 'import',
    summary:
      'Reads and checks a table of clients (CSV) or vCards, the body being the file; `plan` says as JSON how it is read.',
    query: { plan: jsonOf(ClientImportPlan, 'The plan of columns is not valid JSON.') },
    body: { bytes: { most: 60_000_000, what: 'The file itself.' } },
    answer: imported,
  }),
  readClientImport: get('/api/client-imports/{job}', {
    ...ofImport,
    summary: 'How an import of clients stands.',
    answer: z.object({ import: ClientImportView }),
  }),
  storeClientImport: post('/api/client-imports/{job}', {
    ...ofImport,
    summary: 'Stores what was checked.',
    body: ClientImportStep,
    answer: imported,
    audit: ['clients brought in', 'client data changed', 'clients taken out again'],
  }),
  cancelClientImport: del('/api/client-imports/{job}', {
    ...ofImport,
    summary: 'Stops an import of clients; what it had begun to store is taken out again.',
    answer: savedOnly,
  }),
  listClientImports: get('/api/client-imports', {
    who: 'therapist',
    what: 'import',
    summary: 'The last imports of clients.',
    answer: z.array(PastImport).readonly(),
  }),
  undoClientImport: post('/api/past-client-imports/{key}/undo', {
    who: 'therapist',
    what: 'import',
    params: { key: Id },
    summary: 'Takes an import of clients back: all of whom nothing else is on record since.',
    answer: imported,
    audit: ['clients taken out again'],
  }),
  clientsAsCsv: get('/api/clients.csv', {
    ...list,
    summary: 'All clients as a table that can be brought in again.',
    answer: file('text/csv'),
  }),
  clientsAsVCards: get('/api/clients.vcf', {
    ...list,
    summary: 'All clients as vCards (version 4.0): how to reach them, nothing of their health.',
    answer: file('text/vcard'),
  }),
} as const;
