import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { Codes } from './Codes';
import { Locked } from './Locked';
import { SignIn } from './SignIn';

const nothing = () => undefined;

describe('the page in front of everything', () => {
  const ines = { id: 1, name: 'Ines Hollen', title: 'Therapist' };
  const page = (people: readonly (typeof ines)[], scenario = '') =>
    renderToStaticMarkup(<SignIn house="Haus am Bach" scenario={scenario} people={people} then="/" />);

  it('asks for name and password where people have them', () => {
    const html = page([]);
    expect(html).toContain('Sign in to see the day.');
    expect(html).toMatch(/autoComplete="username"/i);
    expect(html).toMatch(/autoComplete="current-password"/i);
    expect(html).not.toContain('made-up');
  });

  it('lets in by one click in the demo only, and says that it is one', () => {
    const html = page([ines], 'Two rooms above a mill stream.');
    expect(html).toContain('Sign in as Ines Hollen');
    expect(html).toContain('Two rooms above a mill stream.');
    expect(html).toContain('A demo with made-up people');
  });
});

describe('a locked screen', () => {
  it('says whose it is and asks for digits, which it does not show', () => {
    const html = renderToStaticMarkup(<Locked name="Ines Hollen" then="/" />);
    expect(html).toContain('Locked for Ines Hollen');
    expect(html).toMatch(/type="password"[^>]*inputMode="numeric"|inputMode="numeric"[^>]*type="password"/i);
    expect(html).toContain('Everything is as you left it.');
  });
});

describe('codes that are shown once', () => {
  const codes = (list: readonly string[]) =>
    renderToStaticMarkup(<Codes title="Codes" codes={list} whatFor="Each opens once." onDone={nothing} />);

  it('stand one below the other, to be printed or written down', () => {
    const html = codes(['wet-stone-1', 'wet-stone-2']);
    expect(html.match(/<code>/g)).toHaveLength(2);
    expect(html).toContain('They are shown this once.');
    expect(html).toContain('I have written it down');
  });

  it('are spoken of as one where there is one', () => {
    expect(codes(['wet-stone-1'])).toContain('It is shown this once.');
  });
});
