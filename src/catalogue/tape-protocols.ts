/** How a limb is taped: fixed points, from a zero mark upwards, the same every time. */
export interface TapeProtocol {
  readonly id: string;
  readonly limb: 'arm' | 'leg';
  readonly name: string;
  readonly zero: string;
  readonly posture: string;
  readonly restMinutes: number;
  readonly positionsCm: readonly number[];
}

const everyFour = (last: number) => Array.from({ length: last / 4 + 1 }, (_, i) => i * 4);

export const tapeProtocols: Readonly<Record<'arm' | 'leg', TapeProtocol>> = {
  arm: {
    id: 'arm4',
    limb: 'arm',
    name: 'Arm, every 4 cm',
    zero: 'tip of the outer wrist bone',
    posture: 'Seated, arm straight on a table at heart height, palm down, fingers loose.',
    restMinutes: 5,
    positionsCm: everyFour(40),
  },
  leg: {
    id: 'leg4',
    limb: 'leg',
    name: 'Leg, every 4 cm',
    zero: 'lower tip of the outer ankle bone',
    posture: 'Lying on the back, legs a hand’s width apart, knee straight, foot at a right angle, calf hanging free.',
    restMinutes: 10,
    positionsCm: everyFour(68),
  },
};
