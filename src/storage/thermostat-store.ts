/**
 * The thermostats of a job, each stored by itself: an edit touches one of them, and a save writes that one only. A record names the keys of
 * those that belong to it, so what was written for a save that was never finished counts for nothing.
 */
import type { Job, Thermostat } from '$core/job/schema';

export class ThermostatStore {
  readonly #forage: LocalForage;
  /** Under which key each lies that was read or written as it is. No key is ever used twice. */
  readonly #keys = new WeakMap<Thermostat, string>();

  constructor(forage: LocalForage) {
    this.#forage = forage;
  }

  /** Writes what is not stored under one of the keys `held` by the record before; returns the keys of all, in their order. */
  async write({ id, thermostats }: Pick<Job, 'id' | 'thermostats'>, held: readonly string[]) {
    const there = new Set(held);
    const keys: string[] = [];
    for (const thermostat of thermostats) {
      const known = this.#keys.get(thermostat);
      const key = known !== undefined && there.has(known) ? known : `${id}/${chance()}`;
      if (key !== known) {
        await this.#forage.setItem(key, thermostat);
        this.#keys.set(thermostat, key);
      }
      keys.push(key);
    }
    return keys;
  }

  /** What lies under the keys, as it lies there; null for each that is missing. */
  read(keys: readonly string[]): Promise<unknown[]> {
    return Promise.all(keys.map((key) => this.#forage.getItem<unknown>(key)));
  }

  /** Thermostats that say exactly what lies under the keys: they need not be written again. */
  remember(thermostats: readonly Thermostat[], keys: readonly string[]): void {
    for (const [at, key] of keys.entries()) {
      const thermostat = thermostats[at];
      if (thermostat) this.#keys.set(thermostat, key);
    }
  }

  /** Removes what lies there of a job and is none of these: a save that was never finished has left it, or an older version. */
  async sweep(job: string, named: readonly string[]): Promise<void> {
    const belongs = new Set(named);
    for (const key of await this.#forage.keys())
      if (key.startsWith(`${job}/`) && !belongs.has(key)) await this.#forage.removeItem(key);
  }

  async remove(keys: readonly string[]): Promise<void> {
    for (const key of keys) await this.#forage.removeItem(key);
  }
}

/** Two tabs of one browser do not meet in it. */
function chance(): string {
  return [...crypto.getRandomValues(new Uint32Array(2))].map((number) => number.toString(36)).join('-');
}
