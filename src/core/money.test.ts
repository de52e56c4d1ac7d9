import { describe, expect, it } from 'vitest';
import { moneyText } from './money';

describe('what something costs', () => {
  it('is never said without its currency', () => {
    expect(moneyText(48, 'EUR')).toBe('€0.48');
    expect(moneyText(123_456, 'GBP', 0)).toBe('£1,235');
    expect(moneyText(4.25, 'CHF', 3)).toMatch(/^CHF\s0\.043$/);
  });
});
