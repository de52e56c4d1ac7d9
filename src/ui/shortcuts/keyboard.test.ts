import { describe, expect, it, vi } from 'vitest';
import { bounceMs, capOf, Keyboard, type Press } from './keyboard';

/** A press on an element of a tag, or on nothing in particular. */
function pressOf(key: string, change: Partial<Press> = {}, on?: Record<string, unknown>): Press & { spent: boolean } {
  const press: Press & { spent: boolean } = {
    ...{ key, ctrlKey: false, metaKey: false, altKey: false, repeat: false, timeStamp: 0, defaultPrevented: false },
    target: on === undefined ? null : ({ matches: () => false, isContentEditable: false, ...on } as never),
    spent: false,
    preventDefault: () => {
      press.spent = true;
    },
    ...change,
  };
  return press;
}

describe('the names of keys', () => {
  it('are those on the keycaps, and say what is pressed together', () => {
    expect(capOf(pressOf(' '))).toBe('Space');
    expect(capOf(pressOf('a'))).toBe('A');
    expect(capOf(pressOf('PageDown'))).toBe('PgDn');
    expect(capOf(pressOf('z', { ctrlKey: true }))).toBe('Ctrl+Z');
    expect(capOf(pressOf('Enter', { metaKey: true }))).toBe('Ctrl+Enter');
    expect(capOf(pressOf('ArrowUp', { altKey: true }))).toBe('Alt+↑');
  });
});

describe('the keyboard of a page', () => {
  it('gives the keys of what covers a view to that alone, and to nobody under a second cover', () => {
    const keys = new Keyboard();
    const [below, above] = [vi.fn(), vi.fn()];
    keys.add(() => [{ keys: ['M'], act: below }]);
    keys.add(() => [{ keys: ['F'], act: above }], { isOnTop: true });
    const lift = keys.cover();
    keys.press(pressOf('m'));
    keys.press(pressOf('f'));
    expect(below).not.toHaveBeenCalled();
    expect(above).toHaveBeenCalledOnce();
    const liftDoor = keys.cover();
    keys.press(pressOf('f'));
    expect(above).toHaveBeenCalledOnce();
    liftDoor();
    lift();
    keys.press(pressOf('m'));
    expect(below).toHaveBeenCalledOnce();
  });

  it('does what the view says and spends the press', () => {
    const keys = new Keyboard();
    const act = vi.fn();
    keys.add(() => [{ keys: ['M'], act }]);
    const press = pressOf('m');
    expect(keys.press(press)).toBe(true);
    expect(press.spent).toBe(true);
    expect(act).toHaveBeenCalledOnce();
  });

  it('leaves a key alone that means nothing, and one that means nothing at the moment', () => {
    const keys = new Keyboard();
    keys.add(() => [{ keys: ['M'], words: 'mend', act: undefined }]);
    const press = pressOf('m');
    expect(keys.press(press)).toBe(false);
    expect(keys.press(pressOf('q'))).toBe(false);
    expect(press.spent).toBe(false);
  });

  it('reads a view anew at each press, and forgets one that is gone', () => {
    const keys = new Keyboard();
    const acts = [vi.fn(), vi.fn()];
    let at = 0;
    const leave = keys.add(() => [{ keys: ['P'], act: acts[at] }]);
    keys.press(pressOf('p'));
    at = 1;
    keys.press(pressOf('p'));
    leave();
    keys.press(pressOf('p'));
    expect(acts.map((act) => act.mock.calls.length)).toEqual([1, 1]);
  });

  it('offers a press to the view before the application, whichever came first', () => {
    const keys = new Keyboard();
    const [view, everywhere] = [vi.fn(), vi.fn()];
    keys.add(() => [{ keys: ['/'], words: 'look here', act: view }]);
    keys.add(() => [{ keys: ['/'], words: 'find a client', act: everywhere }], { isEverywhere: true });
    keys.press(pressOf('/'));
    expect(view).toHaveBeenCalledOnce();
    expect(everywhere).not.toHaveBeenCalled();
    expect(keys.listed().map(({ words }) => words)).toEqual(['look here', 'find a client']);
  });

  it('hears nothing under what lies over it, and everything again when that is lifted, twice or once', () => {
    const keys = new Keyboard();
    const act = vi.fn();
    keys.add(() => [{ keys: ['M'], act }]);
    const [first, second] = [keys.cover(), keys.cover()];
    keys.press(pressOf('m'));
    first();
    first();
    keys.press(pressOf('m'));
    expect(act).not.toHaveBeenCalled();
    second();
    keys.press(pressOf('m'));
    expect(act).toHaveBeenCalledOnce();
  });

  it('lists only keys with words', () => {
    const keys = new Keyboard();
    keys.add(() => [
      { keys: ['↑', '↓'], words: 'up and down' },
      { keys: ['↑'], act: () => undefined },
    ]);
    expect(keys.listed()).toEqual([{ keys: ['↑', '↓'], words: 'up and down' }]);
  });
});

