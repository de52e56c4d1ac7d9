import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { breathAt } from './breath';
import { type Now, spokenAt } from './conduct';
import { beatAt } from './progress';
import type { TableStep, ToldStep } from './table-step';

const toldOf = (change: Partial<ToldStep>): ToldStep => ({
  title: 'Skin stretch',
  how: 'armpit, one side, then the other; towards the node group',
  cue: 'Light as a coin.',
  note: 'Round the scar of Ruth.',
  block: 'Drainage for Ruth',
  count: 'repetitions',
  places: ['axillary.left'],
  ...change,
});
const stepOf = (change: Partial<TableStep> = {}, told: Partial<ToldStep> = {}): TableStep => ({
  id: 's1',
  kind: 'drain',
  place: 'axillary.left',
  toward: null,
  via: [],
  pressure: 'feather',
  repetitions: 5,
  placements: 1,
  seconds: 26,
  rules: [],
  why: '',
  cautions: ['Nodes removed: not on the left armpit.'],
  told: toldOf(told),
  ...change,
});

/** Everything that is said from the first to the last moment of a step, ten looks a second. */
function conducted(step: TableStep, next?: TableStep): readonly string[] {
  const said: { moment: string; text: string }[] = [];
  for (let ms = 0; ms <= (step.seconds + (step.setupSeconds ?? 0) + 4) * 1000; ms += 100) {
    const now: Now = { step, next, beat: beatAt(step, ms), stepSeconds: ms / 1000, status: 'running' };
    const spoken = spokenAt(anatomy, now);
    if (spoken && spoken.moment !== said.at(-1)?.moment) said.push(spoken);
  }
  return said.map(({ text }) => text);
}

describe('a treatment that is followed with eyes closed', () => {
  it('hears the technique, the place and how often; then the count, the end and what comes', () => {
    const next = stepOf({ id: 's2' }, { title: 'Long stroke' });
    expect(conducted(stepOf(), next)).toEqual([
      'Skin stretch. armpit, one side, then the other. 5 times',
      '1',
      '2',
      '3',
      '4',
      'The last one.',
      'Done. Then: Long stroke.',
    ]);
  });

  it('hears the other side when its turn comes, and counts it anew', () => {
    const rounds = ['left armpit', 'now the other side: right armpit'];
    const said = conducted(stepOf({ seconds: 48 }, { rounds }));
    expect(said[0]).toBe('Skin stretch. left armpit. 5 times');
    expect(said.slice(5, 8)).toEqual(['The last one.', 'now the other side: right armpit', '1']);
    expect(said.at(-1)).toBe('Done. That was the last step.');
  });

  it('is counted in fives where nobody could speak each of them', () => {
    const { told: _, ...drainage } = stepOf({ repetitions: 12, placements: 2, seconds: 36 });
    const said = conducted(drainage);
    expect(said.filter((text) => text.startsWith('And'))).toEqual(['And 5.', 'And 10.', 'And 5.', 'And 10.']);
    expect(said).toContain('The next place.');
  });

  it('is told what changes first, and to leave a hand on where it only walks round', () => {
    const changes = ['Go to the left side.'];
    expect(conducted(stepOf({ changes, setupSeconds: 8 }))[0]).toBe('Go to the left side. Leave one hand on.');
    const both = ['Wash and dry the hands.', 'Go to the left side.'];
    expect(conducted(stepOf({ changes: both, setupSeconds: 8 }))[0]).toBe(
      'Wash and dry the hands. Go to the left side.',
    );
  });

  it('holds until it is told, with a word before the end', () => {
    const said = conducted(stepOf({ repetitions: 1, seconds: 36 }, { count: 'hold' }));
    expect(said.slice(1, 3)).toEqual(['Hold.', 'Five more.']);
  });

  it('stops where something has to be asked again, and says nothing else until it is answered', () => {
    for (const ms of [0, 8000, 15_000, 60_000]) {
      const step = stepOf({ asksAgain: ['Is the mouth empty?'] });
      const now: Now = { step, next: undefined, beat: beatAt(step, ms), stepSeconds: ms / 1000, status: 'running' };
      expect(spokenAt(anatomy, { ...now, mustAsk: true })?.text).toBe('Stop. Ask again before this.');
    }
  });

  it('puts what the stones ask for before place and count', () => {
    const step = stepOf();
    const now: Now = { step, next: undefined, beat: beatAt(step, 8000), stepSeconds: 8, status: 'running' };
    expect(spokenAt(anatomy, { ...now, stoneCue: 'Swap stone 4.' })?.text).toBe('Swap stone 4.');
    expect(spokenAt(anatomy, { ...now, stoneCue: 'Swap stone 4.', mustAsk: true })?.text).toContain('Ask again');
  });

  it('says how many drops fall, and leaves the counting of them to the hand', () => {
    const dropped = { oil: 'lavender', name: 'Lavender', drops: 6 } as NonNullable<ToldStep['dropped']>;
    expect(conducted(stepOf({}, { dropped }))).toEqual([
      'Skin stretch. armpit, one side, then the other. 6 drops',
      'Done. That was the last step.',
    ]);
  });

  it('never says a name, a finding, a caution or a note', () => {
    const said = conducted(stepOf({ changes: ['Drape anew.'], setupSeconds: 5 })).join(' ');
    expect(said).not.toMatch(/Ruth|scar|removed|coin/);
  });

  it('is silent before it begins and once it is over; a pause is said', () => {
    const now = { step: stepOf(), next: undefined, beat: beatAt(stepOf(), 0), stepSeconds: 0 };
    expect(spokenAt(anatomy, { ...now, status: 'ready' })).toBeUndefined();
    expect(spokenAt(anatomy, { ...now, status: 'finished' })).toBeUndefined();
    expect(spokenAt(anatomy, { ...now, status: 'paused' })?.text).toBe('Paused.');
  });
});

