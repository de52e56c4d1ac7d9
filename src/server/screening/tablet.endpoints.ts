import { tabletRoutes as routes } from '../../contracts/routes/tablet';
import { endpoints } from '../http/endpoint';
import { saveFeedback } from '../visits/close-visit';
import { answerIntake, signConsent } from './answer-intake';

export const tabletEndpoints = endpoints(routes, {
  answer: async ({ db, params, body, actor }) => {
    const result = await answerIntake(db, params.visit, body, actor, 'client');
    return result.kind === 'saved' ? { kind: 'saved', intake: result.state.intake } : result;
  },
  feedback: ({ db, params, body, actor }) => saveFeedback(db, params.visit, body, actor),
  consent: async ({ db, params, body, actor }) => {
    const result = await signConsent(db, params.visit, body, actor);
    return result.kind === 'saved' ? { kind: 'saved' } : result;
  },
});
