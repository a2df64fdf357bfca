/** Minutes and money with their bands, and what is to be bought, in words. */
import type { Band } from '$core/plan/effort';
import type { Part } from '$core/supply/types';
import { quantityText } from '$core/trade/figures';

/** Above this, minutes are said in hours. */
const HOURS_FROM = 100;

function minutes(value: number): string {
  if (value < HOURS_FROM) return `${value}`;
  const halves = Math.round(value / 30) / 2;
  return `${halves} h`;
}

export function minutesText({ low, usual, high }: Band): string {
  if (high < HOURS_FROM) return `about ${usual} minutes (${low} to ${high})`;
  const unit = usual < HOURS_FROM ? ' minutes' : '';
  const from = low < HOURS_FROM ? `${low} min` : minutes(low);
  return `about ${minutes(usual)}${unit} (${from} to ${minutes(high)})`;
}

export function costText({ low, usual, high }: Band): string {
  return usual === 0 ? 'none to buy' : `about $${usual} ($${low} to $${high})`;
}

export function partText({ quantity, unit, name, cost }: Part): string {
  return `${quantityText(quantity, unit)}: ${name}, about $${cost}`;
}

/** Ways between wall and machine, each direction counted. */
export function walksText(walks: number): string {
  return walks === 1 ? 'one walk' : `${walks} walks`;
}
