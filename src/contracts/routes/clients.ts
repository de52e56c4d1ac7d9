import { z } from 'zod';
import { Double, FileView, FoundClient } from '../client-views';
import { ClientChangeInput, ClientInput, MergeInput, PersonInput } from '../record';
import { ClientNumber, del, file, get, Id, post, put, saved, savedOnly } from './route';

export const largestFileBytes = 10_000_000;

const Counted = z.object({
  id: z.number(),
  data: ClientInput,
  counts: z.record(z.string(), z.number()),
  version: z.number(),
});
export const MergePreview = z.object({
  keep: Counted,
  drop: Counted,
  /** The data as it will be: what the kept record lacks is taken from the other. */
  merged: ClientInput,
  /** Fields in which the two differ and the kept one's is taken. */
  differing: z.array(z.object({ field: z.string(), kept: z.string(), dropped: z.string() })).readonly(),
  /** Findings that both have; both stay, for the therapist to clear up. */
  twice: z.array(z.string()).readonly(),
});
export type MergePreview = z.infer<typeof MergePreview>;

/** Who comes here, and what is kept of them. */
export const clientRoutes = {
  findClients: get('/api/clients', {
    who: 'assistant',
    what: 'client',
    summary: 'Clients whose name, phone number or e-mail is near `q`.',
    query: { q: z.string().max(200).default('') },
    answer: z.array(FoundClient).readonly(),
  }),
  findDoubles: post('/api/clients/doubles', {
    who: 'assistant',
    what: 'client',
    summary: 'Clients on record who may be the person that is being typed.',
    body: PersonInput,
    answer: z.array(Double).readonly(),
  }),
  addClient: post('/api/clients', {
    who: 'assistant',
    what: 'client',
    summary: 'Adds a client.',
    body: ClientInput,
    answer: saved({ id: z.number() }),
    status: 201,
    audit: ['client added'],
  }),
  correctClient: put('/api/clients/{id}', {
    who: 'assistant',
    what: 'client',
    summary: 'Corrects a client’s own data as a new version.',
    params: { id: ClientNumber },
    body: ClientChangeInput,
    answer: saved({ version: z.number(), data: ClientInput }),
    refusals: [409],
    audit: ['client data changed'],
  }),
  eraseClient: del('/api/clients/{id}', {
    who: 'owner',
    asksPin: true,
    what: 'client',
    summary: 'Erases a client for good; `name` as it stands on the record.',
    params: { id: ClientNumber },
    query: { name: z.string().max(200).default('') },
    answer: savedOnly,
    audit: ['client erased'],
  }),
  archiveClient: post('/api/clients/{id}/archive', {
    who: 'therapist',
    what: 'client',
    summary: 'Puts a client into the archive.',
    params: { id: ClientNumber },
    answer: savedOnly,
    audit: ['client archived'],
  }),
  unarchiveClient: del('/api/clients/{id}/archive', {
    who: 'therapist',
    what: 'client',
    summary: 'Takes a client back from the archive.',
    params: { id: ClientNumber },
    answer: savedOnly,
    audit: ['client taken back from the archive'],
  }),
  previewMerge: get('/api/clients/{id}/merge', {
    who: 'therapist',
    what: 'pair of clients',
    summary: 'What merging with the client `with` would do.',
    params: { id: ClientNumber },
    query: { with: Id },
    answer: MergePreview,
  }),
  mergeClients: post('/api/clients/{id}/merge', {
    who: 'therapist',
    asksPin: true,
    what: 'client',
    summary: 'Makes one record of two.',
    params: { id: ClientNumber },
    body: MergeInput,
    answer: saved({ id: z.number() }),
    refusals: [409],
    audit: ['clients merged'],
  }),
  exportClient: get('/api/clients/{id}/export', {
    who: 'therapist',
    asksPin: true,
    what: 'client',
    summary: 'Everything on record of a client as JSON.',
    params: { id: ClientNumber },
    answer: file('application/json'),
    audit: ['client data handed out'],
  }),
  attachFile: post('/api/clients/{id}/files', {
    who: 'therapist',
    what: 'client',
    summary: 'Keeps a picture or PDF, the body being the file.',
    params: { id: ClientNumber },
    query: { name: z.string().max(300).default('') },
    body: { bytes: { most: largestFileBytes, what: 'The file itself: JPEG, PNG, WebP or PDF.' } },
    answer: saved({ attachment: FileView }),
    audit: ['file added'],
  }),
  readFile: get('/api/clients/{id}/files/{key}', {
    who: 'therapist',
    what: 'file',
    summary: 'A file of the record, as what it was found to be.',
    params: { id: ClientNumber, key: Id },
    answer: file('application/octet-stream'),
  }),
  removeFile: del('/api/clients/{id}/files/{key}', {
    who: 'therapist',
    what: 'file',
    summary: 'Removes a file.',
    params: { id: ClientNumber, key: Id },
    answer: savedOnly,
    audit: ['file removed'],
  }),
} as const;
