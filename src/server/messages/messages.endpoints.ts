import { messageRoutes as routes } from '../../contracts/routes/messages';
import { endpoints } from '../http/endpoint';
import { mayReport, takeReport } from './bounces';
import { houseMailWay } from './mail-way';
import { messagesAnswers } from './messages.answers';
import { listReminders, settleReminders } from './outbox';
import { readMail, sendMails } from './postman';

export const messageEndpoints = endpoints(routes, {
  settleReminders: async ({ db, body, actor }) => {
    const result = await settleReminders(db, body, actor.now);
    return result.kind === 'saved' ? { ...result, reminders: await listReminders(db, actor.now) } : result;
  },
  sendMails: async ({ db, actor }) => {
    const way = houseMailWay();
    if (!way) return { kind: 'refused', errors: [{ path: '', message: messagesAnswers.noneConnected }] };
    const { sent, failed, later } = await sendMails(db, actor.now, way);
    return { kind: 'saved', sent, failed, later, mail: readMail(way), reminders: await listReminders(db, actor.now) };
  },
  takeReport: ({ db, params, body, actor }) => (mayReport(params.token) ? takeReport(db, body, actor.now) : undefined),
});
