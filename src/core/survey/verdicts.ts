/** What is said before anything is bought. */
export const BUYING_VERDICTS = ['buy-now', 'buy-and-wait', 'prepare-first', 'do-not-buy'] as const;
export type BuyingVerdict = (typeof BUYING_VERDICTS)[number];

export const BUYING_NAMES: Readonly<Record<BuyingVerdict, string>> = {
  'buy-now': 'Buy now',
  'buy-and-wait': 'Buy, but wait for the day',
  'prepare-first': 'Prepare first',
  'do-not-buy': 'Do not buy'
};
