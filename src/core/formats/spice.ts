/**
 * A settled circuit as a SPICE netlist: plain, commented, and run as it is by an ordinary SPICE program. Contacts and fuses stand in the
 * state in which the call settles. Three kinds, by what the circuit holds: `.op` with RMS values as DC where all is resistive, `.ac` at
 * mains frequency with reactances, `.tran` over whole cycles where diodes are.
 */
import { CONTACT_OHMS, DIODE, MAINS_HERTZ } from '../trade/loads';
import type { Element, Source } from '../devices/elements';
import type { Circuit } from '../circuit/circuit';
import { islandsOf } from '../circuit/islands';
import type { Relays } from '../circuit/settle';

export interface SpiceNetlist {
  readonly text: string;
  readonly analysis: 'op' | 'ac' | 'tran';
  /** SPICE name of each node of the circuit that a conducting part touches. */
  readonly nodes: ReadonlyMap<string, string>;
}

/** Holds an island of its own to 0 V, so that an ordinary program finds an answer; it carries next to nothing. */
const LEAK_OHMS = 1e9;
/** What a blocking diode still lets through, so that a point between two of them has a voltage. */
const BLOCKING_OHMS = 1e7;
/** Silicon: 0.7 V at about a tenth of an ampere. */
const DIODE_MODEL = `.model silicon D(Is=2e-13 N=1 Rs=${DIODE.ohms})`;
/** Long enough for smoothed relays to charge, then six whole cycles to read. */
const SETTLE_SECONDS = 1;
const READ_CYCLES = 6;

export function spiceOf(relays: Relays, title: string): SpiceNetlist {
  const { circuit } = relays;
  const analysis = circuit.halfWaves ? 'tran' : circuit.model === 'complex' ? 'ac' : 'op';
  const nodes = nodeNames(circuit);
  const name = (node: string) => nodes.get(node) ?? '0';
  const parts = circuit.netlist.elements.flatMap((element, at) =>
    partLines(circuit, element, at, analysis, name)
  );
  const leaks = leakLines(circuit, nodes);
  return {
    analysis,
    nodes,
    text: [
      `* ${title.replace(/[\r\n]+/g, ' ')}`,
      '* A node is named after its terminal: device, then mark. Contacts and fuses stand as this call leaves them.',
      ...[...nodes].map(([node, spice]) => `* ${spice} is ${node}`),
      ...parts,
      ...leaks,
      ...(analysis === 'tran' ? [DIODE_MODEL] : []),
      ...analysisLines(
        analysis,
        [...new Set(nodes.values())].filter((node) => node !== '0')
      ),
      '.end',
      ''
    ].join('\n')
  };
}

/** The first common is 0; every other node is named after its terminal, made unique where signs fall away. */
function nodeNames(circuit: Circuit): Map<string, string> {
  const zero = circuit.netlist.grounds.find((ground) => circuit.structure.numberOf.has(ground));
  const taken = new Set<string>();
  const nodes = new Map<string, string>();
  for (const node of circuit.structure.nodes) {
    if (node === zero) {
      nodes.set(node, '0');
      continue;
    }
    const plain = node
      .toLowerCase()
      .replace(/\+/g, '_plus')
      .replace(/-$/g, '_minus')
      .replace(/[^a-z0-9]+/g, '_');
    let own = plain;
    for (let number = 2; taken.has(own); number += 1) own = `${plain}_${number}`;
    taken.add(own);
    nodes.set(node, own);
  }
  return nodes;
}

