/**
 * The one place where keys of the application are known: views add theirs, the sheet behind `?` is made from what is
 * there, and nothing below an open dialog hears a key. Framework-free; the hooks beside it bind it to views.
 */

/** What one key, or any of several, does. */
export interface Shortcut {
  /** As they stand on the keycaps, and as `capOf` names them: `A`, `Space`, `PgDn`, `↑`, `Ctrl+Z`. Any of them does it. */
  readonly keys: readonly string[];
  /** For the sheet behind `?`; a key without words is not on it. */
  readonly words?: string;
  /** Absent where the control under the focus answers the key itself, or where it means nothing at the moment. */
  readonly act?: ((press: Press) => unknown) | undefined;
}

export interface Manner {
  /** Where something is being written: `never` heard, between `numbers` (letters are free there), or `always`. */
  readonly whileWriting?: 'never' | 'numbers' | 'always';
  /** A key that is held down, or trembles, is one press: for the table, where a press goes on to the next step. */
  readonly isSteady?: boolean;
  /** Of the whole application: a view that uses the key itself comes first, and the sheet lists it last. */
  readonly isEverywhere?: boolean;
  /** Of what covers the rest itself: heard although nothing below is. */
  readonly isOnTop?: boolean;
}

/** What a key press tells; a `KeyboardEvent` is one. */
export interface Press {
  readonly key: string;
  readonly ctrlKey: boolean;
  readonly metaKey: boolean;
  readonly altKey: boolean;
  readonly repeat: boolean;
  readonly timeStamp: number;
  readonly defaultPrevented: boolean;
  readonly target: EventTarget | null;
  preventDefault(): void;
}

/** Presses of one key closer than this are one (ms): a foot that trembles presses twice. */
export const bounceMs = 150;

const caps: Readonly<Record<string, string>> = {
  ' ': 'Space',
  ArrowUp: '↑',
  ArrowDown: '↓',
  ArrowLeft: '←',
  ArrowRight: '→',
  PageUp: 'PgUp',
  PageDown: 'PgDn',
  Escape: 'Esc',
};

/** The name of a press as keycaps have it, `Ctrl+Z`; the command key of some keyboards counts as Ctrl. */
export function capOf({ key, ctrlKey, metaKey, altKey }: Press): string {
  const cap = caps[key] ?? (key.length === 1 ? key.toUpperCase() : key);
  return [...(ctrlKey || metaKey ? ['Ctrl'] : []), ...(altKey ? ['Alt'] : []), cap].join('+');
}

/** Letters of units, as in “34,5 cm” or “13.6 in”. */
const unitLetters = ['C', 'M', 'I', 'N'];

const freeInputs = ['radio', 'checkbox', 'range', 'file', 'button', 'submit'];

/** What is written in where a press fell: nothing, words, or a number, which leaves letters free but for its unit. */
function writingIn(element: HTMLElement | null, cap: string): 'nothing' | 'number' | 'words' {
  if (!element) return 'nothing';
  if (element.tagName === 'TEXTAREA' || element.tagName === 'SELECT') return 'words';
  if (element.tagName !== 'INPUT') return element.isContentEditable ? 'words' : 'nothing';
  const input = element as HTMLInputElement;
  if (freeInputs.includes(input.type)) return 'nothing';
  // `none` is a number's, too: the application's own pad stands in for the device's keyboard.
  if (input.inputMode !== 'decimal' && input.inputMode !== 'none') return 'words';
  // A cell that was only gone to has all its text selected: there, the letters of units are free, too.
  const isBeingTyped = input.value !== '' && input.selectionStart === input.selectionEnd;
  return isBeingTyped && unitLetters.includes(cap) ? 'words' : 'number';
}

/** Whether the control under the focus has a use of its own for the key: a button for Space, a choice for arrows. */
function isOfControl(element: HTMLElement | null, cap: string): boolean {
  if (!element) return false;
  const isInput = element.tagName === 'INPUT';
  const type = isInput ? (element as HTMLInputElement).type : '';
  if (cap === 'Space' && isInput) return true;
  if (cap === 'Space' || cap === 'Enter')
    return /^(BUTTON|A|SUMMARY)$/.test(element.tagName) && element.matches(':focus-visible');
  return '↑↓←→'.includes(cap) && ['radio', 'range'].includes(type);
}

interface View {
  readonly read: () => readonly Shortcut[];
  readonly manner: Manner;
}

export class Keyboard {
  readonly #views = new Set<View>();
  #covers = 0;
  #last = { cap: '', at: -Infinity };

  /**
   * Adds the keys of a view, read anew at each press. Of two views with one key the later added has it.
   * @returns what takes them away again
   */
  add(read: () => readonly Shortcut[], manner: Manner = {}): () => void {
    const view: View = { read, manner };
    this.#views.add(view);
    return () => this.#views.delete(view);
  }

  /** Something lies over the views and has the keys for itself. @returns what lifts it */
  cover(): () => void {
    this.#covers += 1;
    let isLifted = false;
    return () => {
      if (!isLifted) this.#covers -= 1;
      isLifted = true;
    };
  }

  /** What the sheet behind `?` lists, in the order in which presses are offered. */
  listed(): readonly Shortcut[] {
    return this.#inTurn().flatMap(({ read }) => read().filter(({ words }) => words !== undefined));
  }

  /** Does what a press means here. @returns whether it meant anything */
  press(event: Press): boolean {
    if (event.defaultPrevented) return false;
    const cap = capOf(event);
    const target = event.target as HTMLElement | null;
    if (isOfControl(target, cap)) return false;
    for (const { read, manner } of this.#inTurn()) {
      // Under a cover its own keys are heard; under two, none.
      if (this.#covers > 1 || (this.#covers === 1 && !manner.isOnTop)) continue;
      const found = read().find(({ keys, act }) => act && keys.includes(cap));
      if (!found || !isHeard(writingIn(target, cap), manner)) continue;
      event.preventDefault();
      if (!manner.isSteady || this.#isNew(cap, event)) found.act?.(event);
      return true;
    }
    return false;
  }

  /** Views, the latest first; what belongs to the whole application after them. */
  #inTurn(): readonly View[] {
    const latestFirst = [...this.#views].reverse();
    const isEverywhere = ({ manner }: View) => manner.isEverywhere === true;
    return [...latestFirst.filter((view) => !isEverywhere(view)), ...latestFirst.filter(isEverywhere)];
  }

  #isNew(cap: string, { repeat, timeStamp }: Press): boolean {
    if (repeat) return false;
    const isBounce = this.#last.cap === cap && timeStamp - this.#last.at < bounceMs;
    if (!isBounce) this.#last = { cap, at: timeStamp };
    return !isBounce;
  }
}

function isHeard(writing: ReturnType<typeof writingIn>, { whileWriting = 'never' }: Manner): boolean {
  if (writing === 'nothing' || whileWriting === 'always') return true;
  return writing === 'number' && whileWriting === 'numbers';
}

/** That of the page: its islands are several programs, but have one keyboard. */
export const keyboard = new Keyboard();
if (typeof window !== 'undefined') window.addEventListener('keydown', (event) => keyboard.press(event));
