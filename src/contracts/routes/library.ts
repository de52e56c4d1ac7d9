import { z } from 'zod';
import { LibraryFile, ProtocolEntryInput, TechniqueInput } from '../library';
import { ImportedLibrary, LibraryView } from '../library-views';
import { del, file, get, Key, Mention, post, put, saved, savedOnly } from './route';

const therapists = { who: 'therapist' } as const;
const kept = saved({ version: z.number() });

/** Techniques and protocols, as they ship and as the house has them. */
export const libraryRoutes = {
  exportLibrary: get('/api/library', {
    ...therapists,
    what: 'library',
    summary:
      'The house’s own techniques and protocols as a file; with `all` everything it works with; with `with=shipped` the same in the plain form for other programs, and what is told at home.',
    query: { all: Mention, with: z.enum(['shipped']).optional() },
    answer: file('application/json'),
  }),
  importLibrary: post('/api/library', {
    ...therapists,
    what: 'library',
    summary: 'What a library file would bring; with `keep` it is brought in.',
    query: { keep: Mention },
    body: LibraryFile,
    answer: ImportedLibrary,
    audit: ['library file brought in'],
  }),
  readLibrary: get('/api/library/view', {
    ...therapists,
    what: 'library',
    summary: 'What the Library view shows.',
    answer: LibraryView,
  }),
  librarySchema: get('/api/library/schema', {
    ...therapists,
    what: 'schema',
    summary: 'The shape of a library file as a JSON Schema.',
    answer: z.record(z.string(), z.unknown()),
  }),
  saveTechnique: put('/api/library/techniques/{key}', {
    ...therapists,
    what: 'technique',
    params: { key: Key },
    summary: 'Keeps a technique as the house’s own.',
    body: TechniqueInput,
    answer: kept,
    refusals: [409],
    audit: ['technique saved'],
  }),
  restoreTechnique: del('/api/library/techniques/{key}', {
    ...therapists,
    what: 'technique',
    params: { key: Key },
    summary: 'Takes an own technique away; what ships comes back.',
    answer: savedOnly,
    refusals: [400],
    audit: ['own technique taken away'],
  }),
  saveProtocol: put('/api/library/protocols/{key}', {
    ...therapists,
    what: 'protocol',
    params: { key: Key },
    summary: 'Keeps a protocol as the house’s own.',
    body: ProtocolEntryInput,
    answer: kept,
    refusals: [409],
    audit: ['protocol saved'],
  }),
  restoreProtocol: del('/api/library/protocols/{key}', {
    ...therapists,
    what: 'protocol',
    params: { key: Key },
    summary: 'Takes an own protocol away; what ships comes back.',
    answer: savedOnly,
    refusals: [400],
    audit: ['own protocol taken away'],
  }),
} as const;
