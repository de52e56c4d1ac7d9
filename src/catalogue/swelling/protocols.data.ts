import type { TapeProtocol } from '../../core/swelling/protocol';

const everyFour = (last: number) => Array.from({ length: last / 4 + 1 }, (_, i) => i * 4);

const lying = 'Lying on the back, legs a hand’s width apart, knee straight, foot at a right angle, calf hanging free.';

/** Ships with the house; own ones stand beside them. */
export const shippedProtocols: readonly TapeProtocol[] = [
  {
    id: 'arm4',
    limb: 'arm',
    name: 'Arm, every 4 cm',
    zero: 'tip of the outer wrist bone',
    posture: 'Seated, arm straight on a table at heart height, palm down, fingers loose.',
    stop: 'last full interval below the front fold of the armpit',
    restMinutes: 5,
    positionsCm: everyFour(40),
    eight: 'hand',
  },
  {
    id: 'leg4',
    limb: 'leg',
    name: 'Leg, every 4 cm',
    zero: 'lower tip of the outer ankle bone',
    posture: lying,
    stop: 'last full interval below the buttock fold',
    restMinutes: 10,
    positionsCm: everyFour(68),
    eight: 'ankle',
  },
  {
    id: 'legBelowKnee4',
    limb: 'leg',
    name: 'Lower leg, every 4 cm',
    zero: 'lower tip of the outer ankle bone',
    posture: lying,
    stop: 'last full interval below the lower edge of the kneecap',
    restMinutes: 10,
    positionsCm: everyFour(32),
    eight: 'ankle',
  },
];

/** How a figure-of-eight is led; one length, a series of its own. */
export const figuresOfEight = {
  hand: {
    name: 'Hand figure-of-eight',
    rangeCm: [28, 65],
    path: [
      'Start just beyond the outer wrist bone on the palm side.',
      'Across the palm side of the wrist to the thumb side.',
      'Slantwise over the back of the hand to the knuckle of the little finger.',
      'Across the palm over the knuckle heads to the index knuckle.',
      'Slantwise over the back of the hand to the start.',
    ],
  },
  ankle: {
    name: 'Foot and ankle figure-of-eight',
    rangeCm: [38, 85],
    path: [
      'Start half-way between the shin tendon and the outer ankle bone.',
      'Inwards over the instep to just beyond the bump of the inner foot.',
      'Under the arch to just behind the base of the little toe’s bone.',
      'Over the instep, round below the inner ankle bone.',
      'Round the heel cord, below the outer ankle bone, back to the start.',
    ],
  },
} as const;
