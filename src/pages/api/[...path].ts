import type { APIRoute } from 'astro';
import { answerRequest } from '../../server/http/answer-request';

/** All endpoints: which one is asked stands in `src/contracts/routes`, what it does in its domain of `src/server`. */
export const ALL: APIRoute = answerRequest;
