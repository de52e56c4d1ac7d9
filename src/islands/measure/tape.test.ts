import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { usualVolume as settings } from '../../core/swelling/settings';
import { inOtherUnit, readTape, rereadSide, swapSides, type Tape, tapeOf, toTapingInput } from './tape';
import { type CellAddress, emptyCell, toCell, withCell } from './tape-cells';

const positionsCm = [0, 4, 8];
const leg = { limb: 'leg', side: 'left', positionsCm } as const;
const empty = tapeOf(undefined, positionsCm, 'cm');
const typed = (girths: Partial<Record<'affected' | 'reference', readonly string[]>>, from: Tape = empty): Tape => ({
  ...from,
  cells: Object.entries(girths).reduce(
    (cells, [side, row]) =>
      row.reduce(
        (now, text, index) => withCell(now, { pass: 'first', side, index } as CellAddress, toCell(text, from.unit)),
        cells,
      ),
    from.cells,
  ),
});
const girth = fc.integer({ min: 150, max: 700 }).map((tenths) => (tenths / 10).toFixed(1));
const row = fc.array(girth, { minLength: 3, maxLength: 3 });

describe('a tape', () => {
  it('begins empty, as long as its protocol', () => {
    expect(empty.cells.first.affected).toEqual([emptyCell, emptyCell, emptyCell]);
    expect(readTape(empty, leg, settings).volume.value).toBeUndefined();
  });

  it('tells both volumes and the excess once both limbs are taped', () => {
    const { volume } = readTape(typed({ affected: ['24', '26', '28'], reference: ['22', '24', '26'] }), leg, settings);
    expect(volume.refusal).toBeUndefined();
    // Frusta of 4 cm: h (c1² + c1 c2 + c2²) / 12 π.
    const frustum = (a: number, b: number) => (4 * (a * a + a * b + b * b)) / (12 * Math.PI);
    expect(volume.value?.affectedMl).toBeCloseTo(frustum(24, 26) + frustum(26, 28), 6);
    expect(volume.value?.excessMl).toBeCloseTo(
      frustum(24, 26) + frustum(26, 28) - frustum(22, 24) - frustum(24, 26),
      6,
    );
  });

  it('reckons one limb alone while the other has one girth', () => {
    const { volume } = readTape(typed({ affected: ['24', '26', '28'], reference: ['22'] }), leg, settings);
    expect(volume.value?.affectedMl).toBeGreaterThan(0);
    expect(volume.value?.excessMl).toBeNull();
  });

  it('comes back exactly when the unit is changed twice', () => {
    fc.assert(
      fc.property(row, row, (affected, reference) => {
        const tape = typed({ affected, reference });
        expect(inOtherUnit(inOtherUnit(tape))).toEqual(tape);
      }),
    );
  });

  it('has the same volume in either unit', () => {
    fc.assert(
      fc.property(row, (affected) => {
        const tape = typed({ affected });
        const [cm, inches] = [readTape(tape, leg, settings), readTape(inOtherUnit(tape), leg, settings)];
        expect(inches.volume.value?.affectedMl).toBeCloseTo(cm.volume.value?.affectedMl ?? NaN, 6);
      }),
    );
  });

  it('turns the excess round when sides are swapped, and is itself when swapped twice', () => {
    fc.assert(
      fc.property(row, row, (affected, reference) => {
        const tape = typed({ affected, reference });
        const [there, back] = [readTape(tape, leg, settings), readTape(swapSides(tape), leg, settings)];
        expect(back.volume.value?.excessMl).toBeCloseTo(-(there.volume.value?.excessMl ?? NaN), 6);
        expect(swapSides(swapSides(tape))).toEqual(tape);
      }),
    );
  });

  it('reads one side in the other unit and leaves the other one alone', () => {
    const tape = rereadSide(typed({ affected: ['9.5', '10', '11'], reference: ['24', '25', '28'] }), 'affected');
    expect(tape.cells.first.affected.map(({ text }) => text)).toEqual(['24.1', '25.4', '27.9']);
    expect(tape.cells.first.reference.map(({ text }) => text)).toEqual(['24.0', '25.0', '28.0']);
  });

  it('goes to the server with empty passes left out and points in its own unit', () => {
    const input = toTapingInput(inOtherUnit(typed({ affected: ['25.4', '', '30'] })), {
      ...{ phase: 'before', limb: 'leg', side: 'left', protocol: 'leg-4', positionsCm, method: 'frustum' },
      ...{ source: 'typed', basedOn: 3 },
    });
    expect(input).toMatchObject({ unit: 'in', second: null, third: null, basedOn: 3 });
    expect(input).toHaveProperty('affected.0', 10);
    expect(input).toHaveProperty('affected.1', null);
  });
});
