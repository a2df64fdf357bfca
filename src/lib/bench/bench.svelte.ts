/** The bench: a wiring of the plan, powered up in a call, with whatever was put wrong on purpose. */
import type { CallResult } from '$core/circuit/simulate';
import { powerUp } from '$core/circuit/simulate';
import type { Fault } from '$core/diagnose/types';
import { caseName, PLAIN_CASE, type SupplyCase, type World } from '$core/devices/world';
import { worldsOf } from '$core/identify/worlds';
import type { WiringState } from '$core/job/bench-schema';
import {
  causesOf,
  faultedWiring,
  observe,
  powerSession,
  sessionCalls,
  sessionCases,
  sessionFaults,
  type Causes,
  type Observed
} from '$core/session/bench-session';
import { isCombined, type Call } from '$core/trade/calls';
import type { Wiring } from '$core/wiring/graph';
import type { Place } from '../state/place.svelte';

/** A wiring under power: what can be observed of it, and why it is so. */
export interface Powered {
  readonly wiring: Wiring;
  readonly result: CallResult;
  readonly seen: Observed;
  readonly causes: Causes;
}

/** Powered up, or why not. */
export type Bout =
  { readonly ok: true; readonly powered: Powered } | { readonly ok: false; readonly why: string };

export class Bench {
  readonly #place: () => Place;

  constructor(place: () => Place) {
    this.#place = place;
  }

  which: WiringState = $state('after');
  wanted: Call = $state('cool1');
  /** Ids of faults that were put in, in their order. */
  wrong: string[] = $state([]);
  worldId: string | null = $state(null);
  caseAt: number = $state(0);
  blowerInCool: World['blowerInCool'] = $state('g');
  probes: [string | null, string | null] = $state([null, null]);

  readonly found: Wiring = $derived.by(() => this.#place().plan.wiringFound);
  readonly worlds: readonly World[] = $derived.by(() =>
    worldsOf(this.#place().identification, this.found).map((world) => world.world)
  );
  readonly world: World | null = $derived.by(() => {
    const found = this.worlds.find((world) => world.id === this.worldId) ?? this.worlds[0];
    return found ? { ...found, blowerInCool: this.blowerInCool } : null;
  });
  readonly after: Wiring | null = $derived.by(() => this.#place().plan.wiringAfter);
  /** The wiring on the bench, still whole. */
  readonly sound: Wiring = $derived.by(() => {
    if (this.which === 'now') return this.#place().plan.wiringNow;
    return this.which === 'after' && this.after ? this.after : this.found;
  });
  readonly calls: readonly Call[] = $derived.by(() =>
    this.world ? sessionCalls(this.found, this.world) : []
  );
  readonly call: Call = $derived.by(() =>
    this.calls.includes(this.wanted)
      ? this.wanted
      : (this.calls.filter((call) => !isCombined(call)).at(-1) ?? 'idle')
  );
  readonly cases: readonly SupplyCase[] = $derived.by(() =>
    this.world ? sessionCases(this.faulted, this.world) : [PLAIN_CASE]
  );
  readonly supplyCase: SupplyCase = $derived.by(() => this.cases[this.caseAt] ?? PLAIN_CASE);
  readonly faults: readonly Fault[] = $derived.by(() =>
    this.world ? sessionFaults(this.sound, this.world) : []
  );
  readonly inside: readonly Fault[] = $derived.by(() =>
    this.wrong.flatMap((id) => this.faults.find((fault) => fault.id === id) ?? [])
  );
  readonly faulted: Wiring = $derived.by(() =>
    this.world ? faultedWiring({ sound: this.sound, world: this.world, wrong: this.wrong }) : this.sound
  );
  readonly now: Bout = $derived.by(() => this.power(this.faulted));
  /** The other wiring, whole, for the eye to compare with. */
  readonly other: Bout | null = $derived.by(() =>
    this.after === null ? null : this.power(this.which === 'after' ? this.found : this.after)
  );

  /** Every call of the wiring on the bench. */
  readonly everyCall: readonly CallResult[] = $derived.by(() =>
    this.calls.flatMap((call) => {
      const made = this.world ? powerUp(this.faulted, this.world, call, this.supplyCase) : null;
      return made?.ok ? [made.result] : [];
    })
  );

  power(wiring: Wiring): Bout {
    const { world, call, supplyCase } = this;
    if (!world)
      return { ok: false, why: 'The system is not known yet: answer the next question on System first.' };
    const outcome = powerSession({ sound: wiring, world, call, supplyCase, wrong: [] });
    if (!outcome.ok) return outcome;
    const { powered } = outcome;
    return {
      ok: true,
      powered: { wiring, result: powered.result, seen: observe(powered), causes: causesOf(powered) }
    };
  }

  toggle(id: string): void {
    this.wrong = this.wrong.includes(id)
      ? this.wrong.filter((candidate) => candidate !== id)
      : [...this.wrong, id];
  }

  /** The next free probe goes on the terminal; with both on, the first moves. */
  probe(terminal: string): void {
    const [first, second] = this.probes;
    if (first === terminal) this.probes = [null, second];
    else if (second === terminal) this.probes = [first, null];
    else if (first === null) this.probes = [terminal, second];
    else if (second === null) this.probes = [first, terminal];
    else this.probes = [second, terminal];
  }

  caseText(supplyCase: SupplyCase): string {
    return caseName(supplyCase);
  }
}
