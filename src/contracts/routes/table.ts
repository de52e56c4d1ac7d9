import { z } from 'zod';
import { TableEventsInput, TableLeadInput } from '../table';
import { TableLead, TableNow } from '../visit-views';
import { get, post, saved, VisitNumber } from './route';

const inVisit = { who: 'therapist', what: 'visit', params: { id: VisitNumber } } as const;

/** What happens at the treatment table. */
export const tableRoutes = {
  readTable: get('/api/visits/{id}/events', {
    ...inVisit,
    summary: 'How the treatment stands, and which device leads it.',
    answer: TableNow,
  }),
  recordEvents: post('/api/visits/{id}/events', {
    ...inVisit,
    summary: 'Keeps what happens at the table; again is harmless.',
    body: TableEventsInput,
    answer: saved({ stored: z.number(), isAside: z.boolean(), lead: TableLead.nullable() }),
  }),
  takeLead: post('/api/visits/{id}/lead', {
    ...inVisit,
    summary: 'Another device leads the treatment from now on.',
    body: TableLeadInput,
    answer: saved(TableNow.shape),
    audit: ['table taken over'],
  }),
} as const;
