import sharp from 'sharp';
import { describe, expect, it } from 'vitest';
import type { ChangeView } from '../../contracts/change-views';
import type { RememberedView } from '../../contracts/remembered-views';
import { foundOnPaper } from './found-svg';
import { neckSvg } from './neck-svg';
import { makePdf } from './pdf';
import { type PaperPair, shownOnPaper } from './shown';
import { svgElement, svgText } from './svg';

type At = ChangeView['visits'][number];
const change = (key: string, name: string, at: Partial<At>, more: Partial<ChangeView> = {}): ChangeView => ({
  ...{ key, name, unit: '°', limit: 10 },
  visits: [
    {
      ...{ visitId: 1, day: '4 May 2026', before: null, after: null, change: null },
      ...{ isBeyond: null, isBetter: null, heldPercent: null },
      ...at,
    },
  ],
  ...more,
});
const turned = change('neck-turn-left', 'neck turns left', {
  ...{ before: 45, after: 60, change: 15 },
  ...{ isBeyond: true, isBetter: true },
});
const found = (place: string, presence: number): RememberedView => ({
  ...{ kind: 'tender', place, what: `Tender at ${place}`, words: '4 of 5 visits', presence, wasLastTime: true },
});
const jpeg = () =>
  sharp({ create: { width: 6, height: 8, channels: 3, background: '#caa' } })
    .jpeg()
    .toBuffer();
const pair = async (light?: string): Promise<PaperPair> => ({
  pose: 'front',
  earlier: { day: '4 May 2026', phase: 'before', jpeg: await jpeg() },
  later: { day: '1 Jun 2026', phase: 'before', jpeg: await jpeg() },
  light,
});
const nothing = { changes: [], remembered: [], pairs: [] };
const said = (shown: Parameters<typeof shownOnPaper>[0]) => JSON.stringify(shownOnPaper(shown));

describe('the neck on paper', () => {
  it('is a broken outline before and a filled one after, and the same in words', () => {
    const fan = neckSvg([turned]);
    expect(fan?.svg.match(/stroke-dasharray/g)).toHaveLength(1);
    expect(fan?.svg).toContain('45°, then 60°');
    expect(fan?.alt).toBe('turns: left 45° before, 60° after, right – before, – after');
  });

  it('is not drawn where it was not looked at', () => expect(neckSvg([])).toBeUndefined());
});

describe('what hands found, on paper', () => {
  it('numbers each finding at its place, darker the more present, never by colour alone', () => {
    const { drawings, lines } = foundOnPaper([found('calf-upper.left', 0.9), found('shin-lower.left', 0.2)]);
    expect(lines).toEqual(['Tender at calf-upper.left: 4 of 5 visits', 'Tender at shin-lower.left: 4 of 5 visits']);
    const drawn = drawings.map(({ svg }) => svg).join('');
    expect(drawn).toContain('>1</text>');
    expect(drawn).toContain('>2</text>');
    expect(drawn).toContain('fill-opacity="0.90"');
  });

  it('needs a second drawing for what the first does not show', () => {
    const { drawings } = foundOnPaper([found('occipital.left', 1), found('shin-lower.left', 1)]);
    expect(drawings.length).toBe(2);
    expect(drawings.every(({ alt }) => alt.length > 0)).toBe(true);
  });

  it('says what is nowhere on the figure, without a drawing', () => {
    const { drawings, lines } = foundOnPaper([found('gone.left', 1)]);
    expect(drawings).toEqual([]);
    expect(lines).toHaveLength(1);
  });
});

describe('what is shown on paper', () => {
  it('is nothing of nothing', () => expect(shownOnPaper(nothing)).toEqual([]));

  it('has every change of the newest visit with its verdict, details left out', () => {
    const detail = change('face-left 1', 'ear to chin, left', { before: 1, after: 2, change: 1 }, { isDetail: true });
    const words = said({ ...nothing, changes: [turned, detail] });
    expect(words).toContain('neck turns left');
    expect(words).toContain('better, beyond measuring error');
    expect(words).not.toContain('ear to chin');
  });

  it('tells a reader what each picture shows, and what its light allows', async () => {
    const words = said({ ...nothing, pairs: [await pair('The later one is 20 % darker.')] });
    expect(words).toContain('"alt":"front, 4 May 2026, before"');
    expect(words).toContain('The later one is 20 % darker.');
    expect(words).toContain('because the client agrees');
  });

  it('is tagged: the photographs and the fan are figures', async () => {
    const content = shownOnPaper({
      changes: [turned],
      remembered: [found('calf-upper.left', 1)],
      pairs: [await pair()],
    });
    const pdf = (await makePdf({ content })).toString('latin1');
    expect(pdf.match(/\/S \/Figure/g)?.length).toBe(4);
    expect(pdf).toContain('/Subtype /Image');
  });
});

describe('a drawing as text', () => {
  it('leaves nothing in it that could be read as something else', () => {
    expect(svgText('<b> & "c"', { x: 1 })).toBe('<text font-family="Sans" x="1">&lt;b&gt; &amp; &quot;c&quot;</text>');
    expect(svgElement('path', { d: 'M0 0"', fill: undefined })).toBe('<path d="M0 0&quot;"/>');
  });
});
