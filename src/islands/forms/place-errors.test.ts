import { describe, expect, it } from 'vitest';
import { RequestError } from '../api';
import { typedNumber } from './numbers';
import { placeErrors } from './place-errors';

const refused = (...errors: readonly (readonly [path: string, message: string])[]) =>
  new RequestError(400, {
    type: '/problems/fields',
    title: 'Something needs attention.',
    status: 400,
    errors: errors.map(([path, message]) => ({ path, message })),
  });

describe('refusals of the house in a form', () => {
  it('stand at the field of their path', () => {
    expect(placeErrors(refused(['lot', 'too long']), ['lot', 'note'])).toEqual({
      atFields: [['lot', 'too long']],
      beyond: undefined,
    });
  });

  it('stand at the field that holds what they are about, however deep', () => {
    const { atFields } = placeErrors(refused(['hours.3.0', 'no time of day']), ['name', 'hours']);
    expect(atFields).toEqual([['hours', 'no time of day']]);
  });

  it('prefer the deeper of two fields', () => {
    const { atFields } = placeErrors(refused(['likes.sides', 'too long']), ['likes', 'likes.sides']);
    expect(atFields).toEqual([['likes.sides', 'too long']]);
  });

  it('find a field that has another name here', () => {
    const { atFields } = placeErrors(refused(['costCents', 'must be 0 or more']), ['cost'], {
      houseNames: { costCents: 'cost' },
    });
    expect(atFields).toEqual([['cost', 'must be 0 or more']]);
  });

  it('find a field that lies deeper in what is sent', () => {
    const { atFields } = placeErrors(refused(['value.repetitions.max', 'less than the least']), ['repetitions.max'], {
      under: 'value',
    });
    expect(atFields).toEqual([['repetitions.max', 'less than the least']]);
  });

  it('take one message for a field: the first', () => {
    const { atFields } = placeErrors(refused(['lot', 'one'], ['lot', 'two']), ['lot']);
    expect(atFields).toEqual([['lot', 'one']]);
  });

  it('are never lost: what belongs to no field stands beyond them', () => {
    const { atFields, beyond } = placeErrors(refused(['lot', 'one'], ['clientId', 'unknown client']), ['lot']);
    expect(atFields).toEqual([['lot', 'one']]);
    expect(beyond).toBe('unknown client');
  });

  it('without a field say what the whole refusal says', () => {
    const full = new RequestError(507, { type: '/problems/full', title: 'The disk is full.', status: 507 });
    expect(placeErrors(full, ['lot'])).toEqual({ atFields: [], beyond: 'The disk is full.' });
  });

  it('do not take the start of a name for the name', () => {
    expect(placeErrors(refused(['notes', 'what?']), ['note']).beyond).toBe('what?');
  });
});

describe('a number as it is typed', () => {
  it.each([
    ['12', 12],
    [' 12,5 ', 12.5],
    ['0.25', 0.25],
    ['', null],
    ['  ', null],
  ])('“%s” is %s', (text, number) => expect(typedNumber(text)).toBe(number));

  it('that is none is sent as it is, to be refused at its field', () => {
    expect(typedNumber('twelve')).toBeNaN();
  });
});
