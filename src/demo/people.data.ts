import type { PlacedFindingInput } from '../contracts/record';
import type { TherapistView } from '../contracts/views';
import type { Purpose } from '../core/drainage/case';

/** A made-up house; nobody in it exists. */
export const demoHouse = {
  name: 'Quillwater House',
  scenario:
    'Two treatment rooms above a mill stream. Ines leads the lymphoedema work; Bram does massage and drainage for well clients.',
} as const;

export const demoTherapists: readonly Omit<TherapistView, 'id'>[] = [
  {
    name: 'Ines Hollen',
    initials: 'IH',
    title: 'Lymphoedema therapist',
    room: 'Room 1',
    qualifications: ['massage', 'lymph-basic', 'lymphoedema-certified', 'oncology-massage'],
  },
  {
    name: 'Bram Teasel',
    initials: 'BT',
    title: 'Massage therapist',
    room: 'Room 2',
    qualifications: ['massage', 'lymph-basic', 'stone', 'esthetics'],
  },
];

export interface DemoClient {
  readonly name: string;
  readonly bornOn: string;
  readonly phone: string;
  readonly note: string;
  readonly findings: readonly (Omit<PlacedFindingInput, 'sinceOn' | 'note'> & {
    readonly sinceOn?: string;
    readonly note?: string;
  })[];
  readonly focus: readonly string[];
  readonly purpose: Purpose;
  readonly minutes: number;
  /** Index into the therapists. */
  readonly therapist: 0 | 1;
  /** Past visits, so many weeks apart, with tape measures where a limb swells. */
  readonly past?: {
    readonly visits: number;
    readonly everyDays: number;
    readonly limb?: 'arm' | 'leg';
    readonly side?: 'left' | 'right';
    readonly excess?: readonly [number, number];
    /** The last one was never closed: a loose end. */
    readonly isLeftOpen?: boolean;
  };
  /** Start of today's visit, local time. */
  readonly today?: string;
  /** A visit booked for a later day: days from today and start. */
  readonly ahead?: readonly [number, string];
}

