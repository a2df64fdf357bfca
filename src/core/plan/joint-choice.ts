/**
 * Which way each thermostat of a job takes when all of them count. Three rounds:
 *
 * 1. each by itself, as if it were alone on its machine;
 * 2. only where that is too much for a shared transformer: the best of all combinations that it carries (`best-together.ts`). What the user
 *    has chosen is settled from the start, even where it is too much: then it is shown to be. Where there are too many combinations, or none
 *    holds, one after the other, each beside those that are settled already, with the best that is still open;
 * 3. each proven once more in the way that it has, beside all others in theirs.
 */
import type { Job } from '../job/schema';
import type { ProofNeighbour } from '../proof/types';
import type { Wiring } from '../wiring/graph';
import { bestTogether, type Combination } from './best-together';
import { asNeighbour } from './neighbours';
import { endOf, placeOf, todayOf, type Place } from './place';
import { overloadedMachines } from './shared-supply';

export class JointChoice {
  private readonly alone: Place[] = [];
  private readonly settled: Place[] = [];
  private readonly proven: Place[] = [];
  private crowded: boolean | null = null;
  private best: Combination | null = null;

  constructor(private readonly job: Job) {}

  get total(): number {
    return 3 * this.job.thermostats.length;
  }

  get done(): number {
    return this.alone.length + this.settled.length + this.proven.length;
  }

  /** One thermostat in one round. */
  step(): void {
    const { thermostats } = this.job;
    if (this.alone.length < thermostats.length) this.planAlone();
    else if (this.settled.length < thermostats.length) this.settle();
    else this.prove();
  }

  /** The ways taken, in the order of the job, and those that each would take by itself. */
  result(): { readonly places: readonly Place[]; readonly alone: readonly Place[] } {
    return { places: this.proven, alone: this.alone };
  }

  private planAlone(): void {
    const thermostat = this.job.thermostats[this.alone.length]!;
    this.alone.push(placeOf(this.job, thermostat, { neighbours: [] }));
  }

  private settle(): void {
    if (this.crowded === null) {
      this.crowded = overloadedMachines(this.job, this.alone, endOf).length > 0;
      if (this.crowded) this.best = bestTogether(this.job, this.alone, (place) => this.isChosen(place));
    }
    const at = this.settled.length;
    const place = this.alone[at]!;
    const option = this.best?.options[at];
    if (option && !this.isChosen(place)) {
      this.settled.push({ ...place, option, works: option.moves.length > 0 });
      return;
    }
    if (!this.crowded || this.isChosen(place)) {
      this.settled.push(place);
      return;
    }
    const beside = this.beside(place, (other) => {
      const known = this.settled.find((candidate) => candidate.thermostat.id === other.thermostat.id);
      return known ? endOf(known) : this.isChosen(other) ? endOf(other) : todayOf(other);
    });
    this.settled.push(placeOf(this.job, place.thermostat, { neighbours: beside }));
  }

  private prove(): void {
    const place = this.settled[this.proven.length]!;
    const neighbours = this.beside(place, (other) =>
      endOf(this.settled.find((candidate) => candidate.thermostat.id === other.thermostat.id) ?? other)
    );
    this.proven.push(placeOf(this.job, place.thermostat, { neighbours, like: place.option }));
  }

  private isChosen({ thermostat: { choice } }: Place): boolean {
    return choice.device !== null && choice.method !== null;
  }

  private beside(place: Place, wiringOf: (other: Place) => Wiring): ProofNeighbour[] {
    const machines = new Set<string>(place.thermostat.equipment);
    return this.alone
      .filter((candidate) => candidate !== place && candidate.thermostat.id !== place.thermostat.id)
      .filter((candidate) => candidate.thermostat.equipment.some((id) => machines.has(id)))
      .map((place) => asNeighbour(this.job, place.thermostat, wiringOf(place)));
  }
}
