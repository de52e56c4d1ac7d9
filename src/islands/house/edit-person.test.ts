import { describe, expect, it } from 'vitest';
import { hoursOf } from './EditPerson';

const free = { from: '', to: '' };

describe('working hours as they are typed', () => {
  it('stand by the number of the day, Monday first', () => {
    expect(hoursOf([free, { from: '9:00', to: '17:30' }, free])).toEqual({ 2: ['9:00', '17:30'] });
  });

  it('leave out a day without times, which is free', () => {
    expect(hoursOf([free, { from: '  ', to: '' }])).toEqual({});
  });

  it('keep a day that is half typed, for the house to refuse', () => {
    expect(hoursOf([{ from: '9:00', to: '' }])).toEqual({ 1: ['9:00', ''] });
  });

  it('take no spaces around a time', () => {
    expect(hoursOf([{ from: ' 9:00 ', to: ' 12:00' }])).toEqual({ 1: ['9:00', '12:00'] });
  });
});
