/** The engine against an ordinary SPICE program on the same netlist, and what keeping things between solves gains. */
import {
  circuitOf,
  isCircuit,
  setCall,
  setImpedance,
  solveCircuit,
  type ImpedanceModel
} from '$core/circuit/circuit';
import { netlistOf } from '$core/circuit/netlist';
import { applyState, relaysOf, settle } from '$core/circuit/settle';
import { PLAIN_CASE } from '$core/devices/world';
import { spiceOf } from '$core/formats/spice';
import { plannedHouse, zonedHouse } from '$core/houses/powered-houses';
import type { PoweredHouse } from '$core/houses/half-wave-houses';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import { micro, secondsPer } from './measure';
import type { Part } from './part';
import { hasSpice, spiceSeconds } from './spice-process';

export function classroom(): PoweredHouse {
  const thermostat = SCHOOLHOUSE.thermostats.find((candidate) => candidate.id === 'th-classroom');
  if (!thermostat) throw new Error('The demo has no classroom');
  return plannedHouse(SCHOOLHOUSE, thermostat);
}

function prepared({ wiring, world }: PoweredHouse, model: ImpedanceModel) {
  const netlist = netlistOf(wiring, world);
  const circuit = netlist && circuitOf(netlist, model);
  if (!netlist || !circuit || !isCircuit(circuit)) throw new Error('The house has no circuit');
  const relays = relaysOf(circuit);
  settle(relays, 'cool1', PLAIN_CASE);
  return { netlist, circuit, relays };
}

/** One operating point as SPICE does it: all values stamped and eliminated, then solved. */
function wholePoint(house: PoweredHouse, model: ImpedanceModel): number {
  const { circuit } = prepared(house, model);
  return secondsPer(20_000, () => {
    circuit.kept.fresh = false;
    solveCircuit(circuit);
  });
}

export const circuitBench: Part = {
  name: 'circuit',
  run: async () => {
    const house = classroom();
    const { netlist, circuit } = prepared(house, 'resistive');
    const lines = [
      `The classroom as planned, cooling called: ${netlist.elements.length} parts, ${circuit.structure.nodes.length} nodes, ${circuit.structure.slots} entries`
    ];
    lines.push(...(await againstSpice(house)), '', ...reuse(house), '', ...growth());
    return lines;
  }
};

async function againstSpice(house: PoweredHouse): Promise<string[]> {
  if (!hasSpice()) return ['No ngspice here: `apt-get install ngspice`, then again.'];
  const lines = ['| point | engine | SPICE process | ratio |', '|---|---|---|---|'];
  const runs = 4000;
  for (const [model, command] of [
    ['resistive', 'op'],
    ['complex', 'ac lin 1 60 60']
  ] as const) {
    const own = wholePoint(house, model);
    const { text } = spiceOf(prepared(house, model).relays, 'bench');
    const peer = (await spiceSeconds(text, command, runs)) / runs;
    lines.push(`| ${model} | ${micro(own)} | ${micro(peer)} | ${(peer / own).toFixed(0)} |`);
  }
  return lines;
}

function reuse(house: PoweredHouse): string[] {
  const { circuit, relays, netlist } = prepared(house, 'resistive');
  const everything = secondsPer(500, () => {
    const fresh = circuitOf(netlist);
    if (!isCircuit(fresh)) throw new Error('no circuit');
    fresh.on.set(circuit.on);
    solveCircuit(fresh);
  });
  const structure = secondsPer(20_000, () => {
    circuit.kept.fresh = false;
    solveCircuit(circuit);
  });
  const kept = secondsPer(20_000, () => solveCircuit(circuit));
  const call = secondsPer(20_000, () => settle(relays, 'cool1', PLAIN_CASE));
  return [
    '| kept between solves | time of a point | against nothing kept |',
    '|---|---|---|',
    `| nothing | ${micro(everything)} | 1 |`,
    `| structure | ${micro(structure)} | ${(everything / structure).toFixed(0)} |`,
    `| structure and the elimination of the lasting parts | ${micro(kept)} | ${(everything / kept).toFixed(0)} |`,
    '',
    `A call settled from rest, with all its steps: ${micro(call)}`
  ];
}

function growth(): string[] {
  const lines = ['| zones | conductors | nodes | a point | a point per node |', '|---|---|---|---|---|'];
  for (const zones of [5, 10, 20, 40]) {
    const house = zonedHouse(zones);
    const { circuit, relays } = prepared(house, 'complex');
    setCall(circuit, 'heat1', PLAIN_CASE);
    applyState(relays);
    const time = secondsPer(4000, () => {
      setImpedance(circuit, 0, 0.005, 0);
      solveCircuit(circuit);
    });
    const nodes = circuit.structure.nodes.length;
    lines.push(
      `| ${zones} | ${house.wiring.strands.length} | ${nodes} | ${micro(time)} | ${micro(time / nodes)} |`
    );
  }
  return lines;
}
