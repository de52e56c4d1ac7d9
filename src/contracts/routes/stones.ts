import { BathDeviceInput, StoneCareInput, StoneHabitsInput, StoneInput } from '../stones';
import { BathView, StoneBenchView } from '../stone-views';
import { z } from 'zod';
import { get, Id, MaybeId, post, put, savedOnly } from './route';

const therapists = { who: 'therapist' } as const;
/** What a visit asks of the bath, instead of the house's own setting; °C. */
const wantedBath = { set: z.coerce.number().gt(0).max(60).optional().catch(undefined) };

/** Stones, their care, and the bath. */
export const stoneRoutes = {
  readBench: get('/api/stones', {
    ...therapists,
    what: 'bench',
    summary: 'The stones of the house; `visit` adds what a visit asks of them.',
    query: { visit: MaybeId },
    answer: StoneBenchView,
  }),
  addStones: post('/api/stones', {
    ...therapists,
    what: 'stone',
    summary: 'Adds stones.',
    body: StoneInput,
    answer: savedOnly,
  }),
  changeStone: put('/api/stones/{key}', {
    ...therapists,
    what: 'stone',
    params: { key: Id },
    summary: 'Changes or retires a stone.',
    body: StoneInput,
    answer: savedOnly,
  }),
  logCare: post('/api/stones/care', {
    ...therapists,
    what: 'stone',
    summary: 'Writes down that stones or bath were seen to.',
    body: StoneCareInput,
    answer: savedOnly,
  }),
  saveHabits: put('/api/stones/habits', {
    ...therapists,
    what: 'house',
    summary: 'How warm the house works with stones.',
    body: StoneHabitsInput,
    answer: savedOnly,
    audit: ['stone settings changed'],
  }),
  readBath: get('/api/devices/stone-bath', {
    ...therapists,
    what: 'bath',
    summary: 'What the thermometer in the bath says; `set` judges it against what a visit asks for.',
    query: wantedBath,
    answer: BathView,
  }),
  driveBath: post('/api/devices/stone-bath', {
    ...therapists,
    what: 'bath',
    summary: 'Drives the simulated bath: a knob, stones, a fault, or time.',
    query: wantedBath,
    body: BathDeviceInput,
    answer: BathView,
  }),
} as const;
