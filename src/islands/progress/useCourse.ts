import { wrap } from 'comlink';
import { useEffect, useState } from 'react';
import type { Course, CourseCase } from '../../core/course/course';
import type { CourseApi } from '../../workers/course.worker';

/** What is to be expected of a course, from the client's own visits; undefined until it is worked out. */
export function useCourse(input: CourseCase): Course | undefined {
  const [course, setCourse] = useState<Course>();
  const key = JSON.stringify(input);
  useEffect(() => {
    const worker = new Worker(new URL('../../workers/course.worker.ts', import.meta.url), { type: 'module' });
    void wrap<CourseApi>(worker)
      .look(JSON.parse(key) as CourseCase)
      .then(setCourse);
    return () => worker.terminate();
  }, [key]);
  return course;
}
