import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import type { MeView } from '../../contracts/people-views';
import { Masthead } from './Masthead';

const me = { id: 1, name: 'Ines Hollen', initials: 'IH', title: 'Therapist', hasPin: true, people: [] };
const head = (role: MeView['role'], place: Parameters<typeof Masthead>[0]['place'] = 'day') =>
  renderToStaticMarkup(<Masthead place={place} me={{ ...me, role } as MeView} />);
const placesOf = (html: string) =>
  [...(/<nav.*?<\/nav>/s.exec(html)?.[0] ?? '').matchAll(/href="([^"]+)"/g)].map(([, to]) => to);

describe('the head of every view', () => {
  it('leads each role where it may go, and nowhere else', () => {
    expect(placesOf(head('owner'))).toEqual(['/', '/clients', '/bench/oils', '/library', '/practice', '/house']);
    expect(placesOf(head('therapist'))).toEqual(['/', '/clients', '/bench/oils', '/library', '/practice']);
    expect(placesOf(head('assistant'))).toEqual(['/', '/clients', '/practice']);
  });

  it('says where one is', () => {
    for (const [place, to] of [
      ['day', '/'],
      ['library', '/library'],
      ['house', '/house'],
    ] as const) {
      const current = /<a href="([^"]+)" aria-current="page"/.exec(head('owner', place))?.[1];
      expect(current).toBe(to);
    }
    expect(head('owner', 'guide')).not.toContain('aria-current');
  });

  it('begins with a way past itself, and says who is signed in', () => {
    const html = head('therapist');
    expect(html.indexOf('href="#main"')).toBeLessThan(html.indexOf('<nav'));
    expect(html).toContain('IH: Ines Hollen is signed in. Open the menu');
    expect(html).toContain('aria-haspopup="menu"');
  });
});
