import { treatmentRoutes as routes } from '../../contracts/routes/treatments';
import { makePlan, rearrangeCourse } from '../drainage/make-plan';
import { endpoints } from '../http/endpoint';
import { makeFirstPlan } from './first-plan';
import { makeTreatment } from './make-treatment';
import { dropTemplate, offerTreatments, saveTemplate } from './offer-treatments';
import { saveReady } from './read-room';

export const treatmentEndpoints = endpoints(routes, {
  firstPlan: ({ db, params, actor }) => makeFirstPlan(db, params.id, actor),
  makePlan: ({ db, params, body, actor }) => makePlan(db, params.id, body, actor),
  rearrangeCourse: ({ db, params, body, actor }) => rearrangeCourse(db, params.id, body, actor),
  makeTreatment: ({ db, params, body, actor }) => makeTreatment(db, params.id, body, actor),
  saveReady: ({ db, params, body }) => saveReady(db, params.id, body),
  // The front desk books by kind; what was given to a client is for those who treat.
  offerTreatments: ({ db, query, staff, actor }) =>
    offerTreatments(db, staff.role === 'assistant' ? null : (query.client ?? null), actor.now),
  keepTemplate: ({ db, body, actor }) => saveTemplate(db, body, actor),
  dropTemplate: ({ db, params, actor }) => dropTemplate(db, params.key, actor),
});