describe('work that is led by the breath', () => {
  it('goes in and out with each breath', () => {
    const said = conducted(stepOf({ kind: 'breathe', repetitions: 2, seconds: 18 }, { count: 'breaths' }));
    expect(said).toEqual([
      'Skin stretch. armpit, one side, then the other. 2 breaths',
      ...['In.', 'And out.', 'In.', 'And out.'],
      'Done. That was the last step.',
    ]);
  });

  it('follows several breaths out in a recoil, and springs off in the last breath in', () => {
    const said = conducted(stepOf({ repetitions: 1, seconds: 24 }, { breath: 'recoil' }));
    expect(said.slice(1, -1)).toEqual([
      ...['And out, follow it down.', 'In.', 'And out, follow it down.', 'In.'],
      ...['And out, follow it down.', 'In.', 'Let go.'],
    ]);
  });

  it('is full at the end of the breath in, and empty at the end of the breath out', () => {
    const step = stepOf({ kind: 'breathe', repetitions: 1 }, { count: 'breaths' });
    const at = (phase: number) => breathAt(step, { placement: 1, repetition: 1, phase, isOver: false });
    expect([at(0)?.fullness, at(0.5)?.fullness, at(1)?.fullness]).toEqual([0, 1, 0]);
    expect([at(0.2)?.part, at(0.7)?.part]).toEqual(['in', 'out']);
    const recoil = stepOf({}, { breath: 'recoil' });
    expect(breathAt(recoil, { placement: 1, repetition: 1, phase: 0, isOver: false })?.fullness).toBe(1);
  });

  it('is no matter of steps that are counted, nor of one that has not begun', () => {
    expect(breathAt(stepOf(), { placement: 1, repetition: 1, phase: 0, isOver: false })).toBeUndefined();
    const step = stepOf({ kind: 'breathe' });
    expect(breathAt(step, { placement: 1, repetition: 0, phase: 0, isOver: false })).toBeUndefined();
  });
});
