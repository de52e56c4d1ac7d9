/** Currencies that a house may count in; amounts are kept in hundredths. */
export const currencyIds = ['EUR', 'GBP', 'USD', 'CHF', 'DKK', 'NOK', 'PLN', 'SEK'] as const;
export type CurrencyId = (typeof currencyIds)[number];

/** `€0.48`: an amount with its currency; `digits` behind the point where a drop costs less than a cent. */
export function moneyText(cents: number, currency: CurrencyId, digits = 2): string {
  return new Intl.NumberFormat('en-GB', {
    ...{ style: 'currency', currency, minimumFractionDigits: digits, maximumFractionDigits: digits },
  }).format(cents / 100);
}
