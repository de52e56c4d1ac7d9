import type { MeView } from '../../contracts/people-views';
import { listStaff } from './people.repository';

/** Who is signed in, for the head of every view; in the demo also whom one may go in as. */
export async function meOf(locals: App.Locals): Promise<MeView> {
  const { session, isDemo, db } = locals;
  if (!session) throw new Error('nobody is signed in');
  const { id, name, initials, title, role, hasPin } = session.staff;
  const people = isDemo ? (await listStaff(db)).filter((person) => !person.leftAt) : [];
  return {
    id,
    name,
    initials,
    title,
    role,
    hasPin,
    people: people.map((person) => ({ id: person.id, name: person.name, title: person.title })),
  };
}
