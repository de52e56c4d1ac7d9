import { describe, expect, it } from 'vitest';
import { sizeAmong } from './size-among';

describe('marks in a row', () => {
  it('are as large as is best while there are few', () => {
    expect(sizeAmong(0, 14)).toBe(14);
    expect(sizeAmong(17, 14)).toBe(14);
  });

  it('leave each other room where there are many, and can still be seen', () => {
    expect(sizeAmong(60, 14)).toBe(4);
    expect(60 * sizeAmong(60, 14)).toBeLessThanOrEqual(240);
    expect(sizeAmong(1000, 14)).toBe(3);
  });
});
