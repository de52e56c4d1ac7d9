import { expose } from 'comlink';
import { type CourseCase, courseOf } from '../core/course/course';

/** The course ahead, with its two thousand draws, away from the page's own thread. */
const api = { look: (input: CourseCase) => courseOf(input) };
export type CourseApi = typeof api;

expose(api);
