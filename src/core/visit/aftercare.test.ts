import { describe, expect, it } from 'vitest';
import { aftercareFor, type AftercareFacts } from './aftercare';

const facts = (change: Partial<AftercareFacts>): AftercareFacts => ({
  ...{ modalities: [], purpose: 'wellness', isAtRisk: false, oil: null, reddened: false },
  ...change,
});

describe('aftercare', () => {
  it('always says what is normal, what is not, and whom to call', () => {
    expect(aftercareFor(facts({}))).toEqual(['rest', 'water', 'normal', 'not-normal', 'call']);
  });

  it('keeps to what was decided for this client, whatever was done', () => {
    expect(aftercareFor(facts({ limits: { noHeat: true, slowRise: true } }))).toEqual(
      expect.arrayContaining(['no-heat', 'get-up-slowly']),
    );
  });

  it('leaves oil on, unless it would burn in the sun', () => {
    const stays = aftercareFor(facts({ modalities: ['aromatherapy'], oil: { staysOn: true, hoursOutOfSun: 0 } }));
    expect(stays).toContain('oil-stays');
    expect(stays).not.toContain('no-sun');
    const burns = aftercareFor(facts({ modalities: ['aromatherapy'], oil: { staysOn: false, hoursOutOfSun: 18 } }));
    expect(burns).toEqual(expect.arrayContaining(['oil-off', 'no-sun']));
    expect(burns).not.toContain('oil-stays');
  });

  it('asks for the stocking and against heat where a limb is swollen or at risk', () => {
    for (const change of [
      { isAtRisk: true },
      { purpose: 'swelling' as const },
      { purpose: 'after-procedure' as const },
    ])
      expect(aftercareFor(facts(change))).toEqual(expect.arrayContaining(['garment', 'no-heat']));
    expect(aftercareFor(facts({ modalities: ['hot-stone'] }))).toContain('no-heat');
    expect(aftercareFor(facts({ modalities: ['hot-stone'] }))).not.toContain('garment');
  });

  it('minds the face, the mouth and the neck when they were worked', () => {
    const said = aftercareFor(facts({ modalities: ['facial-massage', 'facial-intraoral', 'neck-mobilisation'] }));
    expect(said).toEqual(expect.arrayContaining(['skin-alone', 'mouth-tender', 'neck-easy']));
  });
});
