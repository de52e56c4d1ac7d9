import { z } from 'zod';
import { labelSizeIds } from '../../core/oils/label';
import {
  BlendFile,
  BlendInput,
  BottleInput,
  DropScaleInput,
  MixCountInput,
  MixInput,
  PatchReadingInput,
  PatchTestInput,
  ShelfImportInput,
  SmellInput,
  VisitBlendInput,
} from '../oil-house';
import { DropScaleView, MixView, OilBenchView, ShelfImportView, StockView } from '../oil-views';
import { del, file, get, Id, MaybeId, pdf, post, put, saved, VisitNumber } from './route';

const ofBottle = { who: 'therapist', what: 'bottle', params: { id: Id } } as const;
const kept = saved({ id: z.number() });
const said = saved({ id: z.number(), words: z.string() });

/** Shelf, blends, bottles, and how skin takes them. */
export const oilRoutes = {
  readBench: get('/api/oils', {
    who: 'therapist',
    what: 'bench',
    summary: 'The blend bench: shelf, house blends; `visit` or `client` adds whom it is for.',
    query: { visit: MaybeId, client: MaybeId },
    answer: OilBenchView,
  }),
  readStock: get('/api/oils/bottles', {
    who: 'therapist',
    what: 'shelf',
    summary: 'Bottles with their age, and what to order.',
    answer: StockView,
  }),
  addBottle: post('/api/oils/bottles', {
    who: 'therapist',
    what: 'bottle',
    summary: 'Adds a bottle.',
    body: BottleInput,
    answer: kept,
  }),
  changeBottle: put('/api/oils/bottles/{key}', {
    who: 'therapist',
    what: 'bottle',
    params: { key: Id },
    summary: 'Changes, counts or discards a bottle.',
    body: BottleInput,
    answer: kept,
    audit: ['bottle discarded'],
  }),
  exportShelf: get('/api/oils/shelf.csv', {
    who: 'therapist',
    what: 'shelf',
    summary: 'The shelf as CSV.',
    answer: file('text/csv'),
  }),
  importShelf: post('/api/oils/import', {
    who: 'therapist',
    what: 'shelf',
    summary: 'Reads a shelf from CSV; stores it when it is sure and sound.',
    body: ShelfImportInput,
    answer: ShelfImportView,
    audit: ['shelf imported'],
  }),
  exportBlends: get('/api/oils/blends', {
    who: 'therapist',
    what: 'blend',
    summary: 'The blends of the house as a file.',
    answer: file('application/json'),
  }),
  keepBlend: post('/api/oils/blends', {
    who: 'therapist',
    what: 'blend',
    summary: 'Keeps a blend of the house.',
    body: BlendInput,
    answer: kept,
    audit: ['house blend kept'],
  }),
  importBlends: post('/api/oils/blends/import', {
    who: 'therapist',
    what: 'blend',
    summary: 'Brings in blends from such a file, all or none.',
    body: BlendFile,
    answer: kept,
    audit: ['house blend kept'],
  }),
  dropBlend: del('/api/oils/blends/{key}', {
    who: 'therapist',
    what: 'blend',
    params: { key: Id },
    summary: 'Takes a house blend away.',
    answer: kept,
  }),
  startMix: post('/api/oils/mixes', {
    who: 'therapist',
    what: 'visit',
    summary: 'Begins a bottle.',
    body: MixInput,
    answer: said,
    refusals: [404],
  }),
  readMix: get('/api/oils/mixes/{id}', { ...ofBottle, summary: 'A bottle with its label.', answer: MixView }),
  countMix: put('/api/oils/mixes/{id}', {
    ...ofBottle,
    summary: 'Keeps what has been counted in.',
    body: MixCountInput,
    answer: said,
  }),
  finishMix: post('/api/oils/mixes/{id}', {
    ...ofBottle,
    summary: 'Finishes a bottle: judged, drawn from the shelf, dated.',
    answer: said,
    refusals: [400],
  }),
  abandonMix: del('/api/oils/mixes/{id}', {
    ...ofBottle,
    summary: 'Gives a bottle up.',
    answer: said,
    refusals: [400],
  }),
  mixLabel: get('/api/oils/mixes/{id}/label.pdf', {
    ...ofBottle,
    summary: 'Its label, in one of the sizes.',
    query: { size: z.enum(labelSizeIds).default('usual') },
    answer: pdf,
    refusals: [422],
  }),
  mixAftercare: get('/api/oils/mixes/{id}/aftercare.pdf', {
    ...ofBottle,
    summary: 'What the client is to mind at home, as PDF.',
    answer: pdf,
  }),
  recordSmell: post('/api/oils/smell', {
    who: 'therapist',
    what: 'visit',
    summary: 'What a client chose by nose.',
    body: SmellInput,
    answer: kept,
    refusals: [404],
    audit: ['house blend kept', 'client data changed'],
  }),
  chooseBlend: put('/api/visits/{id}/blend', {
    who: 'therapist',
    what: 'visit',
    params: { id: VisitNumber },
    summary: 'The blend that a visit carries.',
    body: VisitBlendInput,
    answer: kept,
  }),
  placePatchTest: post('/api/patch-tests', {
    who: 'therapist',
    what: 'client',
    summary: 'Places a patch test.',
    body: PatchTestInput,
    answer: kept,
    refusals: [404],
  }),
  readPatchTest: post('/api/patch-tests/{id}', {
    who: 'therapist',
    what: 'patch test',
    params: { id: Id },
    summary: 'Reads a patch test.',
    body: PatchReadingInput,
    answer: kept,
    audit: ['finding placed'],
  }),
  readScale: get('/api/devices/drop-scale', {
    who: 'therapist',
    what: 'scale',
    summary: 'What the drop scale says.',
    answer: DropScaleView,
  }),
  driveScale: post('/api/devices/drop-scale', {
    who: 'therapist',
    what: 'scale',
    summary: 'Drives the simulated drop scale: drops fall, it is set to zero, or switched off.',
    body: DropScaleInput,
    answer: DropScaleView,
  }),
} as const;
