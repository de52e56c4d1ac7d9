import { describe, expect, it } from 'vitest';
import { DrainagePlanRequest } from './drainage';
import { LimbVolumeRequest } from './limb-volume';
import { ClosingInput } from './closing';
import { ClientInput, PlacedFindingInput, VisitInput } from './record';
import { TableEventsInput } from './table';

const pathsOf = (result: { error?: { issues: readonly { path: PropertyKey[] }[] } | undefined }) =>
  (result.error?.issues ?? []).map((issue) => issue.path.join('.'));

describe('what crosses the boundary', () => {
  it('fills a drainage case with the house’s defaults', () => {
    expect(DrainagePlanRequest.parse({ focus: ['face'] })).toEqual({
      focus: ['face'],
      purpose: 'swelling',
      findings: [],
      school: { start: 'neck-first', hand: 'stretch', removedSide: 'reroute-only', exits: 2 },
      minutes: 60,
      fill: false,
      qualifications: [],
      use: [],
      refuse: [],
    });
  });

  it('ignores keys that it does not know', () => {
    expect(DrainagePlanRequest.parse({ focus: ['face'], weather: 'fine' })).not.toHaveProperty('weather');
  });

  it('refuses null where a default would do, but for the other limb', () => {
    const base = { limb: 'arm', positions: [0, 4], affected: [17, 18] };
    expect(LimbVolumeRequest.parse({ ...base, reference: null }).reference).toBeNull();
    expect(pathsOf(LimbVolumeRequest.safeParse({ ...base, unit: null, tapeSigmaCm: null }))).toEqual([
      'unit',
      'tapeSigmaCm',
    ]);
    expect(pathsOf(LimbVolumeRequest.safeParse({ ...base, affected: [17, -1] }))).toEqual(['affected.1']);
  });

  it('trims names and refuses dates that do not exist', () => {
    expect(ClientInput.parse({ name: '  Zoë ' }).name).toBe('Zoë');
    expect(pathsOf(ClientInput.safeParse({ name: 'Zoë', bornOn: '2023-02-29' }))).toEqual(['bornOn']);
    expect(pathsOf(ClientInput.safeParse({ name: 'Zoë', bornOn: '1850-01-01' }))).toEqual(['bornOn']);
    expect(ClientInput.safeParse({ name: 'Zoë', bornOn: '2024-02-29' }).success).toBe(true);
  });

  it('books only visits of 10 to 480 minutes, for something', () => {
    const visit = {
      clientId: 1,
      therapistId: 1,
      startsAt: '2026-11-25T09:00:00.000Z',
      minutes: 45,
      focus: ['face'],
      purpose: 'sinus',
    };
    expect(VisitInput.safeParse(visit).success).toBe(true);
    expect(pathsOf(VisitInput.safeParse({ ...visit, minutes: 0 }))).toEqual(['minutes']);
    expect(pathsOf(VisitInput.safeParse({ ...visit, startsAt: 'tomorrow' }))).toEqual(['startsAt']);
    expect(pathsOf(VisitInput.safeParse({ ...visit, focus: [] }))).toEqual(['focus']);
  });

  it('takes findings with a pair of places for a scar', () => {
    expect(PlacedFindingInput.safeParse({ id: 'scar', crosses: [['pubic.left', 'pubic.right']] }).success).toBe(true);
    expect(pathsOf(PlacedFindingInput.safeParse({ id: 'scar', crosses: [['pubic.left']] }))).toEqual(['crosses.0']);
    expect(pathsOf(PlacedFindingInput.safeParse({ id: '' }))).toEqual(['id']);
  });

  it('takes scores on their scale only', () => {
    const closing = { pressure: 0, comfort: 5, redness: 0, basedOn: 0 };
    expect(ClosingInput.parse(closing).note).toBe('');
    for (const [key, value] of [
      ['pressure', 2],
      ['comfort', 10.5],
      ['redness', 5],
      ['note', 'x'.repeat(4001)],
    ] as const) {
      expect(pathsOf(ClosingInput.safeParse({ ...closing, [key]: value }))).toEqual([key]);
    }
  });

  it('takes events with an id of their own', () => {
    const event = { id: 'abcdefgh', kind: 'start', stepId: 's1', at: '2026-11-25T09:00:00.000Z', planVersion: 1 };
    expect(TableEventsInput.safeParse({ deviceId: 'some-device', events: [event] }).success).toBe(true);
    expect(
      pathsOf(TableEventsInput.safeParse({ deviceId: 'some-device', events: [{ ...event, id: 'x', kind: 'dance' }] })),
    ).toEqual(['events.0.id', 'events.0.kind']);
    expect(pathsOf(TableEventsInput.safeParse({ deviceId: 'some-device', events: [] }))).toEqual(['events']);
  });
});
