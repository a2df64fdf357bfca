/** Finding out why, as the page follows it: the thread works the circuits through once, then each answer. */
import { setStep, type Path } from '$core/job/steps';
import type { WiringState } from '$core/job/bench-schema';
import type { Hands } from '$core/diagnose/state';
import type { Diagnosed } from '$worker/protocol';
import { ask } from '../bench/thread';
import { clock } from '../state/clock.svelte';
import type { Place } from '../state/place.svelte';

export class FindingOut {
  readonly #place: Place;
  which: WiringState = $state('now');
  hands: Hands = $state.raw({ meter: false, helper: false });
  found: Diagnosed | null = $state.raw(null);
  /** How much of the circuits is worked through, 0 to 1. */
  progress = $state(0);
  busy = $state(false);
  trouble = $state('');

  constructor(place: Place) {
    this.#place = place;
  }

  /** Works out where it stands, whenever something was seen or done; returns the way to stop. */
  follow(): () => void {
    const { job, thermostat } = this.#place;
    const request = { job, thermostat: thermostat.id, which: this.which, hands: this.hands };
    this.busy = true;
    this.progress = 0;
    return ask(
      'diagnose',
      request,
      (found, trouble) => {
        this.busy = false;
        this.found = found;
        this.trouble = trouble;
      },
      (share) => (this.progress = share)
    );
  }

  get #path(): Path {
    return ['thermostats', { id: this.#place.thermostat.id }, 'seen'];
  }

  see(observation: string, answer: string | number, label: string): void {
    const { session, thermostat } = this.#place;
    const entry = { at: clock.now ?? '', observation, answer };
    const again = thermostat.seen.filter((other) => other.observation !== observation);
    session.edit(setStep(session.job, this.#path, [...again, entry].slice(-200), `Seen: ${label}`));
  }

  takeBack(observation: string): void {
    const { session, thermostat } = this.#place;
    const rest = thermostat.seen.filter((other) => other.observation !== observation);
    session.edit(setStep(session.job, this.#path, rest, 'Taken back: what was seen'));
  }

  /** The remedy was done: what was seen before tells nothing any more. */
  beginAgain(): void {
    const { session } = this.#place;
    session.edit(setStep(session.job, this.#path, [], 'Put right: begin to look again'));
  }
}