describe('keys while something is written', () => {
  const name = { tagName: 'INPUT', type: 'text', inputMode: 'text' };
  const number = {
    tagName: 'INPUT',
    type: 'text',
    inputMode: 'decimal',
    value: '34',
    selectionStart: 2,
    selectionEnd: 2,
  };

  function heard(key: string, on: Record<string, unknown>, whileWriting?: 'never' | 'numbers' | 'always'): boolean {
    const keys = new Keyboard();
    keys.add(() => [{ keys: ['M', 'A', 'Ctrl+Enter'], act: () => undefined }], whileWriting ? { whileWriting } : {});
    return keys.press(pressOf(key, { ctrlKey: key === 'Enter' }, on));
  }

  it('belong to the words', () => {
    for (const tagName of ['TEXTAREA', 'SELECT']) expect(heard('a', { tagName })).toBe(false);
    expect(heard('a', name)).toBe(false);
    expect(heard('a', { tagName: 'DIV', isContentEditable: true })).toBe(false);
  });

  it('are heard on boxes that are ticked', () => {
    for (const type of ['radio', 'checkbox', 'range']) expect(heard('a', { tagName: 'INPUT', type })).toBe(true);
  });

  it('are free beside a number that is typed on our own pad, too', () => {
    expect(heard('a', { ...number, inputMode: 'none' }, 'numbers')).toBe(true);
  });

  it('are free beside a number where the view says so, but for the letters of its unit', () => {
    expect(heard('a', number)).toBe(false);
    expect(heard('a', number, 'numbers')).toBe(true);
    expect(heard('m', number, 'numbers')).toBe(false);
    expect(heard('m', { ...number, selectionStart: 0 }, 'numbers')).toBe(true);
    expect(heard('a', name, 'numbers')).toBe(false);
  });

  it('that close a view are heard always', () => expect(heard('Enter', name, 'always')).toBe(true));
});

describe('a control under the focus', () => {
  const hearsOn = (key: string, on: Record<string, unknown>) => {
    const keys = new Keyboard();
    keys.add(() => [{ keys: ['Space', 'Enter', '↓'], act: () => undefined }]);
    return keys.press(pressOf(key, {}, on));
  };

  it('keeps its own Space and Enter when it was reached by keyboard, not when it was only touched', () => {
    expect(hearsOn(' ', { tagName: 'BUTTON', matches: () => true })).toBe(false);
    expect(hearsOn('Enter', { tagName: 'A', matches: () => true })).toBe(false);
    expect(hearsOn(' ', { tagName: 'BUTTON' })).toBe(true);
  });

  it('keeps the arrows of a choice and the Space of a box', () => {
    expect(hearsOn('ArrowDown', { tagName: 'INPUT', type: 'radio' })).toBe(false);
    expect(hearsOn(' ', { tagName: 'INPUT', type: 'checkbox' })).toBe(false);
    expect(hearsOn('ArrowDown', { tagName: 'BUTTON', matches: () => true })).toBe(true);
  });

  it('that has answered a press has it alone', () => {
    const keys = new Keyboard();
    keys.add(() => [{ keys: ['↓'], act: () => undefined }]);
    expect(keys.press(pressOf('ArrowDown', { defaultPrevented: true }))).toBe(false);
  });
});

describe('a steady key', () => {
  function pressed(...presses: readonly Partial<Press>[]): number {
    const keys = new Keyboard();
    const act = vi.fn();
    keys.add(() => [{ keys: ['PgDn'], act }], { isSteady: true });
    for (const press of presses) expect(keys.press(pressOf('PageDown', press))).toBe(true);
    return act.mock.calls.length;
  }

  it('counts once while it is held, and once when a foot trembles', () => {
    expect(pressed({}, { repeat: true, timeStamp: 500 }, { repeat: true, timeStamp: 900 })).toBe(1);
    expect(pressed({}, { timeStamp: bounceMs - 1 })).toBe(1);
  });

  it('counts again after a moment', () => expect(pressed({}, { timeStamp: bounceMs })).toBe(2));
});
