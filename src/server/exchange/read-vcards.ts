import ICAL from 'ical.js';
import { decode } from 'libqp';
import { nobodyRead, type PersonRead } from '../../core/exchange/people-rows';
import { readDate } from '../../core/calendar/read-date';
import { exchangeAnswers } from './exchange.answers';

export type CardResult =
  | { readonly ok: true; readonly line: number; readonly person: PersonRead }
  /** @param line of the file, from 1, on which the card begins */
  | { readonly ok: false; readonly line: number; readonly message: string };

/** Whether a text is vCards rather than a table. */
export const isVCards = (text: string): boolean => /^\uFEFF?\s*BEGIN:VCARD\s*$/im.test(text.slice(0, 2000));

/**
 * The people of a file of vCards (versions 2.1, 3.0 and 4.0), one after the other. A card that cannot be read is told by
 * its line and leaves the others alone; what a record has no place for (pictures, offices, keys) is left aside.
 */
export function* readVCards(text: string): Generator<CardResult> {
  let card: string[] | undefined;
  let [line, begun] = [0, 0];
  for (const raw of linesOf(text)) {
    line += 1;
    const mark = raw.trim().toUpperCase();
    if (mark === 'BEGIN:VCARD') {
      if (card) yield { ok: false, line: begun, message: exchangeAnswers.theCardHasNoEnd };
      [card, begun] = [[], line];
    }
    card?.push(raw);
    if (mark !== 'END:VCARD' || !card) continue;
    yield { line: begun, ...personOf(card) };
    card = undefined;
  }
  if (card) yield { ok: false, line: begun, message: exchangeAnswers.theCardHasNoEnd };
}

/** Line by line, without a list of all of them. */
function* linesOf(text: string): Generator<string> {
  const ends = /\r\n|\n|\r/g;
  let from = 0;
  for (let end = ends.exec(text); end; end = ends.exec(text)) {
    yield text.slice(from, end.index).replace(/^\uFEFF/, '');
    from = ends.lastIndex;
  }
  yield text.slice(from).replace(/^\uFEFF/, '');
}

type Read = { readonly ok: true; readonly person: PersonRead } | { readonly ok: false; readonly message: string };

function personOf(lines: readonly string[]): Read {
  try {
    const isOld = lines.some((line) => /^VERSION:2\.1\s*$/i.test(line));
    const card = new ICAL.Component(ICAL.parse((isOld ? modern(lines) : lines).join('\r\n')) as unknown[]);
    return { ok: true, person: read(card) };
  } catch (error) {
    // The library ends its sentence with the line in question.
    const line = /["']([^"']+)["']$/.exec(error instanceof Error ? error.message : '')?.[1] ?? '';
    return { ok: false, message: exchangeAnswers.theCardCannotBeReadAt(line.slice(0, 60)) };
  }
}

function read(card: ICAL.Component): PersonRead {
  const one = (name: string) => textOf(card.getFirstProperty(name));
  const [family = '', given = '', second = ''] = partsOf(card.getFirstProperty('n'));
  const [, extra = '', street = '', town = '', region = '', postcode = '', country = ''] = partsOf(
    preferred(card, 'adr'),
  );
  const born = (one('bday') ?? '').replace(/T.*$/, '');
  return {
    ...nobodyRead,
    name: one('fn') ?? [given, second, family].filter(Boolean).join(' '),
    // Some write a birthday without its year: that is no date.
    bornOn: readDate(born, 'year-month-day') ?? null,
    phone: (textOf(preferred(card, 'tel')) ?? '').replace(/^tel:/i, ''),
    email: (textOf(preferred(card, 'email')) ?? '').replace(/^mailto:/i, ''),
    address: [street, extra, [postcode, town].filter(Boolean).join(' '), region, country].filter(Boolean).join(', '),
    language: (textOf(preferred(card, 'lang')) ?? '').toLowerCase().slice(0, 2),
    note: card
      .getAllProperties('note')
      .map((note) => textOf(note) ?? '')
      .filter(Boolean)
      .join('\n'),
  };
}

/** The one that its person prefers, else a mobile one, else the first. */
function preferred(card: ICAL.Component, name: string): ICAL.Property | undefined {
  const rank = (property: ICAL.Property) => {
    const types = [property.getParameter('type') ?? []].flat().map((type) => type.toLowerCase());
    if (property.getParameter('pref') || types.includes('pref')) return 0;
    return types.includes('cell') ? 1 : 2;
  };
  return card.getAllProperties(name).toSorted((a, b) => rank(a) - rank(b))[0];
}

const textOf = (property: ICAL.Property | null | undefined): string | undefined =>
  property ? String(property.getFirstValue()).trim() || undefined : undefined;

function partsOf(property: ICAL.Property | null | undefined): readonly string[] {
  const value: unknown = property?.getFirstValue() ?? [];
  return (Array.isArray(value) ? value : [value]).map((part) => String(part).trim());
}

/** Version 2.1 writes types bare, and other letters than ASCII as `=C3=AB`. */
function modern(lines: readonly string[]): readonly string[] {
  const whole: string[] = [];
  for (const line of lines) {
    const before = whole.at(-1);
    const goesOn = before !== undefined && isQuoted(before) && before.endsWith('=');
    if (goesOn) whole[whole.length - 1] = before.slice(0, -1) + line;
    else whole.push(line);
  }
  return whole.map((line) => {
    const colon = line.indexOf(':');
    if (colon < 0) return line;
    const [name = '', ...parameters] = line.slice(0, colon).split(';');
    const kept = parameters
      .filter((parameter) => !/^(ENCODING|CHARSET)=|^QUOTED-PRINTABLE$/i.test(parameter))
      .map((parameter) => (parameter.includes('=') ? parameter : `TYPE=${parameter}`));
    const value = line.slice(colon + 1);
    return `${[name, ...kept].join(';')}:${isQuoted(line) ? plainOf(value, parameters) : value}`;
  });
}

const isQuoted = (line: string) => /^[^:]*;(ENCODING=)?QUOTED-PRINTABLE[;:]/i.test(line);

function plainOf(value: string, parameters: readonly string[]): string {
  const charset = parameters.map((parameter) => /^CHARSET=(.+)$/i.exec(parameter)?.[1]).find(Boolean) ?? 'utf-8';
  return new TextDecoder(charset).decode(decode(value)).replace(/\r\n|\n|\r/g, '\\n');
}
