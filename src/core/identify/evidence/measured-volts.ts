import { ref } from '../../findings/refs';
import type { Evidence, EvidenceValue } from '../types';

const values: EvidenceValue[] = [
  { value: '24v', label: '22 to 30 V', sentence: 'The meter reads 22 to 30 VAC: the 24 V class.' },
  { value: 'line', label: 'above 50 V', sentence: 'The meter reads more than 50 V: mains.' },
  {
    value: 'millivolt',
    label: 'under 1 V',
    sentence: 'The meter reads under 1 V: no 24 V supply, or a millivolt system.'
  },
  {
    value: 'between',
    label: 'something between',
    sentence: 'The meter reads a voltage that belongs to no class.'
  }
];

/**
 * Volts AC between R and C, or across R and W with the call open, sorted into the classes of the trade. About 1 to 18 V and 32 to 50 V belong
 * to none.
 */
export function voltageBand(volts: number): string {
  const size = Math.abs(volts);
  if (size > 50) return 'line';
  if (size >= 18 && size <= 32) return '24v';
  return size < 1 ? 'millivolt' : 'between';
}

/** The reading that settles the voltage class, whatever else is believed. */
export const measuredVolts: Evidence = {
  id: 'measured-volts',
  kind: 'measured',
  ask: 'What does a meter read between R and C, or R and W with nothing called?',
  how: 'Meter on AC volts, 200 V range or more, one hand, power on for this one reading only. Thick conductors: do not open them, leave it to a licensed person.',
  effort: 'meter',
  source: 'Voltage classes of the trade: 22 to 30 VAC, under 1 V, above 50 V.',
  values,
  likelihood: {
    furnace: [0.99, 0, 0.005, 0.005],
    'furnace-ac': [0.99, 0, 0.005, 0.005],
    'electric-furnace': [0.99, 0, 0.005, 0.005],
    'heat-pump': [0.99, 0, 0.005, 0.005],
    'dual-fuel': [0.99, 0, 0.005, 0.005],
    boiler: [0.98, 0, 0.01, 0.01],
    steam: [0.98, 0, 0.01, 0.01],
    'boiler-plus-ac': [0.99, 0, 0.005, 0.005],
    'cooling-only': [0.99, 0, 0.005, 0.005],
    'contact-heater': [0.65, 0.08, 0.12, 0.15],
    communicating: [0.85, 0, 0.05, 0.1],
    'line-voltage': [0, 0.985, 0.005, 0.01],
    millivolt: [0, 0, 0.98, 0.02],
    'mains-hydronic': [0, 0.985, 0.005, 0.01]
  },
  read: ({ thermostat }) => {
    const volts = thermostat.observed['measured-volts'];
    // Between the classes a reading settles nothing, for or against any of them.
    if (typeof volts !== 'number' || voltageBand(volts) === 'between') return null;
    return { value: voltageBand(volts), because: [ref.observation('measured-volts')] };
  }
};
