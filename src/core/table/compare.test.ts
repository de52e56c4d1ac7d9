import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { comparisonOf } from './compare';
import { markedPlace, marksInWords, marksOf } from './marks';
import type { TableEvent } from './table-event';
import type { ToldStep } from './table-step';

const told = (...places: readonly string[]): ToldStep => ({
  ...{ title: 'Lift the cheek', how: '', cue: '', note: '', block: 'cheek', count: 'repetitions', places },
});
const labels = { place: (id: string) => id, region: (name: string) => name };

describe('one side held against the other', () => {
  it('shows both halves of what is worked, also where only one is', () => {
    expect(comparisonOf(anatomy, { place: 'cheek.left', told: told('cheek.left') })).toEqual({
      asks: 'higher',
      places: ['cheek.left', 'cheek.right'],
    });
  });

  it('asks of a face which is higher, of anything else which is fuller', () => {
    expect(comparisonOf(anatomy, { place: 'calf-upper.right' })?.asks).toBe('fuller');
    expect(comparisonOf(anatomy, { place: 'forehead.left', told: told('forehead.left', 'forehead.right') })).toEqual({
      asks: 'higher',
      places: ['forehead.left', 'forehead.right'],
    });
  });

  it('is nothing where there are no two sides, nor at nodes', () => {
    expect(comparisonOf(anatomy, { place: 'thoracic-duct.mid' })).toBeUndefined();
    expect(comparisonOf(anatomy, { place: 'inguinal.left' })).toBeUndefined();
  });
});

describe('what was seen', () => {
  const seen = (mark: 'higher' | 'fuller' | 'alike', side: 'left' | 'right' | 'both'): TableEvent => ({
    ...{
      id: `${mark}-${side}`,
      kind: 'mark',
      stepId: 's1',
      at: '2026-11-25T10:00:00.000Z',
      planVersion: 1,
      mark,
      side,
    },
  });
  const words = (event: TableEvent, places: readonly string[]) =>
    marksInWords(
      marksOf([event]),
      (mark) => ({
        place: markedPlace(mark, { place: places[0] ?? '', told: told(...places) }, labels),
        title: 'Lift',
      }),
      () => '10:00',
    );

  it('stands on the side that was said, although only the other one was worked', () => {
    expect(words(seen('higher', 'right'), ['cheek.left'])).toEqual(['Higher, compared, at right cheek (lift, 10:00).']);
    expect(words(seen('fuller', 'left'), ['calf-upper.left'])[0]).toContain('at left calf-upper');
  });

  it('says of alike that both sides are', () => {
    expect(words(seen('alike', 'both'), ['cheek.left'])).toEqual([
      'Alike, compared, at cheek, both sides (lift, 10:00).',
    ]);
  });

  it('is what was seen last, however often it is looked at in a step', () => {
    expect(marksOf([seen('higher', 'left'), seen('higher', 'right')])).toMatchObject([
      { kind: 'higher', side: 'right' },
    ]);
    expect(marksOf([seen('higher', 'left'), seen('alike', 'both')])).toMatchObject([{ kind: 'alike' }]);
  });
});