function partLines(
  circuit: Circuit,
  element: Element,
  at: number,
  analysis: SpiceNetlist['analysis'],
  name: (node: string) => string
): string[] {
  const [a, b] = [name(element.a), name(element.b)];
  const ref = `${at}`;
  if (circuit.on[at] === 0 && element.kind !== 'diode' && element.kind !== 'sense')
    return [`* ${element.id}: open`];
  const head = `* ${element.id}${element.kind === 'source' ? ` (${element.name.replace(/[\r\n]+/g, ' ')})` : ''}`;
  switch (element.kind) {
    case 'source':
      return [head, ...sourceLines(element, ref, a, b, circuit.turn[at] ?? 1, analysis)];
    case 'diode':
      return [head, `D${ref} ${a} ${b} silicon`, `Rx${ref} ${a} ${b} ${BLOCKING_OHMS}`];
    case 'sense':
      return [
        head,
        `D${ref} ${a} s${ref} silicon`,
        `R${ref} s${ref} ${b} ${element.ohms}`,
        `C${ref} s${ref} ${b} ${element.farads}`
      ];
    case 'resistor':
      return [head, ...impedanceLines(ref, a, b, element.ohms, element.reactance ?? 0, circuit.model)];
    case 'coil': {
      const times = circuit.times[at] ?? 1;
      const state = times > 1 ? [`* its armature is open: it draws ${times} times its holding current`] : [];
      return [
        head,
        ...state,
        ...impedanceLines(ref, a, b, element.ohms / times, element.reactance / times, circuit.model)
      ];
    }
    case 'earth':
      return [head, `R${ref} ${a} ${b} ${element.ohms}`];
    default:
      return [head, `R${ref} ${a} ${b} ${CONTACT_OHMS}`];
  }
}

function impedanceLines(
  ref: string,
  a: string,
  b: string,
  ohms: number,
  reactance: number,
  model: Circuit['model']
): string[] {
  if (model === 'resistive') return [`R${ref} ${a} ${b} ${Math.hypot(ohms, reactance)}`];
  if (reactance === 0) return [`R${ref} ${a} ${b} ${ohms}`];
  const henry = reactance / (2 * Math.PI * MAINS_HERTZ);
  return [`R${ref} ${a} m${ref} ${ohms}`, `L${ref} m${ref} ${b} ${henry}`];
}

function sourceLines(
  source: Source,
  ref: string,
  a: string,
  b: string,
  turn: number,
  analysis: SpiceNetlist['analysis']
): string[] {
  const emf = `e${ref}`;
  const volts = source.volts * turn;
  const value = {
    op: `DC ${volts}`,
    ac: `DC 0 AC ${source.volts} ${turn < 0 ? 180 : 0}`,
    tran: `SIN(0 ${volts * Math.SQRT2} ${MAINS_HERTZ})`
  }[analysis];
  return [`V${ref} ${emf} ${b} ${value}`, `R${ref} ${emf} ${a} ${Math.max(source.ohms, 1e-7)}`];
}

/** One leak to 0 for each island that has no node there. */
function leakLines(circuit: Circuit, nodes: ReadonlyMap<string, string>): string[] {
  const islands = islandsOf(circuit);
  const zeroes = circuit.structure.nodes.flatMap((node, at) =>
    nodes.get(node) === '0' ? [islands[at]] : []
  );
  const served = new Set(zeroes);
  return circuit.structure.nodes.flatMap((node, at) => {
    const island = islands[at];
    if (served.has(island)) return [];
    served.add(island);
    return [
      `* holds what hangs on ${node} to 0, since nothing else does`,
      `Rleak${at} ${nodes.get(node)} 0 ${LEAK_OHMS}`
    ];
  });
}

function analysisLines(analysis: SpiceNetlist['analysis'], nodes: readonly string[]): string[] {
  const wanted = nodes.map((node) => `v(${node})`).join(' ');
  switch (analysis) {
    case 'op':
      return ['* RMS values stand as DC: all is resistive.', '.op'];
    case 'ac':
      return [`.ac lin 1 ${MAINS_HERTZ} ${MAINS_HERTZ}`, ...(wanted ? [`.print ac ${wanted}`] : [])];
    case 'tran': {
      const end = SETTLE_SECONDS + READ_CYCLES / MAINS_HERTZ;
      return [
        `* Read over whole cycles, from ${SETTLE_SECONDS} s on.`,
        `.tran 20u ${end} ${SETTLE_SECONDS} 20u uic`,
        ...(wanted ? [`.print tran ${wanted}`] : [])
      ];
    }
  }
}
