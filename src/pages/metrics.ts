import type { APIRoute } from 'astro';
import { answerRequest } from '../server/http/answer-request';

/** Monitors expect their page here. */
export const ALL: APIRoute = answerRequest;
