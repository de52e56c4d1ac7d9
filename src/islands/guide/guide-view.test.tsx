import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { guide } from '../../catalogue/guide/guide.data';
import { pack } from '../../ui/frame/packed';
import { GuideIsland } from './GuideView';

const html = renderToStaticMarkup(
  <GuideIsland packed={pack({ chapters: guide, pictures: { day: '/pictures/day.png' } })} />,
);

describe('the guide', () => {
  it('has every chapter, and a way to each from the list of them', () => {
    for (const { id, title } of guide) {
      expect(html, title).toContain(`<section id="${id}"`);
      expect(html, title).toContain(`href="#${id}"`);
    }
  });

  it('says under each chapter what to do when it does not go as told', () => {
    const withTrouble = guide.filter(({ trouble }) => trouble && trouble.length > 0);
    expect(withTrouble.length).toBeGreaterThan(guide.length / 2);
    expect(html.match(/<dl>/g)).toHaveLength(withTrouble.length);
  });

  it('shows the pictures that there are, each with words for whoever does not see it', () => {
    const pictures = html.match(/<img [^>]*>/g) ?? [];
    expect(pictures).toHaveLength(guide.filter(({ picture }) => picture === 'day').length);
    for (const picture of pictures) expect(picture).toMatch(/alt="[^"]+"/);
  });

  it('names no chapter twice', () => {
    expect(new Set(guide.map(({ id }) => id)).size).toBe(guide.length);
  });
});
