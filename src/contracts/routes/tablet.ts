import { AskState } from '../ask-views';
import { FeedbackInput } from '../closing';
import { ConsentInput, IntakeInput } from '../record';
import { post, saved, savedOnly, VisitNumber } from './route';

const onTablet = { who: 'therapist', whileHanded: true, what: 'visit', params: { visit: VisitNumber } } as const;

/** What a client may do on the tablet that was handed over: answer, and nothing comes back but their own answers. */
export const tabletRoutes = {
  answer: post('/api/tablet/{visit}', {
    ...onTablet,
    summary: 'Stores answers that the client gives on the tablet.',
    body: IntakeInput,
    answer: saved({ intake: AskState.shape.intake }),
    audit: ['finding placed', 'finding ended', 'client data changed'],
  }),
  feedback: post('/api/tablet/{visit}/feedback', {
    ...onTablet,
    summary: 'How it was, answered by the client on the tablet.',
    body: FeedbackInput,
    answer: savedOnly,
  }),
  consent: post('/api/tablet/{visit}/consent', {
    ...onTablet,
    summary: 'Stores the consent that was signed on the tablet.',
    body: ConsentInput,
    answer: savedOnly,
    audit: ['consent signed'],
  }),
} as const;
