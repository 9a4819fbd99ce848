/** As long as the word or the sign of a currency may be. */
export const CURRENCY_MOST = 8

/** An amount of money with two decimals, and the currency of the house where it has named one. */
export const moneyText = (amount: number, currency: string | undefined): string =>
  currency === undefined ? amount.toFixed(2) : `${amount.toFixed(2)} ${currency}`
