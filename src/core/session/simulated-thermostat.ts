/**
 * A thermostat that ships with the application, for trying and learning: invented, and labelled as simulated wherever it shows. It is fed by
 * the volts that the circuit gives it, boots, complains where a real one would, waits its five minutes before a compressor, and joins a
 * simulated network by the signal that was read at the wall. Time is handed in.
 */
import type { CallResult } from '../circuit/simulate';
import { GOOD_DBM, MARGINAL_DBM } from '../survey/signal';
import { LOAD_NAMES } from '../trade/loads';
import type { LoadId } from '../trade/vocabulary';

/** Seconds from power to a screen that answers; usual devices take 10 to 60. */
export const BOOT_SECONDS = 20;
/** Seconds that one with too little gets through before it falls over. */
const FALLS_AFTER_SECONDS = 6;
/** Seconds to join a network that is strong enough. */
const JOIN_SECONDS = 15;
/** After a stop, and after power comes back, a compressor waits so long, seconds. */
export const COMPRESSOR_WAIT_SECONDS = 300;
/** Less than this above the least of its window, volts, and it warns. */
const NARROW_VOLTS = 1;

export interface Feed {
  /** Volts at its electronics with nothing called, and in the call that it is to make; null where it gets none. */
  readonly idleVolts: number | null;
  readonly callVolts: number | null;
  readonly least: number;
  readonly most: number;
  /** Loads that run once it makes the call. */
  readonly runs: readonly LoadId[];
}

export interface Moment {
  /** Seconds since power came. */
  readonly seconds: number;
  /** Seconds since the call was made; null while nothing is called. */
  readonly called: number | null;
  /** Volts of the radio signal, dBm; null where nobody read it. */
  readonly dbm: number | null;
}

export interface Screen {
  readonly phase: 'dark' | 'booting' | 'falls-over' | 'ready' | 'too-much';
  /** What stands on it, a line each. */
  readonly lines: readonly string[];
  readonly network: 'none' | 'joining' | 'joined' | 'weak';
  /** Loads that run now. */
  readonly running: readonly LoadId[];
}

const DARK: Screen = { phase: 'dark', lines: [], network: 'none', running: [] };
const COMPRESSORS: readonly LoadId[] = ['compressor', 'compressor2'];

export function screenAt(feed: Feed, { seconds, called, dbm }: Moment): Screen {
  const volts = called === null ? feed.idleVolts : feed.callVolts;
  if (volts === null || volts < feed.least / 2) return DARK;
  if (volts > feed.most) return { ...DARK, phase: 'too-much', lines: ['Too much voltage', 'Switch off'] };
  if (volts < feed.least) {
    // It charges, starts, pulls its own supply down, and begins again.
    const lit = seconds % (2 * FALLS_AFTER_SECONDS) < FALLS_AFTER_SECONDS;
    return { ...DARK, phase: 'falls-over', lines: lit ? ['Starting …'] : [] };
  }
  if (seconds < BOOT_SECONDS) return { ...DARK, phase: 'booting', lines: ['Starting …'] };
  const wait = Math.ceil(COMPRESSOR_WAIT_SECONDS - Math.min(seconds, called ?? seconds));
  const waits = called !== null && wait > 0 && feed.runs.some((load) => COMPRESSORS.includes(load));
  const running = called === null ? [] : feed.runs.filter((load) => !(waits && COMPRESSORS.includes(load)));
  const network = networkAt(seconds - BOOT_SECONDS, dbm);
  return {
    phase: 'ready',
    network,
    running,
    lines: [
      ...(volts < feed.least + NARROW_VOLTS ? [`Low supply: ${volts.toFixed(1)} V`] : []),
      ...(waits ? [`Compressor waits ${Math.floor(wait / 60)}:${String(wait % 60).padStart(2, '0')}`] : []),
      running.length > 0
        ? `Runs: ${running.map((load) => LOAD_NAMES[load]).join(', ')}`
        : called === null
          ? 'Ready'
          : waits
            ? 'Called'
            : 'Called, and nothing answers',
      NETWORK_WORDS[network]
    ]
  };
}

const NETWORK_WORDS: Readonly<Record<Screen['network'], string>> = {
  none: 'No network in reach',
  joining: 'Joining the network …',
  joined: 'Network joined',
  weak: 'Network joined, weak'
};

function networkAt(seconds: number, dbm: number | null): Screen['network'] {
  if (dbm !== null && dbm < MARGINAL_DBM) return 'none';
  if (seconds < JOIN_SECONDS) return 'joining';
  return dbm !== null && dbm < GOOD_DBM ? 'weak' : 'joined';
}

/** What a solved call means for it; `window`: volts at its own terminals, by its sheet. */
export function feedOf(
  idle: CallResult,
  called: CallResult | null,
  window: { readonly least: number; readonly most: number }
): Feed {
  const source = called ?? idle;
  return {
    idleVolts: idle.thermostatVolts,
    callVolts: source.thermostatVolts,
    ...window,
    runs: source.loads.filter(({ energised, id }) => energised && id !== 'thermostat').map(({ id }) => id)
  };
}
