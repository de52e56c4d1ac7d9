import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { Field, Select, TextArea } from './field/Field';
import { Pebble } from './pebble/Pebble';
import { pebbleOutlines, type PebbleKind, pebbleTone } from './pebbles';
import { SteppingStones } from './stones/SteppingStones';
import { TimeRibbon } from './time-ribbon/TimeRibbon';

const kinds = Object.keys(pebbleOutlines) as PebbleKind[];

describe('a pebble', () => {
  it('has an outline of its own for each kind, so that kind is never colour alone', () => {
    expect(new Set(Object.values(pebbleOutlines)).size).toBe(kinds.length);
    for (const kind of kinds) expect(pebbleTone[kind]).toBeDefined();
  });

  it('has a thicker edge for more pressure and a second line for node clearing', () => {
    const edge = (pressure: 'feather' | 'firm') =>
      Number(/stroke-width="([\d.]+)"/.exec(renderToStaticMarkup(<Pebble kind="drain" pressure={pressure} />))?.[1]);
    expect(edge('firm')).toBeGreaterThan(edge('feather'));
    const lines = (kind: PebbleKind) => renderToStaticMarkup(<Pebble kind={kind} />).match(/<path/g)?.length;
    expect([lines('clear'), lines('close'), lines('drain')]).toEqual([2, 2, 1]);
  });

  it('carries its number and hides from readers, who get the words beside it', () => {
    const html = renderToStaticMarkup(<Pebble kind="clear" number={4} state="fault" />);
    expect(html).toContain('>4<');
    expect(html).toContain('aria-hidden="true"');
    expect(html).toContain('data-tone="brick"');
  });
});

describe('a field', () => {
  it('belongs to its label and says its error where it is', () => {
    const html = renderToStaticMarkup(<Field label="Minutes" error="A visit lasts 1 to 480 minutes." />);
    const id = /for="([^"]+)"/.exec(html)?.[1];
    expect(html).toContain(`id="${id}"`);
    expect(html).toContain('aria-invalid="true"');
    expect(html).toContain(`aria-describedby="${id}-help"`);
    expect(html).toContain('role="alert"');
  });

  it('shows a hint only while there is no error', () => {
    expect(renderToStaticMarkup(<TextArea label="Note" hint="For the record." />)).toContain('For the record.');
    expect(renderToStaticMarkup(<TextArea label="Note" hint="For the record." error="Too long." />)).not.toContain(
      'For the record.',
    );
    expect(renderToStaticMarkup(<Field label="Name" />)).not.toContain('aria-describedby');
  });

  it('also holds a choice from a list', () => {
    const html = renderToStaticMarkup(
      <Select label="With" defaultValue="2">
        <option value="1">Ida</option>
        <option value="2">Bo</option>
      </Select>,
    );
    expect(html).toContain('<option value="2" selected="">Bo</option>');
  });
});

describe('stepping stones', () => {
  it('say where one is, what is done, and do not lead to what is closed', () => {
    const html = renderToStaticMarkup(
      <SteppingStones
        stones={[
          { name: 'Ask', href: '/a', state: 'done' },
          { name: 'Plan', href: '/p', state: 'here' },
          { name: 'Table', href: '/t', state: 'ahead', isClosed: true },
        ]}
      />,
    );
    expect(html).toContain('aria-current="step"');
    expect(html).toContain(', done');
    expect(html).not.toContain('href="/t"');
    expect(html).toContain('aria-disabled="true"');
  });
});

describe('the ribbon of time', () => {
  const beads = [
    { id: 's1', kind: 'clear', seconds: 30, title: 'Armpit', phase: 'Open' },
    { id: 's2', kind: 'drain', seconds: 300, title: 'Thigh', phase: 'Drain' },
    { id: 's3', kind: 'drain', seconds: 270, title: 'Knee', phase: 'Drain' },
  ] as const;

  it('gives each step its share, joins phases and shows what is left', () => {
    const html = renderToStaticMarkup(<TimeRibbon beads={beads} budgetSeconds={1200} selected="s2" />);
    expect(html).toContain('10:00 / 20:00');
    expect(html).toContain('flex-grow:300');
    expect(html).toContain('flex-grow:570');
    expect(html).toContain('flex-grow:600');
    expect(html).toContain('to spare');
    expect(html.match(/data-selected="true"/g)).toHaveLength(1);
  });

  it('marks a total beyond the visit', () => {
    const html = renderToStaticMarkup(<TimeRibbon beads={beads} budgetSeconds={300} />);
    expect(html).toContain('data-over="true"');
    expect(html).not.toContain('to spare');
  });
});
