/** Figures as they are shown. A probability is never shown as certain: evidence is never complete. */

export function percentText(share: number): string {
  if (share > 0 && share < 0.01) return '<1 %';
  if (share > 0.99) return '>99 %';
  return `${Math.round(share * 100)} %`;
}

/** How far a piece of evidence speaks for something, in words. `bits`: the logarithm to base 2 of how many times likelier it is with it than without. */
export function weightText(bits: number): string {
  const times = 2 ** Math.abs(bits);
  if (times < 1.15) return 'says little';
  const many =
    times > 1000 ? 'over 1000' : times < 9.95 ? `${Number(times.toFixed(1))}` : `${Math.round(times)}`;
  return `${many} times ${bits > 0 ? 'for' : 'against'}`;
}

/** A solved figure as finely as a meter shows it: two that differ by less are one and the same to anybody. */
export function asMetered(value: number, step: number): number {
  return Number((Math.round(value / step) * step).toFixed(6));
}

export function voltsText(volts: number | null): string {
  return volts === null ? '–' : `${volts.toFixed(1)} V`;
}

/** `1 piece`, `3 pieces`. */
export function quantityText(quantity: number, unit: string): string {
  return `${quantity} ${unit}${quantity === 1 ? '' : 's'}`;
}

const MONTHS = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December'
];

/** `MM-DD` as `5 March`. */
export function dayText(day: string): string {
  const [month, date] = day.split('-').map(Number);
  return `${date} ${MONTHS[(month ?? 1) - 1] ?? ''}`;
}
