import { describe, expect, it } from 'vitest';
import { htmlOf as html, textOf } from '../../../tests/page-text';
import type { TreatmentView } from '../../contracts/treatment-views';
import { Bands } from './Bands';
import { LayerChoice } from './LayerChoice';
import { SkinLedger } from './SkinLedger';
import { StoneChoice } from './StoneChoice';
import { StoneTrouble } from './StoneTrouble';
import type { TreatmentHandle } from './useTreatment';

const nothing = () => undefined;

describe('the ribbon of time', () => {
  const block = (id: string, seconds: number, change: object = {}) => ({
    ...{ id, name: id, seconds, position: 'supine', hands: 'dry', therapist: 'head' },
    ...change,
  });
  const ribbon = (blocks: readonly object[], totalSeconds: number, availableSeconds: number, selected?: string) =>
    html(
      <Bands
        treatment={{ blocks, totalSeconds, availableSeconds } as unknown as TreatmentView}
        selected={selected}
        onSelect={nothing}
      />,
    );
  const three = [block('Neck', 600), block('Face', 900), block('Back', 900, { position: 'prone', hands: 'oil' })];

  it('gives each part as much room as it takes, and says it in minutes', () => {
    const bands = ribbon(three, 2400, 2700);
    expect(bands).toMatch(/aria-label="Neck, 10:00"[^>]*style="flex-grow:600"/);
    expect(bands).toContain('40:00 / 45:00');
    expect(bands).toContain('title="5:00');
  });

  it('says when it is longer than the visit, and shows no time to spare then', () => {
    const over = ribbon(three, 2400, 1800);
    expect(over).toContain('data-over="true"');
    expect(over).not.toContain('<i style');
    expect(ribbon(three, 2400, 2400)).not.toContain('data-over');
  });

  it('draws what stays the same in one piece: how the client lies, what is on the hands', () => {
    const bands = ribbon(three, 2400, 2400);
    expect(bands.match(/data-of="on the back"/gi)).toHaveLength(1);
    expect(bands).toMatch(/data-of="on the back" style="flex-grow:1500"/i);
    expect(bands.match(/data-of="oil"/g)).toHaveLength(1);
  });

  it('writes nothing where there is no room for it, and still names it to whoever asks', () => {
    const bands = ribbon([block('Sip of water', 60), block('Back', 2400)], 2460, 2460);
    expect(bands).toMatch(/aria-label="Sip of water, 1:00"[^>]*><\/button>/);
  });

  it('marks the part that is looked at', () => {
    expect(ribbon(three, 2400, 2400, 'Face').match(/data-selected/g)).toHaveLength(1);
  });
});

describe('stones of a step', () => {
  const handle = (stones?: object) =>
    ({ treatment: { wish: { stones } }, change: nothing }) as unknown as TreatmentHandle;
  const step = (stones?: object) => ({ id: 's4', told: { title: 'Long strokes', stones } }) as never;

  it('are not asked for where the technique takes none', () => {
    expect(html(<StoneChoice step={step()} handle={handle()} />)).toBe('');
  });

  it('are what the technique asks, and can be put back when they were chosen otherwise', () => {
    const asked = html(<StoneChoice step={step({ size: 'palm', count: 2 })} handle={handle()} />);
    expect(asked).toMatch(/<option value="palm" selected="">/);
    expect(asked).toMatch(/<option value="2" selected="">/);
    expect(asked).not.toContain('<button');
    const chosen = html(<StoneChoice step={step({ size: 'edge', count: 1 })} handle={handle({ s4: {} })} />);
    expect(chosen).toContain('<button');
  });
});

describe('drops of a step', () => {
  const layers = (change: object = {}) => ({
    layers: [
      { step: 's4', oil: 'thyme', drops: 3, mostDrops: 5, mayBe: ['thyme', 'cypress'], why: 'For calm.', ...change },
    ],
    names: { thyme: 'Thyme', cypress: 'Cypress' },
  });
  const choice = (change: object = {}, wish: object = {}) =>
    html(
      <LayerChoice
        step={{ id: 's4', told: { title: 'Drops', block: 'Spine' } } as never}
        handle={{ treatment: { layers: layers(change), wish: { layers: wish } }, change: nothing } as never}
      />,
    );

  it('are never offered beyond what this skin may have', () => {
    expect(choice()).toMatch(/<option value="5">5<\/option><\/select>/);
    expect(choice()).not.toContain('<option value="6"');
    expect(choice({ mostDrops: null })).toContain('<option value="12"');
  });

  it('are of oils that the shelf has and this client may have, by their names', () => {
    expect(choice()).toContain('<option value="thyme" selected="">Thyme</option>');
    expect(choice()).toContain('For calm.');
  });

  it('are not asked for where nothing may drop', () => {
    expect(choice({ oil: null })).toBe('');
  });
});

describe('the balance of the skin', () => {
  const line = (of: string, usedPercent: number) => ({ of, limitPercent: 1, usedPercent, perDrop: {} });
  const ledger = (lines: readonly object[], lately: readonly object[] = []) =>
    textOf(<SkinLedger layers={{ areaCm2: 900, layers: [], lately, balance: { filmMl: 9, lines } } as never} />);

  it('names the fullest limit first, and leaves out what is hardly touched', () => {
    const text = ledger([line('linalool', 0.42), line('eugenol', 0.05), line('citral', 0.9)]);
    expect(text).toMatch(/citral .*90.* linalool .*42/);
    expect(text).not.toContain('eugenol');
  });

  it('tells what fell in the days before', () => {
    expect(ledger([], [{ date: '20 Nov', words: 'thyme 4' }])).toMatch(/20 Nov.*thyme 4/);
  });
});

describe('stones that do not suffice', () => {
  const note = (change: object) => ({ isCold: false, trouble: [], standIns: [], spared: [], ways: [], ...change });
  const shown = (...notes: readonly object[]) => html(<StoneTrouble stones={notes as never} onTake={nothing} />);

  it('are not spoken of while they do', () => {
    expect(shown(note({}))).toBe('');
  });

  it('are alarming only where something cannot be done; a stand-in is not', () => {
    expect(shown(note({ trouble: ['Two palm stones are missing.'] }))).toContain('data-short');
    expect(shown(note({ standIns: ['Edge stones stand in.'] }))).not.toContain('data-short');
  });

  it('offer by a press what other stones can mend, and say the rest in words', () => {
    const ways = [
      { words: 'take edge stones', stones: { s4: { size: 'edge', count: 2 } } },
      { words: 'move the visit', stones: {} },
    ];
    const text = shown(note({ trouble: ['Two are missing.'], ways }));
    expect(text.match(/<button/g)).toHaveLength(1);
    expect(text).toMatch(/<button[^>]*>take edge stones/);
    expect(text).toContain('<li>move the visit</li>');
  });
});
