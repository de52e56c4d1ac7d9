import type { Course, CourseCase } from '../../core/course/course';
import type { CourseApi } from '../../workers/course.worker';
import { keptWorker, useWorkerAnswer } from '../worker-answer';

const worker = keptWorker<CourseApi>(
  () => new Worker(new URL('../../workers/course.worker.ts', import.meta.url), { type: 'module' }),
);
const look = (input: CourseCase): Promise<Course> => worker().look(input);

/** What is to be expected of a course, from the client's own visits; undefined until it is worked out. */
export const useCourse = (input: CourseCase): Course | undefined => useWorkerAnswer(look, input);
