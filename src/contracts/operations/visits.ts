import { HomeLinkInput, HomeLogInput, HomeSheetInput, HomeTickInput } from '../home';
import { ObservationInput } from '../measures';
import { ClosingInput } from '../closing';
import {
  ConsentInput,
  CourseInput,
  HandOverInput,
  IntakeInput,
  OverrideInput,
  PlanWishInput,
  TapingInput,
  VisitCheckInput,
} from '../record';
import { TableEventsInput, TableLeadInput } from '../table';
import { ReadyInput, TreatmentInput } from '../treatment';
import { type Operation, row, takes } from './operation';

/** One visit from asking to closing, and what the client takes home. */
export const visits: readonly Operation[] = [
  row('get', '/api/visits/{id}', 'All that the views of one visit show.'),
  row('get', '/api/visits/{id}/ask', 'Findings, answers, decisions and limits of a visit.'),
  takes('post', '/api/visits/{id}/intake', IntakeInput, 'Stores answers of the full intake.'),
  takes('post', '/api/visits/{id}/check', VisitCheckInput, 'Stores answers of the check before the visit.'),
  takes('post', '/api/visits/{id}/consent', ConsentInput, 'Stores a signed consent.'),
  takes('post', '/api/visits/{id}/overrides', OverrideInput, 'Sets a limit aside for this visit, with a reason.'),
  row('delete', '/api/visits/{id}/overrides/{key}', 'The limit holds again.'),
  row('get', '/api/visits/{id}/referral.pdf', 'The note to the treating professional.'),
  takes('post', '/api/visits/{id}/taping', TapingInput, 'Stores a taping as a new version.', [409]),
  takes('post', '/api/visits/{id}/observations', ObservationInput, 'Stores what was felt, seen or said.', [409]),
  row('delete', '/api/visits/{id}/observations/{key}', 'Takes an observation back; it stays in the history.'),
  row('post', '/api/visits/{id}/photos', 'Keeps a photograph, the body being the picture.', [400, 413]),
  takes('post', '/api/visits/{id}/plan', PlanWishInput, 'Plans the visit from what is known now.', [409]),
  takes('post', '/api/visits/{id}/treatment', TreatmentInput, 'Plans all that a visit is to hold.', [404, 409]),
  takes('put', '/api/visits/{id}/ready', ReadyInput, 'What of the room list is ready.', [404]),
  takes('post', '/api/visits/{id}/course', CourseInput, 'Stores a rearranged course.', [409]),
  row('get', '/api/visits/{id}/events', 'How the treatment stands, and which device leads it.'),
  takes('post', '/api/visits/{id}/lead', TableLeadInput, 'Another device leads the treatment from now on.'),
  takes('post', '/api/visits/{id}/events', TableEventsInput, 'Keeps what happens at the table; again is harmless.'),
  row('get', '/api/visits/{id}/home', 'What may be done at home, and what was given.'),
  takes('post', '/api/visits/{id}/home', HomeSheetInput, 'Draws a home sheet up; with `keep` it becomes the client’s.'),
  row('delete', '/api/home/{id}', 'Ends a home sheet and every link to it.'),
  takes('post', '/api/home/{id}/link', HomeLinkInput, 'Makes a link to a sheet that needs no sign-in and runs out.'),
  row('delete', '/api/home/{id}/link', 'Takes the link back.'),
  takes('post', '/api/home/{id}/log', HomeLogInput, 'Days of the paper log on which the sheet was done.'),
  row('get', '/api/home/{id}/sheet.pdf', 'The sheet to print; `paper` is a4 or letter.', [400]),
  takes('post', '/api/home-page/{token}/ticks', HomeTickInput, 'Ticks a sheet off, from the page behind its link.'),
  takes('post', '/api/visits/{id}/closing', ClosingInput, 'Stores what is asked at the end.', [409]),
  row('get', '/api/visits/{id}/aftercare.pdf', 'What the client is told to mind, to print.'),
  row('post', '/api/visits/{id}/finish', 'Closes the visit.'),
  takes('post', '/api/visits/{id}/handover', HandOverInput, 'Hands the visit over to a colleague.'),
];
