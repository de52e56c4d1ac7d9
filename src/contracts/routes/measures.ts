import { z } from 'zod';
import { ImportPlan, ImportStep, ImportView } from '../imports';
import { TogetherView } from '../earned-views';
import { ProgressDetails } from '../progress-views';
import { FlagView, MeasureView, ObservationView } from '../measure-views';
import { ClientMeasuringInput, MeasuringInput, ObservationInput, ProtocolInput } from '../measures';
import { TapingInput } from '../record';
import { TapeProtocolShape } from '../shapes/swelling';
import { TapingView } from '../visit-views';
import { jsonOf } from './json-of';
import { ClientNumber, del, file, get, Id, Key, pdf, post, put, saved, savedOnly, VisitNumber } from './route';

const flags = z.array(FlagView).readonly();
const ofImport = { who: 'therapist', what: 'import', params: { job: Key } } as const;
const imported = saved({ import: ImportView });

/** Tape, observations and what becomes of them. */
export const measureRoutes = {
  readMeasure: get('/api/visits/{id}/measure', {
    who: 'therapist',
    what: 'visit',
    params: { id: VisitNumber },
    summary: 'Everything that was taped, seen and said in a visit, with what it is compared with.',
    answer: MeasureView,
  }),
  saveTaping: post('/api/visits/{id}/taping', {
    who: 'therapist',
    what: 'taping',
    params: { id: VisitNumber },
    summary: 'Stores a taping as a new version.',
    body: TapingInput,
    answer: saved({ taping: TapingView, flags }),
    refusals: [409],
  }),
  saveObservation: post('/api/visits/{id}/observations', {
    who: 'therapist',
    what: 'observation',
    params: { id: VisitNumber },
    summary: 'Stores what was felt, seen or said.',
    body: ObservationInput,
    answer: saved({ observation: ObservationView, flags }),
    refusals: [409],
  }),
  removeObservation: del('/api/visits/{id}/observations/{key}', {
    who: 'therapist',
    what: 'observation',
    params: { id: VisitNumber, key: Id },
    summary: 'Takes an observation back; it stays in the history.',
    answer: savedOnly,
  }),
  readProgressDetails: get('/api/clients/{id}/progress', {
    who: 'therapist',
    what: 'client',
    params: { id: ClientNumber },
    summary:
      'What was measured before and after the work, found by hands and seen over the visits, beside the courses.',
    answer: ProgressDetails,
  }),
  progressReport: get('/api/clients/{id}/progress.pdf', {
    who: 'therapist',
    what: 'client',
    params: { id: ClientNumber },
    summary:
      'What was measured over the visits as a PDF, with its pictures; `limb` as in “left leg”, else the one taped last.',
    query: { limb: z.string().max(40).optional() },
    answer: pdf,
  }),
  together: get('/api/house/together', {
    who: 'owner',
    what: 'house',
    summary: 'Which work went together with what changed, over the clients of the house; nobody is named.',
    answer: TogetherView,
  }),
  exportMeasures: get('/api/clients/{id}/measures.csv', {
    who: 'therapist',
    what: 'client',
    params: { id: ClientNumber },
    summary: 'All girths of a client as CSV; `unit` in for inches.',
    query: { unit: z.enum(['cm', 'in']).default('cm') },
    answer: file('text/csv'),
  }),
  saveClientMeasuring: put('/api/clients/{id}/measuring', {
    who: 'therapist',
    what: 'client',
    params: { id: ClientNumber },
    summary: 'How a client is measured from now on.',
    body: ClientMeasuringInput,
    answer: savedOnly,
    audit: ['measuring of a client changed'],
  }),
  saveMeasuring: post('/api/measuring', {
    who: 'owner',
    what: 'settings',
    summary: 'What the house has decided about measuring.',
    body: MeasuringInput,
    answer: savedOnly,
    audit: ['measuring settings changed'],
  }),
  addTapeProtocol: post('/api/protocols', {
    who: 'therapist',
    what: 'protocol',
    summary: 'Adds a protocol of taping.',
    body: ProtocolInput,
    answer: saved({ protocol: TapeProtocolShape }),
  }),
  changeTapeProtocol: put('/api/protocols/{id}', {
    who: 'therapist',
    what: 'protocol',
    params: { id: Key },
    summary: 'Changes an own protocol that no taping was made by.',
    body: ProtocolInput,
    answer: saved({ protocol: TapeProtocolShape }),
  }),
  removeTapeProtocol: del('/api/protocols/{id}', {
    who: 'therapist',
    what: 'protocol',
    params: { id: Key },
    summary: 'Takes an own protocol out of the choice.',
    answer: savedOnly,
  }),
  startImport: post('/api/imports', {
    who: 'therapist',
    what: 'import',
    summary: 'Reads and checks a table of girths, the body being the table; `plan` says as JSON how it is read.',
    query: { plan: jsonOf(ImportPlan, 'The plan of columns is not valid JSON.') },
    body: { bytes: { most: 40_000_000, what: 'The table itself.' } },
    answer: imported,
  }),
  readImport: get('/api/imports/{job}', {
    ...ofImport,
    summary: 'How an import stands.',
    answer: z.object({ import: ImportView }),
  }),
  storeImport: post('/api/imports/{job}', {
    ...ofImport,
    summary: 'Stores what was checked, all or nothing.',
    body: ImportStep,
    answer: imported,
    audit: ['measures brought in'],
  }),
  cancelImport: del('/api/imports/{job}', {
    ...ofImport,
    summary: 'Stops an import; nothing of it stays.',
    answer: savedOnly,
  }),
} as const;
