const accented = new Map([...'aeiouyAEIOUYcn'].map((letter, i) => [letter, [...'åéîöüýÅÉÎÖÜÝçñ'][i] ?? letter]));

/** A sentence in no language: longer by a third, every vowel with an accent, between brackets. */
export const pseudoText = (text: string): string =>
  `⟦${[...text].map((letter) => accented.get(letter) ?? letter).join('')}${'~'.repeat(Math.ceil(text.length / 3))}⟧`;

/** A whole table of words turned into it, sentences that are made from values too. */
export function pseudo<T>(table: T): T {
  const turn = (value: unknown): unknown => {
    if (typeof value === 'string') return pseudoText(value);
    if (typeof value === 'function')
      return (...args: readonly unknown[]) => turn((value as (...input: readonly unknown[]) => unknown)(...args));
    if (Array.isArray(value)) return value.map(turn);
    if (value && typeof value === 'object')
      return Object.fromEntries(Object.entries(value).map(([key, one]) => [key, turn(one)]));
    return value;
  };
  return turn(table) as T;
}

/** What a page says outside the brackets: sentences that stand in no table. Names and numbers that were handed in are allowed. */
export function untranslated(html: string, allowed: readonly string[] = []): readonly string[] {
  const shown = html
    .replace(/<(style|script|svg)[\s\S]*?<\/\1>/g, ' ')
    .replace(/ (?:aria-label|placeholder|title|alt|aria-description)="([^"]*)"/g, '>$1<');
  return [...shown.matchAll(/>([^<]+)</g)]
    .map(([, text = '']) => allowed.reduce((rest, name) => rest.replaceAll(name, ''), text.replace(/⟦[^⟧]*⟧/g, '')))
    .filter((text) => /\p{L}{2,}/u.test(text.replace(/&[a-z#0-9]+;/g, '')));
}
