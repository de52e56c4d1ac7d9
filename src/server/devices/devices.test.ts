import { beforeEach, describe, expect, it } from 'vitest';
import { SimulatedDropScale } from './drop-scale';
import { SimulatedBath } from './stone-bath';

/** The stand-ins that ship: they behave as such devices do, and can be made to fail. */

let nowMs: number;
beforeEach(() => {
  nowMs = 1_000_000;
});
const bathNow = () => new SimulatedBath(() => nowMs);
const wait = (seconds: number) => {
  nowMs += seconds * 1000;
};

describe('the bath', () => {
  it('is off, at the temperature of the tap, and says so every two seconds', () => {
    const bath = bathNow();
    expect(bath.state()).toMatchObject({ isOn: false, stones: 0, fault: 'none' });
    expect(bath.state().waterC).toBeCloseTo(15, 1);
    wait(10);
    const said = bath.readings();
    expect(said).toHaveLength(5);
    expect(said.map(({ atMs }) => atMs)).toEqual([2, 4, 6, 8, 10].map((s) => 1_000_000 + s * 1000));
    for (const { text } of said) expect(text).toMatch(/^\d+\.\d$/);
  });

  it('warms to what it is set to and stays there', () => {
    const bath = bathNow();
    bath.drive({ isOn: true, setC: 50 });
    const after = (seconds: number) => bath.drive({ skipS: seconds }).waterC;
    const quarter = after(900);
    expect(quarter).toBeGreaterThan(25);
    expect(quarter).toBeLessThan(50);
    expect(after(5400)).toBeCloseTo(50, 0);
    expect(after(600)).toBeCloseTo(50, 0);
  });

  it('cools towards the room when it is switched off', () => {
    const bath = bathNow();
    bath.drive({ isOn: true, setC: 50, skipS: 7200 });
    const warm = bath.state().waterC;
    const cooler = bath.drive({ isOn: false, skipS: 3600 }).waterC;
    expect(cooler).toBeLessThan(warm);
    expect(cooler).toBeGreaterThan(24);
  });

  it('is cooled by stones that are put in, not by those that are taken out', () => {
    const bath = bathNow();
    bath.drive({ isOn: true, setC: 52, skipS: 7200 });
    const before = bath.state().waterC;
    const withStones = bath.drive({ isOn: false, stones: 20 }).waterC;
    expect(withStones).toBeLessThan(before - 1);
    expect(bath.drive({ stones: 0 }).waterC).toBeCloseTo(withStones, 5);
  });

  it('remembers so many readings and no more', () => {
    const bath = bathNow();
    bath.drive({ skipS: 3600 });
    expect(bath.readings().length).toBeLessThanOrEqual(120);
    const times = bath.readings().map(({ atMs }) => atMs);
    expect(times).toEqual([...times].sort((a, b) => a - b));
  });

  it.each([
    ['text', 'Err 3'],
    ['nan', 'NaN'],
  ] as const)('says nonsense with the fault “%s”', (fault, text) => {
    const bath = bathNow();
    bath.drive({ fault });
    wait(4);
    expect(bath.readings().at(-1)?.text).toBe(text);
  });

  it('falls silent with one fault, and drifts away with another', () => {
    const silent = bathNow();
    silent.drive({ fault: 'stops' });
    wait(20);
    expect(silent.readings()).toEqual([]);
    const drifting = bathNow();
    drifting.drive({ isOn: true, setC: 50, skipS: 7200 });
    const before = drifting.state().waterC;
    expect(drifting.drive({ fault: 'drift', skipS: 600 }).waterC).toBeLessThan(before - 1);
  });
});

describe('the scale for drops', () => {
  it('adds up what falls, in milligrams', () => {
    const scale = new SimulatedDropScale();
    expect(scale.reading()).toEqual({ isOn: true, text: '0.000 g' });
    scale.drive({ drops: 10, densityGPerMl: 0.9, dropsPerMl: 25 });
    expect(scale.reading().text).toBe('0.360 g');
    scale.drive({ drops: 5, densityGPerMl: 0.9, dropsPerMl: 25 });
    expect(scale.reading().text).toBe('0.540 g');
  });

  it('is set to zero, before what falls with it', () => {
    const scale = new SimulatedDropScale();
    scale.drive({ drops: 10 });
    scale.drive({ tare: true, drops: 3, densityGPerMl: 1, dropsPerMl: 20 });
    expect(scale.reading().text).toBe('0.150 g');
  });

  it('says nothing when it is off, and forgets nothing', () => {
    const scale = new SimulatedDropScale();
    scale.drive({ drops: 10, densityGPerMl: 1, dropsPerMl: 20 });
    scale.drive({ isOn: false });
    expect(scale.reading()).toEqual({ isOn: false, text: '' });
    scale.drive({ isOn: true });
    expect(scale.reading().text).toBe('0.500 g');
  });
});
