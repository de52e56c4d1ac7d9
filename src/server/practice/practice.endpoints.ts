import { practiceRoutes as routes } from '../../contracts/routes/practice';
import { endpoints, fileAnswer } from '../http/endpoint';
import { print } from '../paper/print';
import { answerDrill } from './answer-drill';
import { readCourse, takeCourse } from './courses';
import { nextDrill } from './next-drill';
import { practiceAnswers } from './practice.answers';
import { readKnown } from './read-known';
import { eraseResults, readPrinted, resultsCsv } from './results';
import { addSet, readMentions, readTeam, removeSet } from './team';

export const practiceEndpoints = endpoints(routes, {
  next: ({ db, staff, query, actor }) => nextDrill(db, staff.id, query, actor.now),
  answer: ({ db, staff, body, actor }) => answerDrill(db, staff.id, body, actor.now),
  known: ({ db, staff, actor }) => readKnown(db, staff.id, actor.now),
  resultsCsv: async ({ db, staff }) =>
    fileAnswer(routes.resultsCsv.answer, `\ufeff${await resultsCsv(db, staff.id)}`, practiceAnswers.resultsCsv),
  resultsPdf: async ({ db, staff, actor }) => {
    const printed = await readPrinted(db, staff.id, actor.now);
    if (!printed) return undefined;
    const page = await print('practice', printed);
    return fileAnswer(routes.resultsPdf.answer, page, practiceAnswers.resultsPdf, 'inline');
  },
  eraseResults: ({ db, staff, actor }) => eraseResults(db, staff.id, actor),
  takeCourse: ({ db, staff, body, actor }) => takeCourse(db, body.visitId, staff.id, actor),
  readCourse: ({ db, staff, params, query: { kind = 'order', level = 2 } }) =>
    readCourse(db, staff.id, { id: params.id, kind, level }),
  team: ({ db, actor }) => readTeam(db, actor.now),
  addSet: ({ db, body, actor }) => addSet(db, body, actor),
  endSet: ({ db, params, actor }) => removeSet(db, params.id, actor),
  mentions: ({ db, params }) => readMentions(db, params.id),
});
