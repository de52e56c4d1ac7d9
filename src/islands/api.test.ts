import { describe, expect, it } from 'vitest';
import { pathOf } from './api';

describe('an address', () => {
  it('has its names filled in, whatever stands in them', () => {
    expect(pathOf('/api/clients/{id}/files/{key}', { id: 3, key: 7 })).toBe('/api/clients/3/files/7');
    expect(pathOf('/api/imports/{job}', { job: 'a/b c' })).toBe('/api/imports/a%2Fb%20c');
  });

  it('asks behind the question mark for what was said, and for nothing else', () => {
    const asked = { minutes: 45, stones: true, from: '', visit: undefined, therapist: null, following: false };
    expect(pathOf('/api/bookings/proposals', {}, asked)).toBe('/api/bookings/proposals?minutes=45&stones=1');
    expect(pathOf('/api/visits/{id}/booking', { id: 3 }, { following: false })).toBe('/api/visits/3/booking');
    expect(pathOf('/api/visits/{id}/booking', { id: 3 }, { following: true })).toBe(
      '/api/visits/3/booking?following=1',
    );
    expect(pathOf('/api/clients', {}, { q: 'zoë & co' })).toBe('/api/clients?q=zo%C3%AB+%26+co');
  });
});
