import { z } from 'zod';
import { DemoSignInInput, HandInput, NewPinInput, PinInput, SignInInput, StaffInput } from '../sign-in';
import { del, post, put, saved, savedOnly, TherapistNumber } from './route';

const mostTries = 60;

/** Coming in, going out, and who works here. */
export const peopleRoutes = {
  signIn: post('/api/session', {
    who: 'everybody',
    whileLocked: true,
    mostPerMinute: mostTries,
    what: 'person',
    summary: 'Signs in by name and password.',
    body: SignInInput,
    answer: savedOnly,
    refusals: [401],
    audit: ['signed in', 'sign-in refused', 'signed out'],
  }),
  signOut: del('/api/session', {
    who: 'signed-in',
    whileLocked: true,
    whileHanded: true,
    what: 'session',
    summary: 'Signs out on this device.',
    answer: savedOnly,
    audit: ['signed out'],
  }),
  signInDemo: post('/api/session/demo', {
    who: 'everybody',
    whileLocked: true,
    what: 'person',
    summary: 'Signs in by one click; in the demo house only.',
    body: DemoSignInInput,
    answer: savedOnly,
    refusals: [403, 404, 423],
    audit: ['signed in by one click (demo)'],
  }),
  lock: post('/api/session/lock', {
    who: 'signed-in',
    whileLocked: true,
    what: 'session',
    summary: 'Locks the screen until the PIN.',
    answer: savedOnly,
    refusals: [409],
  }),
  unlock: post('/api/session/unlock', {
    who: 'signed-in',
    whileLocked: true,
    whileHanded: true,
    mostPerMinute: mostTries,
    what: 'session',
    summary: 'Opens a locked screen, or takes a tablet back.',
    body: PinInput,
    answer: savedOnly,
  }),
  handTablet: post('/api/session/hand', {
    who: 'therapist',
    what: 'visit',
    summary: 'Hands the tablet to the client of a visit.',
    body: HandInput,
    answer: savedOnly,
    refusals: [404, 409],
  }),
  changePin: post('/api/session/pin', {
    who: 'signed-in',
    mostPerMinute: mostTries,
    what: 'person',
    summary: 'Sets one’s own PIN; the password shows that it is oneself.',
    body: NewPinInput,
    answer: savedOnly,
  }),
  addPerson: post('/api/staff', {
    who: 'owner',
    what: 'person',
    summary: 'Adds somebody to the house.',
    body: StaffInput,
    answer: saved({ id: z.number() }),
    audit: ['person added'],
  }),
  changePerson: put('/api/staff/{id}', {
    who: 'owner',
    what: 'person',
    summary: 'Changes what somebody is, may and works.',
    params: { id: TherapistNumber },
    body: StaffInput,
    answer: saved({ id: z.number() }),
    audit: ['person changed'],
  }),
} as const;
