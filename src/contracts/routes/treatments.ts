import { z } from 'zod';
import { CourseInput, PlanWishInput } from '../record';
import { ReadyInput, TemplateInput, TreatmentInput } from '../treatment';
import { TreatmentOffers } from '../treatment-views';
import { PlanView } from '../visit-views';
import { del, get, Id, MaybeId, post, put, saved, savedOnly, VisitNumber } from './route';

const planned = saved({ plan: PlanView });
const inVisit = {
  who: 'therapist',
  what: 'plan',
  params: { id: VisitNumber },
  answer: planned,
  refusals: [409],
} as const;

/** What a visit is to hold, in which order, and what has to be ready for it. */
export const treatmentRoutes = {
  firstPlan: post('/api/visits/{id}/first-plan', {
    ...inVisit,
    what: 'visit',
    summary: 'Plans a visit as it was booked, when it has no plan yet; again is harmless.',
  }),
  makePlan: post('/api/visits/{id}/plan', {
    ...inVisit,
    summary: 'Plans a drainage from what is known now.',
    body: PlanWishInput,
  }),
  rearrangeCourse: post('/api/visits/{id}/course', {
    ...inVisit,
    what: 'course',
    summary: 'Stores a rearranged course.',
    body: CourseInput,
  }),
  makeTreatment: post('/api/visits/{id}/treatment', {
    ...inVisit,
    summary: 'Plans all that a visit is to hold.',
    body: TreatmentInput,
  }),
  saveReady: put('/api/visits/{id}/ready', {
    who: 'therapist',
    what: 'visit',
    params: { id: VisitNumber },
    summary: 'What of the room list is ready.',
    body: ReadyInput,
    answer: savedOnly,
  }),
  offerTreatments: get('/api/treatments', {
    who: 'assistant',
    what: 'treatment',
    summary: 'What may be chosen for a visit; `client` adds what is usual for that client.',
    query: { client: MaybeId },
    answer: TreatmentOffers,
  }),
  keepTemplate: post('/api/treatments', {
    who: 'therapist',
    what: 'client',
    summary: 'Keeps a treatment to be taken again.',
    body: TemplateInput,
    answer: saved({ id: z.number() }),
    audit: ['treatment kept for the house', 'usual treatment kept'],
  }),
  dropTemplate: del('/api/treatments/{key}', {
    who: 'therapist',
    what: 'template',
    summary: 'Takes a kept treatment away.',
    params: { key: Id },
    answer: savedOnly,
  }),
} as const;
