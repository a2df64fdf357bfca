/** Words of the survey. */
import { quantityText } from '$core/trade/figures';

/** Hours as a person says them: `40 minutes`, `3 hours`, `2 days`; `more than 4 days` for what never comes. */
export function hoursText(hours: number): string {
  if (hours === Infinity) return 'more than 4 days';
  if (hours < 1) return quantityText(Math.round(hours * 60), 'minute');
  if (hours < 48) return quantityText(hours < 10 ? toTenths(hours) : Math.round(hours), 'hour');
  return quantityText(toTenths(hours / 24), 'day');
}

function toTenths(value: number): number {
  return Math.round(value * 10) / 10;
}
