import { peopleRoutes as routes } from '../../contracts/routes/people';
import { changePin, handTablet, lockSession, signIn, signInAs, signOut, unlock } from '../auth/sign-in';
import { clearSessionCookie, setSessionCookie } from '../http/cookie';
import { endpoints } from '../http/endpoint';
import { invalidFields, problem } from '../http/problem';
import { saveStaff } from './save-staff';

const saved = { kind: 'saved' } as const;

export const peopleEndpoints = endpoints(routes, {
  signIn: async ({ db, body, actor, locals, context }) => {
    const result = await signIn(db, body.login, body.password, actor.now);
    switch (result.kind) {
      case 'signed-in':
        if (locals.session) await signOut(db, locals.session, actor.now);
        setSessionCookie(context, result.token);
        return saved;
      case 'wrong':
        return problem({ type: '/problems/sign-in', title: 'Name and password do not fit together', status: 401 });
      case 'wait':
        return problem({
          type: '/problems/too-fast',
          title: `Too many wrong tries: wait ${result.seconds} seconds, then try again`,
          status: 429,
        });
    }
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
        title: 'Signing in by one click is for the demo house',
        status: 403,
      });
    if (locals.session?.handedVisitId)
      return problem({ type: '/problems/handed', title: 'The tablet is with a client', status: 423 });
    const token = await signInAs(db, body.staffId, actor.now);
    if (token === undefined) return undefined;
    setSessionCookie(context, token);
    return saved;
  },
  lock: async ({ db, actor, locals: { session } }) => {
    if (!session?.staff.hasPin) return noPin('Set a PIN first, then the screen can be locked');
    await lockSession(db, session, actor.now);
    return saved;
  },
  unlock: async ({ db, body, locals: { session }, context }) => {
    if (!session) return problem({ type: '/problems/sign-in', title: 'Sign in first', status: 401 });
    const result = await unlock(db, session, body.pin);
    switch (result.kind) {
      case 'open':
        return saved;
      case 'wrong':
        return problem({
          type: '/problems/wrong-pin',
          title: `That is not the PIN; ${result.left} tries left`,
          status: 403,
        });
      case 'ended':
        clearSessionCookie(context);
        return problem({
          type: '/problems/sign-in',
          title: 'Too many wrong PINs: sign in with your password',
          status: 401,
        });
    }
  },
  handTablet: async ({ db, body, locals: { session } }) => {
    if (!session?.staff.hasPin) return noPin('Set a PIN first: it is how the tablet comes back to you');
    return (await handTablet(db, session, body.visitId)) ? saved : undefined;
  },
  // In the demo house nobody has a password.
  changePin: async ({ db, body, staff, locals }) => {
    const errors = await changePin(db, staff.id, body, locals.isDemo);
    return errors.length > 0 ? invalidFields(errors) : saved;
  },
  addPerson: ({ db, body, actor }) => saveStaff(db, null, body, actor),
  changePerson: ({ db, params, body, actor }) => saveStaff(db, params.id, body, actor),
});

const noPin = (title: string) => problem({ type: '/problems/no-pin', title, status: 409 });
