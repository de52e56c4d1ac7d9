import { z } from 'zod';

/** What is said of a field where its schema has no words of its own: what it should be, and what to do. */

const kinds: Readonly<Record<string, string>> = {
  string: 'as text',
  number: 'as a number',
  int: 'as a whole number',
  boolean: 'as true or false',
  array: 'as a list',
  tuple: 'as a list',
  object: 'as an object with its fields',
  record: 'as an object, a value for each name',
  date: 'as a date',
  null: 'as null',
};
const mostChoices = 12;

type Issue = Parameters<NonNullable<z.core.$ZodConfig['customError']>>[0];

/** @returns undefined for what zod says well enough by itself */
export function plainError(issue: Issue): string | undefined {
  switch (issue.code) {
    case 'invalid_type':
      return issue.input === undefined
        ? `This is missing: give it ${kinds[issue.expected] ?? `as ${issue.expected}`}.`
        : `Give this ${kinds[issue.expected] ?? `as ${issue.expected}`}.`;
    case 'invalid_value':
      return choices(issue.values.map(String));
    case 'too_small':
      return least(issue);
    case 'too_big':
      return most(issue);
    case 'unrecognized_keys':
      return `There is no field ${issue.keys.map((key) => `“${key}”`).join(', ')} here: take it out.`;
    case 'not_multiple_of':
      return `Give a multiple of ${issue.divisor}.`;
    case 'invalid_union':
      return 'This fits none of the forms that it may have: they stand in /api/openapi.json.';
    default:
      return undefined;
  }
}

const choices = (values: readonly string[]): string =>
  values.length === 1
    ? `This can only be ${values[0]}.`
    : `Choose one of ${values.slice(0, mostChoices).join(', ')}${values.length > mostChoices ? ` and ${values.length - mostChoices} more` : ''}.`;

const least = ({ origin, minimum, inclusive }: Extract<Issue, { code: 'too_small' }>): string => {
  if (origin === 'string') return minimum === 1 ? 'Write something here.' : `Write at least ${minimum} characters.`;
  if (origin === 'array' || origin === 'set')
    return minimum === 1 ? 'Give at least one.' : `Give at least ${minimum} of these.`;
  return inclusive === false ? `Give more than ${minimum}.` : `Give ${minimum} or more.`;
};

const most = ({ origin, maximum, inclusive }: Extract<Issue, { code: 'too_big' }>): string => {
  if (origin === 'string') return `Keep this within ${maximum} characters.`;
  if (origin === 'array' || origin === 'set') return `Give at most ${maximum} of these.`;
  return inclusive === false ? `Give less than ${maximum}.` : `Give ${maximum} or less.`;
};

/** From here on every schema without words of its own speaks so. */
export function speakPlainly(): void {
  z.config({ customError: plainError });
}
