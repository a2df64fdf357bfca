/**
 * What coils and transformers of the 24 V class draw and give. Voltages are RMS; VA are holding figures at 24 V.
 */
import type { LoadId } from './vocabulary';

export const NOMINAL_VOLTS = 24;

/** VA at 24 V of the coil that stands for each call at the equipment. */
export const COIL_VA = {
  gasValve: 10,
  fanRelay: 4,
  contactor: 7.5,
  reversingValve: 5,
  sequencer: 6,
  boilerRelay: 3
} as const;

/** A coil is sure to pull in at this voltage and sure to let go below the other. */
export const PULL_IN_VOLTS = 18;
export const DROP_OUT_VOLTS = 10;

/** A coil as a resistance: 24 V squared over its VA. Pure resistance is the pessimistic case for voltage drop. */
export function coilOhms(va: number): number {
  return (NOMINAL_VOLTS * NOMINAL_VOLTS) / va;
}

/** Control transformer without load, volts RMS; at its rated VA it gives 24 V. */
export const OPEN_CIRCUIT_VOLTS = 27.5;

/** Series resistance that brings 27.5 V down to 24 V at rated load: 2.1 ohm for 40 VA. */
export function transformerOhms(va: number): number {
  return (OPEN_CIRCUIT_VOLTS - NOMINAL_VOLTS) / (va / NOMINAL_VOLTS);
}

export const USUAL_TRANSFORMER_VA = 40;
export const USUAL_FUSE_AMPS = 3;

/** A blade fuse opens for certain, though slowly, above 1.35 times its rating. */
export const FUSE_OPENS_AT = 1.35;

/** What a connected thermostat wants at its own terminals when its sheet does not say. */
export const USUAL_WINDOW: { readonly min: number; readonly max: number } = { min: 18, max: 30 };

/** Contact, link or terminal joint: a few milliohms, never quite nothing. */
export const CONTACT_OHMS = 0.005;

export const LOAD_NAMES: Readonly<Record<LoadId, string>> = {
  burner: 'burner',
  burner2: 'burner, second stage',
  blower: 'blower',
  compressor: 'compressor',
  compressor2: 'compressor, second stage',
  'reversing-valve': 'reversing valve',
  strips: 'heating strips',
  circulator: 'circulator pump',
  'zone-valve': 'zone valve',
  boiler: 'boiler',
  pump: 'pump',
  humidifier: 'humidifier',
  thermostat: 'thermostat'
};
