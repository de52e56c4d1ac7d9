import { homeRoutes as routes } from '../../contracts/routes/home';
import { print } from '../paper/print';
import { endpoints, fileAnswer } from '../http/endpoint';
import { makeHomeLink, takeBackLink, tickHome } from './home-link';
import { logHome } from './home-log';
import { endHomeSheet, makeHomeSheet, readHome, readPrintedHome } from './home-sheets';

const papers = { a4: 'A4', letter: 'LETTER' } as const;

export const homeEndpoints = endpoints(routes, {
  readHome: ({ db, params, actor }) => readHome(db, params.id, actor.now),
  makeSheet: ({ db, params, body, actor }) => makeHomeSheet(db, params.id, body, actor),
  endSheet: ({ db, params, actor }) => endHomeSheet(db, params.id, actor),
  makeLink: ({ db, params, body, actor }) => makeHomeLink(db, params.id, body.days, actor),
  takeBackLink: ({ db, params, actor }) => takeBackLink(db, params.id, actor),
  logHome: ({ db, params, body, actor }) => logHome(db, params.id, body.days, actor),
  printSheet: async ({ db, params, query }) => {
    const printed = await readPrintedHome(db, params.id);
    if (!printed) return undefined;
    const sheet = await print('home', printed, papers[query.paper]);
    return fileAnswer(routes.printSheet.answer, sheet, 'for-home.pdf', 'inline');
  },
  tick: ({ db, params, body, actor }) => tickHome(db, params.token, body, actor.now),
});