export const demoClients: readonly DemoClient[] = [
  {
    name: 'Tobias Renn',
    bornOn: '1979-04-02',
    phone: '0700 900 112',
    note: 'Flies a lot. Likes it quiet.',
    findings: [],
    focus: ['leg.left', 'leg.right'],
    purpose: 'wellness',
    minutes: 50,
    therapist: 1,
    past: { visits: 2, everyDays: 30 },
    today: '9:00',
  },
  {
    name: 'Liv Sandoval',
    bornOn: '1991-09-14',
    phone: '0700 900 131',
    note: 'Rosacea: no warmth on the face.',
    findings: [],
    focus: ['face'],
    purpose: 'puffy-face',
    minutes: 45,
    therapist: 1,
    past: { visits: 3, everyDays: 21 },
    today: '10:30',
  },
  {
    name: 'Marit Olsvang',
    bornOn: '1968-05-19',
    phone: '0700 900 158',
    note: 'Cold feet: warm cover. Left leg heavy since the groin nodes were taken out.',
    findings: [{ id: 'nodes-removed-inguinal', side: 'left', sinceOn: '2023-06-12' }],
    focus: ['leg.left'],
    purpose: 'swelling',
    minutes: 45,
    therapist: 0,
    past: { visits: 6, everyDays: 14, limb: 'leg', side: 'left', excess: [0.118, 0.082] },
    today: '14:00',
  },
  {
    name: 'Ottilie Fenwick',
    bornOn: '1965-02-08',
    phone: '0700 900 174',
    note: 'Bag on the right shoulder only.',
    findings: [{ id: 'nodes-removed-axillary', side: 'left', sinceOn: '2024-03-20' }],
    focus: ['arm.left'],
    purpose: 'swelling',
    minutes: 50,
    therapist: 0,
    past: { visits: 4, everyDays: 10, limb: 'arm', side: 'left', excess: [0.19, 0.15] },
    today: '15:30',
  },
  {
    name: 'Adaeze Quill',
    bornOn: '1972-11-30',
    phone: '0700 900 203',
    note: 'Both sides operated. Prefers the head raised.',
    findings: [{ id: 'nodes-removed-axillary', side: 'both', sinceOn: '2022-10-04' }, { id: 'cancer-history' }],
    focus: ['arm.left', 'arm.right'],
    purpose: 'swelling',
    minutes: 75,
    therapist: 0,
    past: { visits: 3, everyDays: 14, limb: 'arm', side: 'right', excess: [0.12, 0.1] },
    today: '17:00',
  },
  {
    name: 'Corin Valse',
    bornOn: '1958-07-21',
    phone: '0700 900 219',
    note: 'Heel cord stiff in the morning.',
    findings: [
      { id: 'nodes-sentinel-inguinal', side: 'right', sinceOn: '2025-01-15' },
      { id: 'thickened', regions: ['ankle-inner.right', 'shin-lower.right'] },
    ],
    focus: ['leg.right'],
    purpose: 'swelling',
    minutes: 60,
    therapist: 0,
    past: { visits: 3, everyDays: 14, limb: 'leg', side: 'right', excess: [0.14, 0.12] },
    ahead: [1, '9:30'],
  },
  {
    name: 'Hugo Brandt',
    bornOn: '1961-12-01',
    phone: '0700 900 236',
    note: '',
    findings: [
      { id: 'nodes-removed-inguinal', side: 'right', sinceOn: '2024-08-30' },
      {
        id: 'scar',
        crosses: [['pubic.left', 'pubic.right']],
        sinceOn: '2024-08-30',
        note: 'Low across the pubic mound.',
      },
    ],
    focus: ['leg.right'],
    purpose: 'swelling',
    minutes: 60,
    therapist: 0,
    past: { visits: 2, everyDays: 8, limb: 'leg', side: 'right', excess: [0.2, 0.18], isLeftOpen: true },
    ahead: [1, '11:00'],
  },
  {
    name: 'Imke Dorval',
    bornOn: '1984-03-27',
    phone: '0700 900 248',
    note: 'Garment off and on again with help.',
    findings: [
      { id: 'open-wound', regions: ['pubic.left', 'pubic.right'], note: 'Incision not closed yet in the middle.' },
    ],
    focus: ['abdomen', 'trunk-lower.left', 'trunk-lower.right'],
    purpose: 'after-procedure',
    minutes: 45,
    therapist: 0,
    ahead: [1, '15:00'],
  },
  {
    name: 'Nadia Thorne',
    bornOn: '1970-01-09',
    phone: '0700 900 255',
    note: 'Port on the left, radiotherapy ended last summer.',
    findings: [
      { id: 'nodes-removed-axillary', side: 'right', sinceOn: '2025-02-11' },
      { id: 'irradiated', regions: ['chest-upper.right', 'axillary.right', 'breast.right'], sinceOn: '2025-07-18' },
      { id: 'port', regions: ['chest-upper.left'], sinceOn: '2025-02-25' },
    ],
    focus: ['arm.right'],
    purpose: 'swelling',
    minutes: 60,
    therapist: 0,
    past: { visits: 2, everyDays: 14, limb: 'arm', side: 'right', excess: [0.23, 0.21] },
    ahead: [2, '10:00'],
  },
  {
    name: 'Pascal Merrow',
    bornOn: '1955-06-16',
    phone: '0700 900 262',
    note: 'Voice tires quickly: short questions.',
    findings: [{ id: 'nodes-removed-neck', side: 'left', sinceOn: '2025-05-06' }],
    focus: ['face', 'neck'],
    purpose: 'swelling',
    minutes: 50,
    therapist: 0,
    ahead: [2, '13:30'],
  },
  {
    name: 'Salome Vane',
    bornOn: '1966-10-10',
    phone: '0700 900 277',
    note: 'Waiting for the answer of her physician.',
    findings: [
      { id: 'nodes-removed-inguinal', side: 'both', sinceOn: '2021-09-02' },
      { id: 'nodes-removed-axillary', side: 'both', sinceOn: '2019-04-11' },
      { id: 'open-wound', regions: ['shoulder-top.left', 'neck-front.left', 'shoulder-top.right', 'neck-front.right'] },
    ],
    focus: ['leg.left'],
    purpose: 'swelling',
    minutes: 45,
    therapist: 0,
    ahead: [5, '10:00'],
  },
  {
    name: 'Greta Lindal',
    bornOn: '1950-08-05',
    phone: '0700 900 284',
    note: '',
    findings: [{ id: 'cancer-history', sinceOn: '2018-03-01' }],
    focus: ['leg.left', 'leg.right'],
    purpose: 'swelling',
    minutes: 60,
    therapist: 1,
    ahead: [2, '16:00'],
  },
  {
    name: 'Otto Marsh',
    bornOn: '1988-02-23',
    phone: '0700 900 291',
    note: 'Colds go to the sinuses.',
    findings: [],
    focus: ['face', 'neck'],
    purpose: 'sinus',
    minutes: 40,
    therapist: 1,
    ahead: [3, '9:00'],
  },
  {
    name: 'Yael Amsel',
    bornOn: '1995-05-05',
    phone: '0700 900 308',
    note: 'First visit was a gift.',
    findings: [],
    focus: ['whole-body'],
    purpose: 'wellness',
    minutes: 90,
    therapist: 1,
    past: { visits: 1, everyDays: 40 },
    ahead: [3, '11:30'],
  },
];
