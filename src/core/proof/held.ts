/** What the call before keeps on: a relay that its own trickle holds in after heat is a boiler that never stops. */
import { heldOn, holdable, type HeldOn } from '../circuit/history';
import { casesIn } from '../circuit/supply-cases';
import type { World } from '../devices/world';
import { finding, type Finding } from '../findings/finding';
import { ref } from '../findings/refs';
import { asMetered } from '../trade/figures';
import type { Call } from '../trade/calls';
import type { Wiring } from '../wiring/graph';

/** With nominal values, in every case of polarity and bonding: a stop, said once for each load. */
export function heldFindings(wiring: Wiring, world: World, calls: readonly Call[]): Finding[] {
  const held = casesIn(wiring, world).flatMap((supplyCase) => heldOn(wiring, world, calls, supplyCase));
  return onceEach(held).map((fact) => heldFinding('stop', fact));
}

/** In the corner that holds each coil best, in every case as well: a condition, where it holds nothing with nominal values. */
export function heldAtLimits(wiring: Wiring, world: World, calls: readonly Call[]): Finding[] {
  const held = casesIn(wiring, world).flatMap((supplyCase) =>
    holdable(wiring, world, calls, supplyCase).flatMap((element) =>
      heldOn(wiring, world, calls, { ...supplyCase, corner: 'strong', aim: { element } })
    )
  );
  return onceEach(held).map((fact) => heldFinding('warn', fact));
}

/** The first pair of calls for each coil: idle after heat says more than the fan after heat. */
function onceEach(held: readonly HeldOn[]): HeldOn[] {
  const said = new Set<string>();
  return held.filter(({ coils }) => {
    const key = coils.map(({ id }) => id).join(' ');
    if (said.has(key)) return false;
    said.add(key);
    return true;
  });
}

function heldFinding(
  level: 'stop' | 'warn',
  { after, call, loads, coils, volts, chatters }: HeldOn
): Finding {
  const fact = { after, call, loads, chatters, volts: asMetered(volts, 0.1) };
  return finding(level, 'held-on', fact, [...coils, ref.call(call)]);
}
