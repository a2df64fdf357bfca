/** What no circuit can be solved with, found before anything is solved, each with the part at fault. */
import type { Element } from '../devices/elements';
import type { Netlist } from './netlist';

/** Why a circuit has no answer, and the terminal, conductor or device to look at. */
export interface Failure {
  readonly ok: false;
  readonly at: string;
  readonly why: string;
}

/** More than this is no house: the record is refused instead of keeping everybody waiting. */
export const MOST_ELEMENTS = 6000;

export function failureOf({ elements }: Netlist): Failure | null {
  if (elements.length > MOST_ELEMENTS)
    return fail('the wiring', `${elements.length} parts are more than the ${MOST_ELEMENTS} that are solved`);
  for (const element of elements) {
    const trouble = valueTrouble(element);
    if (trouble) return fail(element.id, `${element.id}: ${trouble}`);
  }
  return contradiction(elements);
}

function fail(at: string, why: string): Failure {
  return { ok: false, at, why };
}

function valueTrouble(element: Element): string | null {
  switch (element.kind) {
    case 'resistor':
    case 'coil':
      if (!(Number.isFinite(element.ohms) && element.ohms > 0))
        return `a resistance of ${element.ohms} ohm is none that a real part has`;
      return Number.isFinite(element.reactance ?? 0) ? null : 'its reactance is no number';
    case 'sense':
    case 'diode':
    case 'earth':
      return Number.isFinite(element.ohms) && element.ohms > 0 ? null : `a resistance of ${element.ohms} ohm`;
    case 'source':
      if (!(Number.isFinite(element.ratedVa) && element.ratedVa > 0))
        return `a transformer of ${element.ratedVa} VA`;
      return Number.isFinite(element.ohms) && element.ohms >= 0 && Number.isFinite(element.volts)
        ? null
        : 'a transformer without a voltage or an impedance';
    case 'fuse':
      return Number.isFinite(element.amps) && element.amps > 0 ? null : `a fuse of ${element.amps} A`;
    default:
      return null;
  }
}

/** Ideal sources (no impedance) that face each other: a loop of them has an answer only by luck, so the one that closes it is named. */
function contradiction(elements: readonly Element[]): Failure | null {
  const parent = new Map<string, string>();
  const find = (node: string): string => {
    let top = node;
    while (parent.get(top) !== undefined && parent.get(top) !== top) top = parent.get(top) as string;
    return top;
  };
  for (const element of elements) {
    if (element.kind !== 'source' || element.ohms > 0) continue;
    const [first, second] = [find(element.a), find(element.b)];
    if (first === second)
      return fail(element.id, `${element.id} contradicts another source between the same two points`);
    parent.set(first, second);
  }
  return null;
}
