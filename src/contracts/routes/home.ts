import { z } from 'zod';
import { HomeLinkInput, HomeLogInput, HomeSheetInput, HomeTickInput } from '../home';
import { HomePage, HomeView } from '../home-views';
import { HomeSheetShape } from '../shapes/homecare';
import { del, get, Id, Key, pdf, post, saved, savedOnly, VisitNumber } from './route';

const ofSheet = { who: 'therapist', what: 'sheet', params: { id: Id } } as const;

/** What a client takes home. */
export const homeRoutes = {
  readHome: get('/api/visits/{id}/home', {
    who: 'therapist',
    what: 'visit',
    params: { id: VisitNumber },
    summary: 'What may be done at home, and what was given.',
    answer: HomeView,
  }),
  makeSheet: post('/api/visits/{id}/home', {
    who: 'therapist',
    what: 'visit',
    params: { id: VisitNumber },
    summary: 'Draws a home sheet up; with `keep` it becomes the client’s.',
    body: HomeSheetInput,
    answer: saved({ id: z.number().nullable(), sheet: HomeSheetShape }),
    audit: ['home sheet given'],
  }),
  endSheet: del('/api/home/{id}', {
    ...ofSheet,
    summary: 'Ends a home sheet and every link to it.',
    answer: savedOnly,
  }),
  makeLink: post('/api/home/{id}/link', {
    ...ofSheet,
    summary: 'Makes a link to a sheet that needs no sign-in and runs out.',
    body: HomeLinkInput,
    answer: saved({ path: z.string(), until: z.string() }),
    audit: ['home link made'],
  }),
  takeBackLink: del('/api/home/{id}/link', { ...ofSheet, summary: 'Takes the link back.', answer: savedOnly }),
  logHome: post('/api/home/{id}/log', {
    ...ofSheet,
    summary: 'Days of the paper log on which the sheet was done.',
    body: HomeLogInput,
    answer: savedOnly,
  }),
  printSheet: get('/api/home/{id}/sheet.pdf', {
    ...ofSheet,
    summary: 'The sheet to print.',
    query: { paper: z.enum(['a4', 'letter'], 'One of a4, letter.').default('a4') },
    answer: pdf,
  }),
  tick: post('/api/home-page/{token}/ticks', {
    who: 'everybody',
    whileLocked: true,
    whileHanded: true,
    what: 'page',
    params: { token: Key },
    summary: 'Ticks a sheet off, from the page behind its link: the address is the secret, and it runs out.',
    body: HomeTickInput,
    answer: saved({ page: HomePage }),
  }),
} as const;
