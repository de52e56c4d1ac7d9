import type { BlendInput } from '../contracts/oil-house';
import { eveningBlend } from './blends.data';
import type { LineKind } from '../core/facial/line';
import type { LikesInput } from '../contracts/record';
import type { TherapistView } from '../contracts/people-views';
import type { Purpose } from '../core/drainage/case';
import type { NewFinding } from '../server/repositories/findings';
import type { Role } from '../server/repositories/people';

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

export interface DemoFinding extends NewFinding {
  /** The event lies so many days before today; instead of a date. */
  readonly daysAgo?: number;
  /** A note that was written so many days before today. */
  readonly clearedDaysAgo?: {
    readonly days: number;
    readonly by: string;
    readonly words: string;
    readonly modalities: 'all' | readonly string[];
  };
}

export interface DemoClient {
  readonly name: string;
  readonly bornOn: string;
  readonly phone: string;
  readonly note: string;
  readonly email?: string;
  readonly heightCm?: number;
  readonly likes?: Partial<LikesInput>;
  readonly medicines?: string;
  /** Days from today to the day on which a child is due. */
  readonly dueInDays?: number;
  readonly findings: readonly DemoFinding[];
  /** The intake was answered at the first visit; without it the next one asks for it. */
  readonly hasIntake?: boolean;
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
  /** What the visits hold instead of drainage: protocols of the library. */
  readonly holds?: readonly string[];
  /** The blend of the past visits, and how the scent was liked each time (−2–2), the oldest first. */
  readonly scented?: { readonly blend: BlendInput; readonly liked: readonly number[] };
  /** A patch test was placed yesterday. */
  readonly patchTest?: string;
  /** Kinds of line that were drawn on the face at the first visit, with their side. */
  readonly lines?: readonly (readonly [LineKind, 'left' | 'right'])[];
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
    note: 'Flies a lot.',
    email: 'tobias.renn@quillmail.example',
    likes: { music: 'off', pressure: 'usual', scentsLiked: 'cedar, plain citrus' },
    hasIntake: true,
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
    note: 'Comes before a long week.',
    likes: { warmth: 'cooler', scentsLiked: 'rose', scentsDisliked: 'lavender' },
    hasIntake: true,
    findings: [{ id: 'rosacea' }, { id: 'fragrance-allergy', note: 'Lavender hand cream, two years ago.' }],
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
    note: 'Left leg heavy since the groin nodes were taken out.',
    email: 'marit@olsvang.example',
    likes: {
      warmth: 'warmer',
      sides: 'Left calf fuller by evening; right side sleeps.',
      other: 'Cold feet: warm cover.',
    },
    hasIntake: true,
    findings: [{ id: 'nodes-removed-inguinal', side: 'left', sinceOn: '2023-06-12' }],
    focus: ['leg.left'],
    purpose: 'swelling',
    minutes: 45,
    therapist: 0,
    past: { visits: 9, everyDays: 14, limb: 'leg', side: 'left', excess: [0.132, 0.082] },
    today: '14:00',
  },
  {
    name: 'Ottilie Fenwick',
    bornOn: '1965-02-08',
    phone: '0700 900 174',
    note: 'Carries her bag on the right shoulder only.',
    likes: { music: 'on', sides: 'Left arm tires first.' },
    medicines: 'Anastrozole 1 mg in the morning; ramipril 5 mg',
    hasIntake: true,
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
    findings: [
      { id: 'nodes-removed-axillary', side: 'both', sinceOn: '2022-10-04' },
      { id: 'cancer-past', sinceOn: '2022' },
    ],
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
        id: 'scar-mature',
        regions: ['pubic.left', 'pubic.right'],
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
      {
        id: 'irradiated-skin',
        regions: ['chest-upper.right', 'axillary.right', 'breast.right'],
        sinceOn: '2025-07-18',
      },
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
    findings: [{ id: 'cancer-past', sinceOn: '2018-03' }, { id: 'swelling-both-legs' }],
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
    holds: ['aroma-whole-body', 'stones-back'],
    past: { visits: 1, everyDays: 40 },
    ahead: [3, '11:30'],
  },
  {
    name: 'Rhea Castell',
    bornOn: '1960-04-18',
    phone: '0700 900 316',
    note: 'Teaches till noon.',
    medicines: 'Lisinopril 10 mg; ibuprofen now and then',
    hasIntake: true,
    findings: [
      {
        id: 'hypertension-controlled',
        sinceOn: '2016',
        clearedDaysAgo: {
          days: 23,
          by: 'Dr M. Aster, family physician',
          words: 'Pressure well controlled. No objection to gentle neck work and warm stones.',
          modalities: ['neck-mobilisation', 'hot-stone'],
        },
      },
      { id: 'joint-replacement', regions: ['knee-front.right'], sinceOn: '2021-05' },
    ],
    focus: ['leg.right'],
    purpose: 'wellness',
    minutes: 50,
    therapist: 1,
    past: { visits: 2, everyDays: 28 },
    ahead: [1, '13:00'],
  },
  {
    name: 'Noor Halvorsen',
    bornOn: '1994-08-12',
    phone: '0700 900 325',
    note: 'Second child.',
    dueInDays: 140,
    likes: { pressure: 'lighter' },
    hasIntake: true,
    findings: [{ id: 'pregnancy-2' }],
    focus: ['leg.left', 'leg.right'],
    purpose: 'wellness',
    minutes: 45,
    therapist: 0,
    ahead: [1, '16:30'],
  },
  {
    name: 'Emeric Faulk',
    bornOn: '1953-03-03',
    phone: '0700 900 333',
    note: '',
    medicines: 'Apixaban 5 mg twice daily; bisoprolol',
    hasIntake: true,
    findings: [
      { id: 'anticoagulants', answers: { reason: 'heart rhythm' } },
      { id: 'arrhythmia' },
      { id: 'skin-frail' },
    ],
    focus: ['leg.left', 'leg.right'],
    purpose: 'swelling',
    minutes: 45,
    therapist: 0,
    ahead: [2, '11:30'],
  },
  {
    name: 'Delphine Orlo',
    bornOn: '1987-06-24',
    phone: '0700 900 341',
    note: 'Garment day and night for six weeks.',
    hasIntake: true,
    findings: [
      {
        id: 'liposuction-recent',
        regions: ['abdomen-upper.left', 'abdomen-upper.right', 'abdomen-lower.left', 'abdomen-lower.right'],
        daysAgo: 21,
        clearedDaysAgo: {
          days: 17,
          by: 'Dr P. Lindqvist, surgeon',
          words: 'Light drainage from week one, around the entry points. No other massage before week eight.',
          modalities: ['lymph-drainage'],
        },
      },
    ],
    focus: ['abdomen'],
    purpose: 'after-procedure',
    minutes: 45,
    therapist: 0,
    past: { visits: 2, everyDays: 6 },
    ahead: [2, '9:00'],
  },
  {
    name: 'Wren Abernethy',
    bornOn: '1969-09-09',
    phone: '0700 900 357',
    note: 'Fillers before the wedding of her son.',
    hasIntake: true,
    findings: [{ id: 'injectable-filler-recent', daysAgo: 10 }, { id: 'nut-allergy' }],
    focus: ['face'],
    purpose: 'puffy-face',
    minutes: 40,
    therapist: 1,
    ahead: [3, '14:00'],
  },
  {
    name: 'Caspian Moor',
    bornOn: '2011-02-14',
    phone: '0700 900 365',
    note: 'His mother brings him.',
    hasIntake: true,
    findings: [{ id: 'lymphoedema-primary', regions: ['foot-top.left', 'ankle-outer.left', 'shin-lower.left'] }],
    focus: ['leg.left'],
    purpose: 'swelling',
    minutes: 40,
    therapist: 0,
    past: { visits: 2, everyDays: 14, limb: 'leg', side: 'left', excess: [0.09, 0.08] },
    ahead: [3, '16:00'],
  },
  {
    name: 'Philippa Dray',
    bornOn: '1946-12-20',
    phone: '0700 900 372',
    note: 'Deaf in the right ear: speak from the left.',
    hasIntake: true,
    findings: [{ id: 'osteoporosis' }, { id: 'diabetes-controlled' }, { id: 'neuropathy' }],
    focus: ['face', 'neck'],
    purpose: 'wellness',
    minutes: 40,
    therapist: 1,
    ahead: [4, '10:00'],
  },
  {
    name: 'Anselm Kertesz',
    bornOn: '1975-10-31',
    phone: '0700 900 380',
    note: 'Works nights.',
    hasIntake: true,
    findings: [{ id: 'asthma' }, { id: 'asthma-scent-trigger' }, { id: 'latex-allergy' }],
    focus: ['face', 'neck'],
    purpose: 'sinus',
    minutes: 40,
    therapist: 1,
    past: { visits: 1, everyDays: 60 },
    ahead: [4, '11:30'],
  },
  {
    name: 'Thea Lindqvist',
    bornOn: '1981-07-07',
    phone: '0700 900 398',
    note: '',
    hasIntake: true,
    findings: [{ id: 'lipoedema' }, { id: 'varicose-veins', regions: ['calf-upper.left', 'calf-upper.right'] }],
    focus: ['leg.left', 'leg.right'],
    purpose: 'swelling',
    minutes: 75,
    therapist: 0,
    past: { visits: 3, everyDays: 21 },
    ahead: [5, '13:00'],
  },
  {
    name: 'Jonas Verhoef',
    bornOn: '1990-01-17',
    phone: '0700 900 406',
    note: 'Runner.',
    hasIntake: true,
    findings: [
      {
        id: 'scar-new',
        regions: ['knee-inner.right', 'knee-front.right'],
        crosses: [['knee-inner.right', 'knee-front.right']],
        daysAgo: 40,
      },
    ],
    focus: ['leg.right'],
    purpose: 'after-procedure',
    minutes: 45,
    therapist: 0,
    ahead: [5, '15:00'],
  },
  {
    name: 'Isaura Penn',
    bornOn: '1963-11-02',
    phone: '0700 900 414',
    note: 'Comes for the first time.',
    findings: [],
    focus: ['arm.right'],
    purpose: 'swelling',
    minutes: 60,
    therapist: 0,
    today: '11:30',
  },
  {
    name: 'Tobias Renn',
    bornOn: '1979-04-02',
    phone: '0700 900112',
    note: 'Booked by telephone.',
    findings: [],
    focus: ['face'],
    purpose: 'puffy-face',
    minutes: 40,
    therapist: 1,
  },
  {
    name: 'Evander Pell',
    bornOn: '1971-06-19',
    phone: '0700 900 431',
    note: 'Carries a tuba for a living; shoulders like boards.',
    likes: { pressure: 'firmer', warmth: 'cooler', music: 'on' },
    hasIntake: true,
    findings: [],
    focus: ['whole-body'],
    purpose: 'wellness',
    minutes: 60,
    therapist: 1,
    holds: ['stones-back', 'stones-leg-back'],
    past: { visits: 2, everyDays: 21 },
    today: '11:45',
  },
  {
    name: 'Sunniva Harrow',
    patchTest: 'Quiet face',
    bornOn: '1968-01-30',
    phone: '0700 900 452',
    note: 'Grinds her teeth at night.',
    likes: { scentsLiked: 'rose, sandalwood', music: 'off' },
    hasIntake: true,
    findings: [],
    focus: ['whole-body'],
    purpose: 'wellness',
    minutes: 75,
    therapist: 1,
    holds: ['lifting-facial', 'mouth-gloved'],
    lines: [
      ['forehead', 'left'],
      ['frown', 'left'],
      ['frown', 'right'],
      ['crow', 'left'],
      ['crow', 'left'],
      ['crow', 'right'],
      ['smile', 'left'],
      ['smile', 'right'],
      ['mouth-corner', 'left'],
    ],
    past: { visits: 2, everyDays: 14 },
    today: '13:00',
  },
  {
    name: 'Runa Tolvey',
    bornOn: '1984-10-08',
    phone: '0700 900 467',
    note: 'Sleeps badly since the new shifts; shoulders up to her ears.',
    heightCm: 171,
    likes: { scentsLiked: 'lavender, cedar', scentsDisliked: 'mint', music: 'on' },
    hasIntake: true,
    findings: [{ id: 'nut-allergy', note: 'Hazelnut and almond, also on the skin.' }],
    focus: ['whole-body'],
    purpose: 'wellness',
    minutes: 90,
    therapist: 0,
    holds: ['aroma-whole-body'],
    scented: { blend: eveningBlend, liked: [1, 2] },
    past: { visits: 2, everyDays: 28 },
    today: '8:30',
  },
];
