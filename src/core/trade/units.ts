/** Shown units: files and code are metric, people read what they are used to. */
import { METRES_PER_FOOT } from './cable';

export interface Units {
  readonly length: 'm' | 'ft';
  readonly temperature: 'C' | 'F';
}

export type Quantity = 'length' | 'area' | 'small-length' | 'temperature' | 'plain';

const SQUARE_FOOT = METRES_PER_FOOT ** 2;
const MM_PER_INCH = 25.4;

/** The name of the unit in which a quantity is shown; '' for plain numbers. */
export function unitName(quantity: Quantity, units: Units): string {
  const feet = units.length === 'ft';
  switch (quantity) {
    case 'length':
      return feet ? 'ft' : 'm';
    case 'area':
      return feet ? 'ft²' : 'm²';
    case 'small-length':
      return feet ? 'in' : 'mm';
    case 'temperature':
      return units.temperature === 'F' ? '°F' : '°C';
    case 'plain':
      return '';
  }
}

/** From metre, square metre, millimetre or °C to what is shown. */
export function toShown(value: number, quantity: Quantity, units: Units): number {
  const feet = units.length === 'ft';
  switch (quantity) {
    case 'length':
      return feet ? value / METRES_PER_FOOT : value;
    case 'area':
      return feet ? value / SQUARE_FOOT : value;
    case 'small-length':
      return feet ? value / MM_PER_INCH : value;
    case 'temperature':
      return units.temperature === 'F' ? (value * 9) / 5 + 32 : value;
    case 'plain':
      return value;
  }
}

/** The way back. */
export function fromShown(value: number, quantity: Quantity, units: Units): number {
  const feet = units.length === 'ft';
  switch (quantity) {
    case 'length':
      return feet ? value * METRES_PER_FOOT : value;
    case 'area':
      return feet ? value * SQUARE_FOOT : value;
    case 'small-length':
      return feet ? value * MM_PER_INCH : value;
    case 'temperature':
      return units.temperature === 'F' ? ((value - 32) * 5) / 9 : value;
    case 'plain':
      return value;
  }
}

/** `20 °C`, `68 °F`, `15 m`, `49 ft`; digits after the point as asked. */
export function shownText(value: number, quantity: Quantity, units: Units, digits = 0): string {
  return `${toShown(value, quantity, units).toFixed(digits)} ${unitName(quantity, units)}`.trim();
}
