import { screeningRoutes as routes } from '../../contracts/routes/screening';
import { endpoints, fileAnswer } from '../http/endpoint';
import { answerCheck } from '../visits/answer-check';
import { answerIntake, makeOverride, signConsent, takeBackOverride } from './answer-intake';
import { settleFlag } from './raise-flags';
import { readAskState } from './read-ask';
import { makeReferral } from './referral';
import { addClearance, addFinding, correctFinding, removeFinding, takeBackFinding } from './save-finding';
import { saveWording } from './save-wording';

export const screeningEndpoints = endpoints(routes, {
  readAsk: async ({ db, params }) => {
    const state = await readAskState(db, params.id);
    return state && { kind: 'saved', state };
  },
  answerIntake: ({ db, params, body, actor }) => answerIntake(db, params.id, body, actor),
  answerCheck: ({ db, params, body, actor }) => answerCheck(db, params.id, body, actor),
  signConsent: ({ db, params, body, actor }) => signConsent(db, params.id, body, actor),
  setLimitAside: ({ db, params, body, actor }) => makeOverride(db, params.id, body, actor),
  restoreLimit: ({ db, params, actor }) => takeBackOverride(db, params.id, params.key, actor),
  referralNote: async ({ db, params, actor }) => {
    const note = await makeReferral(db, params.id, actor);
    return note && fileAnswer(routes.referralNote.answer, note, 'note-to-physician.pdf');
  },
  placeFinding: ({ db, params, body, actor }) => addFinding(db, params.id, body, actor),
  correctFinding: ({ db, params, body, actor }) => correctFinding(db, params.id, params.key, body, actor),
  takeBackFinding: ({ db, params, actor }) => takeBackFinding(db, params.id, params.key, actor),
  endFinding: ({ db, params, actor }) => removeFinding(db, params.id, params.key, actor),
  addClearance: ({ db, params, body, actor }) => addClearance(db, params.id, params.key, body, actor),
  closeFlag: ({ db, params, body, actor }) => settleFlag(db, params.id, params.key, body.note, actor),
  changeWording: ({ db, body, actor }) => saveWording(db, body, actor),
});
