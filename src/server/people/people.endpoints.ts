import type { APIContext } from 'astro';
import { peopleRoutes as routes } from '../../contracts/routes/people';
import {
  changePin,
  handTablet,
  lockSession,
  type Origin,
  prove,
  signIn,
  signInAs,
  signOut,
  unlock,
  type Unlocked,
} from '../auth/sign-in';
import { recoverOwner } from '../auth/recover';
import { beginFactor, finishFactor, makeHouseCode, readFactor, removeFactor, renewCodes } from '../auth/second-factor';
import { deviceCookie } from '../auth/sessions';
import { addressOf, deviceNameOf } from '../http/origin';
import { clearSessionCookie, setDeviceCookie, setSessionCookie } from '../http/cookie';
import { endpoints } from '../http/endpoint';
import { invalidFields, problem } from '../http/problem';
import { readDevices, signOutThere } from './devices';
import { saveStaff } from './save-staff';
import { changeSettings } from './settings.repository';
import { peopleAnswers } from './people.answers';

const saved = { kind: 'saved' } as const;

export const peopleEndpoints = endpoints(routes, {
  signIn: async ({ db, body, actor, locals, context }) => {
    const result = await signIn(db, body.login, body.password, actor.now, originOf(context), body.code);
    switch (result.kind) {
      case 'signed-in':
        if (locals.session) await signOut(db, locals.session, actor.now);
        setSessionCookie(context, result.token);
        setDeviceCookie(context, result.deviceToken);
        return saved;
      case 'wrong':
        return problem({ type: '/problems/sign-in', title: peopleAnswers.nameAndPasswordDoNotFit, status: 401 });
      case 'code':
        return problem({
          type: '/problems/second-factor',
          title: result.isWrong ? peopleAnswers.thatIsNotTheCodeThat : peopleAnswers.yourSecondFactorToo,
          status: 401,
        });
      case 'wait':
        return tooFast(result.seconds);
    }
  },
  readFactor: ({ db, staff }) => readFactor(db, staff),
  beginFactor: ({ db, staff }) => beginFactor(db, staff),
  finishFactor: ({ db, staff, body, actor }) => finishFactor(db, staff.id, body.code, actor),
  removeFactor: ({ db, staff, actor }) => removeFactor(db, staff.id, actor),
  renewCodes: ({ db, staff, actor }) => renewCodes(db, staff.id, actor),
  removeFactorOf: ({ db, params, actor }) => removeFactor(db, params.id, actor),
  makeHouseCode: ({ db, staff, actor }) => makeHouseCode(db, staff.id, actor),
  changeFactorRule: async ({ db, body }) => {
    await changeSettings(db, body);
    return saved;
  },
  recoverOwner: async ({ db, body, actor, context }) => {
    const result = await recoverOwner(db, body, actor, originOf(context));
    if (result.kind === 'wait') return tooFast(result.seconds);
    if (result.kind === 'wrong')
      return problem({ type: '/problems/sign-in', title: peopleAnswers.nameAndCodeDoNotFit, status: 401 });
    return result;
  },
  signOut: async ({ db, actor, locals, context }) => {
    if (locals.session) await signOut(db, locals.session, actor.now);
    clearSessionCookie(context);
    return saved;
  },
  signInDemo: async ({ db, body, actor, locals, context }) => {
    if (!locals.isDemo)
      return problem({
        type: '/problems/forbidden',
        title: peopleAnswers.signingInByOneClickIs,
        status: 403,
      });
    if (locals.session?.handedVisitId)
      return problem({ type: '/problems/handed', title: peopleAnswers.theTabletIsWithAClient, status: 423 });
    const token = await signInAs(db, body.staffId, actor.now, deviceNameOf(context.request));
    if (token === undefined) return undefined;
    setSessionCookie(context, token);
    return saved;
  },
  lock: async ({ db, actor, locals: { session } }) => {
    if (!session?.staff.hasPin) return noPin(peopleAnswers.setAPinFirstThenThe);
    await lockSession(db, session, actor.now);
    return saved;
  },
  unlock: async ({ db, body, actor, locals: { session }, context }) =>
    session ? afterPin(await unlock(db, session, body.pin, actor.now), context) : undefined,
  prove: async ({ db, body, actor, locals: { session }, context }) => {
    if (!session?.staff.hasPin) return noPin(peopleAnswers.setAPinFirstItShows);
    return afterPin(await prove(db, session, body.pin, actor.now), context);
  },
  devices: ({ db, staff, locals: { session } }) => readDevices(db, staff.id, session?.tokenHash),
  signOutThere: ({ db, staff, params, actor }) => signOutThere(db, staff.id, params.name, actor),
  handTablet: async ({ db, body, locals: { session } }) => {
    if (!session?.staff.hasPin) return noPin(peopleAnswers.setAPinFirstItIs);
    return (await handTablet(db, session, body.visitId)) ? saved : undefined;
  },
  // In the demo house nobody has a password.
  changePin: async ({ db, body, staff, actor, locals }) => {
    const errors = await changePin(db, staff.id, body, locals.isDemo, actor.now);
    return errors.length > 0 ? invalidFields(errors) : saved;
  },
  addPerson: ({ db, body, actor }) => saveStaff(db, null, body, actor),
  changePerson: ({ db, params, body, actor, locals: { session } }) =>
    saveStaff(db, params.id, body, actor, session?.tokenHash ?? null),
});

const originOf = (context: APIContext): Origin => ({
  address: addressOf(context),
  device: deviceNameOf(context.request),
  deviceToken: context.cookies.get(deviceCookie)?.value,
});

function tooFast(seconds: number): Response {
  const response = problem({
    type: '/problems/too-fast',
    title: peopleAnswers.tooManyWrongTriesWaitSeconds(seconds),
    status: 429,
  });
  response.headers.set('retry-after', String(seconds));
  return response;
}

function afterPin(tried: Unlocked, context: APIContext): typeof saved | Response {
  switch (tried.kind) {
    case 'open':
      return saved;
    case 'wrong':
      return problem({
        type: '/problems/wrong-pin',
        title: peopleAnswers.thatIsNotThePinLeft(tried.left, tried.left === 1 ? 'try' : 'tries'),
        status: 403,
      });
    case 'ended':
      clearSessionCookie(context);
      return problem({
        type: '/problems/sign-in',
        title: peopleAnswers.tooManyWrongPinsSignIn,
        status: 401,
      });
  }
}

const noPin = (title: string) => problem({ type: '/problems/no-pin', title, status: 409 });
