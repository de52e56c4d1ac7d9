import type { Drops } from '../quantities';
import { describe, expect, it } from 'vitest';
import { anatomy } from '../../catalogue/anatomy';
import { shippedLibrary } from '../../catalogue/library/library';
import { oilBook } from '../../catalogue/oils/oils';
import { oilTouches } from '../room/oil-touches';
import { checkBlend } from './check';
import { adult, type OilClient } from './client';

const blend = (drops: Drops, client: OilClient, area: 'body' | 'face' | 'bath' = 'body', oil = 'lavender') =>
  checkBlend(oilBook, { volumeMl: 30, area, client, parts: [{ oil, drops }], basis: 'max' });

describe('limits of a visit', () => {
  it('bind a body blend that the consultation allows one per cent', () => {
    const held = { ...adult, mostPercent: 1 };
    expect(blend(22, held)).toMatchObject({ withinGuide: false, guide: { maxPercent: 1 } });
    expect(blend(8, held)?.withinGuide).toBe(true);
    expect(blend(22, adult)?.withinGuide).toBe(true);
  });

  it('judge what is mixed for the body by the face, where it comes there too', () => {
    const both = { ...adult, bodyTouchesFace: true };
    const face = blend(17, adult, 'face');
    expect(blend(17, adult)?.withinGuide).toBe(true);
    expect(face?.withinGuide).toBe(false);
    expect(blend(17, both)).toMatchObject({ withinGuide: false, guide: face?.guide });
  });

  it('are less on the face where something was found there', () => {
    const rosy = { ...adult, mostPercentOnFace: 0.5 };
    expect(blend(8, rosy, 'face')?.guide.maxPercent).toBe(0.5);
    expect(blend(8, rosy)?.guide.maxPercent).toBeGreaterThan(0.5);
  });

  it('know from the parts of a visit whether the oil of the body comes to the face', () => {
    const of = (protocol: string, blocks?: string[]) =>
      oilTouches(anatomy, shippedLibrary, [{ protocol, ...(blocks ? { blocks } : {}) }]).bodyTouchesFace;
    expect(of('aroma-whole-body')).toBe(true);
    expect(of('aroma-whole-body', ['back'])).toBe(false);
    expect(of('lifting-facial')).toBe(false);
  });
});

describe('expressed citrus', () => {
  it.each(['bergamot', 'lemon', 'grapefruit', 'lime'])('%s is not held to its sunlight limit in a bath', (oil) => {
    const inBath = blend(20, adult, 'bath', oil);
    expect(inBath?.parts[0]).toMatchObject({ limitPercent: null, shareOfLimit: null });
    expect(inBath?.findings.map(({ code }) => code)).not.toContain('over-oil-limit');
    expect(blend(20, adult, 'body', oil)?.parts[0]?.limitPercent).not.toBeNull();
  });
});
