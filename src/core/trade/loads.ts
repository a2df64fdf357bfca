/**
 * What coils and transformers of the 24 V class draw and give. Voltages are RMS; VA are holding figures at 24 V.
 */
import type { LoadId } from './vocabulary';

export const NOMINAL_VOLTS = 24;

/** A kind of coil: what it draws, how much of that is in phase, and what it takes to pull it in. */
export interface CoilFacts {
  /** Holding VA at 24 V. */
  readonly va: number;
  /** Share of the VA that is in phase with the voltage: 1 for a heater, about a half for a core with an air gap closed. Usual sheets. */
  readonly powerFactor: number;
  /** How many times its holding current it draws while its armature is open: as a rule, and between which two. */
  readonly inrush: number;
  readonly inrushRange: readonly [least: number, most: number];
}

/**
 * The coils of the 24 V class, by usual nameplates; power factors from the sheets of usual coils. Inrush: 4 to 5 times for contactors, 2 to 4.5
 * for relays in general; an accessory's relay may be any of these.
 */
export const COILS = {
  gasValve: { va: 10, powerFactor: 0.8, inrush: 1.5, inrushRange: [1.2, 2] },
  fanRelay: { va: 4, powerFactor: 0.65, inrush: 2, inrushRange: [2, 3] },
  contactor: { va: 7.5, powerFactor: 0.45, inrush: 4.5, inrushRange: [4, 5] },
  reversingValve: { va: 5, powerFactor: 0.55, inrush: 2.5, inrushRange: [2, 3.5] },
  /** Heated by a small resistor: no moving core. */
  sequencer: { va: 6, powerFactor: 1, inrush: 1, inrushRange: [1, 1] },
  boilerRelay: { va: 3, powerFactor: 0.65, inrush: 2, inrushRange: [2, 3] },
  zoneValve: { va: 7.5, powerFactor: 0.9, inrush: 1.2, inrushRange: [1, 1.5] },
  humidifierValve: { va: 12, powerFactor: 0.6, inrush: 2, inrushRange: [1.5, 2.5] },
  /** A dehumidifier's or a ventilator's relay, as a fan relay. */
  accessoryRelay: { va: 4, powerFactor: 0.65, inrush: 2, inrushRange: [2, 4.5] },
  lockOutRelay: { va: 3, powerFactor: 0.65, inrush: 2, inrushRange: [2, 3] }
} as const satisfies Record<string, CoilFacts>;

/** A coil is sure to pull in at this voltage and sure to let go below the other. */
export const PULL_IN_VOLTS = 18;
export const DROP_OUT_VOLTS = 10;

/** The magnitude of a coil's impedance: 24 V squared over its VA. */
export function coilOhms(va: number): number {
  return (NOMINAL_VOLTS * NOMINAL_VOLTS) / va;
}

/** The half-wave sensing relay of adapters and splitters: about 1 kilo-ohm beside 100 microfarad; it answers to smoothed DC. */
export const SENSE = { ohms: 1000, farads: 100e-6, pullIn: 18, dropOut: 8 } as const;
/** A silicon diode as a drop and a slope, fitted between 20 mA and 0.5 A. */
export const DIODE = { drop: 0.7, ohms: 0.1 } as const;
/** Mains frequency, hertz: it only sets the ripple of smoothed relays. */
export const MAINS_HERTZ = 60;

/** Control transformer without load, volts RMS; at its rated VA it gives 24 V. */
export const OPEN_CIRCUIT_VOLTS = 27.5;

/** Series resistance that brings 27.5 V down to 24 V at rated load: 2.1 ohm for 40 VA. */
export function transformerOhms(va: number): number {
  return (OPEN_CIRCUIT_VOLTS - NOMINAL_VOLTS) / (va / NOMINAL_VOLTS);
}

/** Mains where the 24 V class is at home, volts: what the other side of a control transformer is made for. */
export const MAINS_VOLTS = 120;
/** What a control transformer draws with nothing on it, as a share of its rating: 10 to 20 % by usual sheets. */
export const MAGNETISING_SHARE = 0.15;

export const USUAL_TRANSFORMER_VA = 40;
/** The smallest that control transformers are made: what one may be whose plate nobody has read. */
export const LEAST_TRANSFORMER_VA = 20;
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
  dehumidifier: 'dehumidifier',
  ventilator: 'ventilator',
  thermostat: 'thermostat'
};
