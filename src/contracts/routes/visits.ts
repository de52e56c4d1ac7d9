import { z } from 'zod';
import { ClosingInput } from '../closing';
import { ClosingView } from '../closing-view';
import { HandOverInput } from '../record';
import { VisitLookedBack } from '../visit-views';
import { get, pdf, post, saved, savedOnly, VisitNumber } from './route';

const inVisit = { who: 'therapist', what: 'visit', params: { id: VisitNumber } } as const;

/** A visit as a whole: looking at it, handing it on, closing it. */
export const visitRoutes = {
  readVisit: get('/api/visits/{id}', {
    ...inVisit,
    summary: 'All that the views of one visit show.',
    answer: VisitLookedBack,
  }),
  handOver: post('/api/visits/{id}/handover', {
    ...inVisit,
    summary: 'Hands the visit over to a colleague.',
    body: HandOverInput,
    answer: savedOnly,
    audit: ['visit handed over'],
  }),
  saveClosing: post('/api/visits/{id}/closing', {
    ...inVisit,
    what: 'closing note',
    summary: 'Stores what is asked at the end.',
    body: ClosingInput,
    answer: saved({ closing: ClosingView }),
    refusals: [409],
  }),
  finishVisit: post('/api/visits/{id}/finish', {
    ...inVisit,
    summary: 'Closes the visit.',
    answer: savedOnly,
    refusals: [400],
    audit: ['visit closed', 'correction signed'],
  }),
  aftercare: get('/api/visits/{id}/aftercare.pdf', {
    ...inVisit,
    summary: 'What the client is told to mind, to print.',
    query: { language: z.string().max(20).default('') },
    answer: pdf,
  }),
} as const;
