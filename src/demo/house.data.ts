import type { TherapistView } from '../contracts/people-views';
import type { Role } from '../server/people/people.repository';

/** A made-up house; nobody in it exists. */
export const demoHouse = {
  name: 'Quillwater House',
  phone: '0555 0142',
  scenario:
    'Two treatment rooms above a mill stream. Ines leads the lymphoedema work; Bram does massage and drainage for well clients.',
} as const;

export interface DemoPerson extends Omit<TherapistView, 'id'> {
  readonly role: Role;
  readonly login: string;
}

/** All of them open locked screens with the same PIN; nobody has a password, since the demo signs in by one click. */
export const demoPin = '2719';

export const demoStaff: readonly DemoPerson[] = [
  {
    name: 'Ines Hollen',
    initials: 'IH',
    title: 'Lymphoedema therapist, owner',
    room: 'Room 1',
    role: 'owner',
    login: 'ines',
    qualifications: ['massage', 'lymph-basic', 'lymphoedema-certified', 'oncology-massage', 'aromatherapy-clinical'],
  },
  {
    name: 'Bram Teasel',
    initials: 'BT',
    title: 'Massage therapist',
    room: 'Room 2',
    role: 'therapist',
    login: 'bram',
    qualifications: ['massage', 'lymph-basic', 'stone', 'esthetics', 'intraoral'],
  },
  {
    name: 'Merle Okon',
    initials: 'MO',
    title: 'Front desk',
    room: '',
    role: 'assistant',
    login: 'merle',
    qualifications: [],
  },
];
