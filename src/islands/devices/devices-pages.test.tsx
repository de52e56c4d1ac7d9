import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import type { BathView } from '../../contracts/stone-views';
import { BathReading } from '../bench/BathReading';
import { OutboxPanel } from './OutboxPanel';

const outbox = (due: number, failed: number, client?: string) =>
  renderToStaticMarkup(
    <OutboxPanel first={{ due, failed }} waiting={client === undefined ? undefined : { id: 3, client }} />,
  );

describe('the stand-in for a message service', () => {
  it('says what is due and what went wrong, and that nothing leaves the house', () => {
    const text = outbox(2, 1, 'Zoë Ahorn');
    expect(text).toMatch(/2 due.*1 not delivered/s);
    expect(text).toContain('nothing leaves the house');
    expect(text).toContain('Send the 2 due');
    expect(text).toContain('Let it fail: Zoë Ahorn');
  });

  it('has nothing to send and nobody to fail where nothing waits', () => {
    const text = outbox(0, 0);
    expect(text).toContain('nothing is due');
    expect(text).toContain('disabled');
    expect(text).not.toContain('Let it fail');
  });
});

describe('the bath beside the tray', () => {
  const bath = {
    reading: { state: 'steady', bathC: 48.2, perMinuteC: 0.4, words: 'Steady.' },
    device: { isOn: true, setC: 50, waterC: 48.2, stones: 0, fault: 'none' },
  } as unknown as BathView;
  const shown = (change: object = {}, isLost = false) =>
    renderToStaticMarkup(<BathReading bath={{ ...bath, ...change }} isLost={isLost} wantedC={48 as never} />);

  it('tells what its thermometer says, and what is wanted', () => {
    expect(shown()).toMatch(/48\.2°.*set to 50.*48.*rising 0\.4/is);
    expect(shown()).not.toContain('data-bad');
  });

  it('can only be looked at: whoever works with it has nothing to drive there', () => {
    expect(shown()).not.toContain('<button');
  });

  it('shows no number that is not known', () => {
    expect(shown({}, true)).toContain('–');
    expect(shown({}, true)).toContain('data-bad');
    expect(shown({ reading: { ...bath.reading, state: 'too-hot' } })).toContain('data-bad');
  });
});
