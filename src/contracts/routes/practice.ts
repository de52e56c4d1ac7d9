import { z } from 'zod';
import {
  CourseInput,
  courseKind,
  CourseQuestion,
  KnownView,
  MentionView,
  NextDrill,
  PracticeAnswerInput,
  PracticeMarked,
  SetInput,
  TeamView,
} from '../practice';
import { kind, level } from '../training';
import { del, file, get, Id, pdf, post, saved, savedOnly, TherapistNumber } from './route';

/** Practising without a client: one’s own answers, what comes back, and what a trainer sets. */
export const practiceRoutes = {
  next: get('/api/practice/next', {
    who: 'assistant',
    what: 'drill',
    summary: 'The case that is most worth practising now; changes nothing.',
    query: { kind: kind.optional(), level: z.coerce.number().pipe(level).optional() },
    answer: NextDrill,
  }),
  answer: post('/api/practice/answers', {
    who: 'assistant',
    what: 'drill',
    summary: 'Judges an answer and keeps it as one’s own; null is given up.',
    body: PracticeAnswerInput,
    answer: PracticeMarked,
    refusals: [404],
  }),
  known: get('/api/practice/known', {
    who: 'assistant',
    what: 'drill',
    summary: 'What one knows by rule, one’s sessions, and what a trainer set.',
    answer: KnownView,
  }),
  resultsCsv: get('/api/practice/results.csv', {
    who: 'assistant',
    what: 'drill',
    summary: 'One’s own answers as a table.',
    answer: file('text/csv'),
  }),
  resultsPdf: get('/api/practice/results.pdf', {
    who: 'assistant',
    what: 'drill',
    summary: 'One page of what was practised.',
    answer: pdf,
  }),
  eraseResults: del('/api/practice/results', {
    who: 'assistant',
    what: 'drill',
    summary: 'Erases all that one has practised.',
    answer: savedOnly,
    audit: ['practice erased'],
  }),
  takeCourse: post('/api/practice/courses', {
    who: 'therapist',
    what: 'visit',
    summary: 'Takes the course of a plan, without its client, to be practised on.',
    body: CourseInput,
    answer: saved({ id: z.number() }),
    refusals: [404, 422],
  }),
  readCourse: get('/api/practice/courses/{id}', {
    who: 'therapist',
    what: 'course',
    summary: 'A case on a course that one took from a plan.',
    params: { id: Id },
    query: { kind: courseKind.optional(), level: z.coerce.number().pipe(level).optional() },
    answer: CourseQuestion,
    refusals: [422],
  }),
  team: get('/api/practice/people', {
    who: 'owner',
    what: 'house',
    summary: 'Who of the house is sure in what, in no order of rank, and what is set.',
    answer: TeamView,
  }),
  addSet: post('/api/practice/sets', {
    who: 'owner',
    what: 'drill',
    summary: 'Sets a drill to everybody, until a day, and before a kind of work if so wished.',
    body: SetInput,
    answer: saved({ id: z.number() }),
    audit: ['drill set'],
  }),
  endSet: del('/api/practice/sets/{id}', {
    who: 'owner',
    what: 'drill',
    summary: 'Ends a drill that was set.',
    params: { id: Id },
    answer: savedOnly,
    audit: ['drill ended'],
  }),
  mentions: get('/api/practice/mentions/{id}', {
    who: 'assistant',
    what: 'person',
    summary: 'Work of somebody for which a drill is asked that is not done yet; mentioned, never forbidden.',
    params: { id: TherapistNumber },
    answer: z.array(MentionView).readonly(),
  }),
} as const;
