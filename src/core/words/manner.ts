/**
 * How things are written for one reader: spelling, dates, money. Sentences are made once, in British spelling, with days as `5 March` and
 * sums as `$150`; `written` puts them into a reader's manner. Sums are not converted: prices are what the user typed, or the sample ones
 * of the invented catalogue.
 */
export interface Manner {
  readonly spelling: 'american' | 'british';
  /** Language tag (BCP 47) by which dates and figures are written, such as `en-US`. */
  readonly locale: string;
  /** Currency (ISO 4217), such as `USD`. */
  readonly currency: string;
}

export const PLAIN_MANNER: Manner = { spelling: 'british', locale: 'en-GB', currency: 'USD' };

const AMERICAN = ['US', 'PH', 'PR', 'LR'];
const CURRENCIES: readonly (readonly [currency: string, regions: string])[] = [
  ['USD', 'US PR'],
  ['CAD', 'CA'],
  ['GBP', 'GB IM JE GG'],
  ['AUD', 'AU'],
  ['NZD', 'NZ'],
  ['EUR', 'AT BE CY DE EE ES FI FR GR HR IE IT LT LU LV MT NL PT SI SK']
];
export const CURRENCY_CODES = CURRENCIES.map(([currency]) => currency);
export const LOCALES = ['en-US', 'en-GB', 'en-CA', 'en-IE', 'en-AU', 'en-NZ'] as const;

/** The manner that a browser's language asks for; a language that says no country is read as British with dollars. */
export function mannerOf(language: string): Manner {
  const region = /^[a-z]{2,3}(?:-[A-Z][a-z]{3})?-([A-Z]{2})\b/i.exec(language)?.[1]?.toUpperCase();
  if (!region) return PLAIN_MANNER;
  return {
    spelling: AMERICAN.includes(region) ? 'american' : 'british',
    locale: `en-${region}`,
    currency: CURRENCIES.find(([, regions]) => regions.split(' ').includes(region))?.[0] ?? 'USD'
  };
}

/** `$150`, `€0.124`: whole sums where no digits are asked for. */
export function moneyText(sum: number, { locale, currency }: Manner, digits = 0): string {
  const form = { style: 'currency', currency, currencyDisplay: 'narrowSymbol' } as const;
  return new Intl.NumberFormat(locale, {
    ...form,
    minimumFractionDigits: Math.min(digits, 2),
    maximumFractionDigits: digits
  }).format(sum);
}

/** A day, `YYYY-MM-DD`, as `5 March 2026` or `March 5, 2026`; as it stands where it is none. */
export function dateText(day: string, { locale }: Manner): string {
  const date = new Date(`${day}T12:00:00Z`);
  if (Number.isNaN(date.getTime())) return day;
  return new Intl.DateTimeFormat(locale, { dateStyle: 'long', timeZone: 'UTC' }).format(date);
}

/** A moment, ISO 8601, with its time of day in the reader's zone; nothing where it is none. */
export function momentText(iso: string, { locale }: Manner): string {
  const date = new Date(iso);
  if (Number.isNaN(date.getTime())) return '';
  return new Intl.DateTimeFormat(locale, { dateStyle: 'medium', timeStyle: 'short' }).format(date);
}

/** British stem, American stem. */
const SPELLINGS: readonly (readonly [british: string, american: string])[] = [
  ['colour', 'color'],
  ['grey', 'gray'],
  ['kilometre', 'kilometer'],
  ['millimetre', 'millimeter'],
  ['centimetre', 'centimeter'],
  ['metre', 'meter'],
  ['storeys', 'stories'],
  ['storey', 'story'],
  ['draught', 'draft'],
  ['centre', 'center'],
  ['neighbour', 'neighbor'],
  ['catalogue', 'catalog'],
  ['cancelled', 'canceled'],
  ['judgement', 'judgment'],
  ['mould', 'mold'],
  ['licence', 'license'],
  ['labelled', 'labeled'],
  ['aluminium', 'aluminum']
];
const BRITISH = new RegExp(`\\b(${SPELLINGS.map(([stem]) => stem).join('|')})`, 'gi');
const AMERICAN_OF = new Map(SPELLINGS);
const SUM = /\$(\d+(?:\.\d+)?)/g;
const MONTHS = 'January|February|March|April|May|June|July|August|September|October|November|December'.split(
  '|'
);
const DAY = new RegExp(`\\b(\\d{1,2}) (${MONTHS.join('|')})\\b`, 'g');

/** A sentence of the product in the reader's spelling, with sums and days as the reader writes them. */
export function written(text: string, manner: Manner): string {
  const summed =
    manner.currency === 'USD' && manner.locale === 'en-US'
      ? text
      : text.replace(SUM, (_, sum: string) => moneyText(Number(sum), manner, sum.split('.')[1]?.length ?? 0));
  const dated = summed.replace(DAY, (_, day: string, month: string) => {
    const date = new Date(Date.UTC(2024, MONTHS.indexOf(month), Number(day), 12));
    return new Intl.DateTimeFormat(manner.locale, { day: 'numeric', month: 'long', timeZone: 'UTC' }).format(
      date
    );
  });
  return manner.spelling === 'british' ? dated : dated.replace(BRITISH, americanOf);
}

function americanOf(found: string): string {
  // In capitals it is a print, as on the grey wire's terminal of a valve: prints stay as they are.
  if (found === found.toUpperCase()) return found;
  const american = AMERICAN_OF.get(found.toLowerCase()) ?? found;
  return found[0] === found[0]?.toUpperCase()
    ? `${american[0]!.toUpperCase()}${american.slice(1)}`
    : american;
}
