import { tabletRoutes as routes } from '../../contracts/routes/tablet';
import { endpoints } from '../http/endpoint';
import { saveFeedback } from '../visits/close-visit';
import { answerOnTablet, signOnTablet } from './answer-on-tablet';

export const tabletEndpoints = endpoints(routes, {
  answer: async ({ db, params, body, actor }) => {
    const result = await answerOnTablet(db, params.visit, body, actor);
    return result.kind === 'saved' ? { kind: 'saved', intake: result.state.intake } : result;
  },
  feedback: ({ db, params, body, actor }) => saveFeedback(db, params.visit, body, actor),
  consent: async ({ db, params, body, actor }) => {
    const result = await signOnTablet(db, params.visit, body, actor);
    return result.kind === 'saved' ? { kind: 'saved' } : result;
  },
});
