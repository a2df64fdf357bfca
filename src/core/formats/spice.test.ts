/** The netlist runs in a real SPICE engine, and the two agree. Slow to start, so one engine serves all. */
import { Simulation } from 'eecircuit-engine';
import { beforeAll, describe, expect, it } from 'vitest';
import { callsOf } from '../devices/calls';
import { PLAIN_CASE } from '../devices/world';
import { identify } from '../identify/identify';
import { worldsOf } from '../identify/worlds';
import { planFor } from '../plan/plan';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { islandsOf } from '../circuit/islands';
import { meterOf } from '../circuit/meter';
import { coilVolts, elementAmps, type Relays } from '../circuit/settle';
import { settled, type SimulateFailure } from '../circuit/simulate';
import { assumeUnseenEnds, wiringOf } from '../wiring/from-job';
import type { Wiring } from '../wiring/graph';
import { mainsView } from '../handover/mains/view';
import { mainsHouse, MAINS_SKETCHES, type MainsHouse } from '../houses/mains-houses';
import { callOfRow, rowId, rowsOf } from '../proof/mains/rows';
import { MAINS_WORLD } from '../proof/mains/ways';
import { HOUSE_VOLTS } from '../trade/mains';
import { combinedHouse, splitterHouse } from '../houses/half-wave-houses';
import { spiceOf, type SpiceNetlist } from './spice';

const engine = new Simulation();
beforeAll(() => engine.start(), 60_000);

/** Values by variable name: one number for `.op`, the magnitude's parts for `.ac`, a series for `.tran`. */
async function run(netlist: SpiceNetlist): Promise<Map<string, { re: number[]; im: number[] }>> {
  engine.setNetList(netlist.text);
  const result = await engine.runSim();
  const real = engine.getError().filter((line) => !line.startsWith('Note') && !line.includes('Warning'));
  expect(real).toEqual([]);
  return new Map(
    result.data.map(({ name, values }) => {
      const list = values as (number | { real: number; img: number })[];
      const part = (pick: 'real' | 'img') =>
        list.map((candidate) =>
          typeof candidate === 'number' ? (pick === 'real' ? candidate : 0) : candidate[pick]
        );
      return [name, { re: part('real'), im: part('img') }];
    })
  );
}

function ok(made: Relays | SimulateFailure): Relays {
  if ('ok' in made) throw new Error(made.why);
  return made;
}

/** The largest difference of any two nodes of an island, as a share of 24 V. */
async function worstDifference(relays: Relays): Promise<number> {
  const netlist = spiceOf(relays, 'test');
  const values = await run(netlist);
  const meter = meterOf(relays);
  const islands = islandsOf(relays.circuit);
  const first = new Map<number, string>();
  let worst = 0;
  relays.circuit.structure.nodes.forEach((node, at) => {
    const base = first.get(islands[at] ?? -1);
    if (base === undefined) first.set(islands[at] ?? -1, node);
    else
      worst = Math.max(
        worst,
        Math.abs((meter.volts(node, base) ?? NaN) - between(values, netlist, node, base)) / 24
      );
  });
  return worst;
}

function between(
  values: Map<string, { re: number[]; im: number[] }>,
  netlist: SpiceNetlist,
  a: string,
  b: string
): number {
  const at = (node: string, part: 're' | 'im', step = 0) => {
    const name = netlist.nodes.get(node);
    if (name === '0') return 0;
    const series = values.get(`v(${name})`);
    if (!series) throw new Error(`SPICE gave no ${name}`);
    return series[part][step] ?? 0;
  };
  return Math.hypot(at(a, 're') - at(b, 're'), at(a, 'im') - at(b, 'im'));
}

const job = SCHOOLHOUSE;
const houses = job.thermostats.flatMap((thermostat) => {
  const identification = identify(job, thermostat);
  const { wiring: before } = assumeUnseenEnds(wiringOf(job, thermostat));
  const [world] = worldsOf(identification, before);
  if (!world || identification.voltageClass !== '24v') return [];
  const after = planFor(job, thermostat, {}).wiringAfter;
  const wirings: [string, Wiring][] = [
    ['before', before],
    ...(after ? [['after', after] as [string, Wiring]] : [])
  ];
  return wirings.map(([which, wiring]) => ({
    name: `${thermostat.name}, ${which}`,
    wiring,
    world: world.world
  }));
});

describe.each(houses)('$name', ({ wiring, world }) => {
  it.each(['resistive', 'complex'] as const)(
    'agrees with SPICE within 0.5 %% in every call, %s',
    async (model) => {
      for (const call of callsOf(world, wiring)) {
        const relays = ok(settled(wiring, world, call, PLAIN_CASE, model));
        expect(await worstDifference(relays), call).toBeLessThan(0.005);
      }
    }
  );
});

describe('mains controls', { tags: ['wide'] }, () => {
  it.each(Object.keys(MAINS_SKETCHES) as MainsHouse[])(
    '%s agrees with SPICE within 0.5 %% in every state, as found and as planned',
    async (house) => {
      const { plan } = mainsView(mainsHouse(house));
      for (const wiring of [plan.found, ...(plan.taken ? [plan.taken.after] : [])])
        for (const row of rowsOf(plan.inputs).filter((_, at) => at % 3 === 0)) {
          const relays = ok(settled(wiring, MAINS_WORLD, callOfRow(row, wiring)));
          // Of 230 V, not of 24: the measure is the nominal voltage of the spur.
          expect((await worstDifference(relays)) * (24 / HOUSE_VOLTS), rowId(row)).toBeLessThan(0.005);
        }
    },
    120_000
  );
});

describe('half waves against a transient run over whole cycles', { tags: ['wide'] }, () => {
  it.each([
    ['a combined terminal', combinedHouse],
    ['a splitter', splitterHouse]
  ] as const)(
    'agree for %s',
    async (_, make) => {
      const { wiring, world } = make();
      for (const call of ['fan', 'cool1'] as const) {
        const relays = ok(settled(wiring, world, call));
        const netlist = spiceOf(relays, 'test');
        const values = await run(netlist);
        const time = values.get('time')?.re ?? [];
        relays.circuit.senses.forEach((at, number) => {
          const element = relays.circuit.netlist.elements[at]!;
          const mine = coilVolts(relays, relays.circuit.coils.length + number);
          const node = values.get(`v(s${at})`)?.re ?? [];
          const low = values.get(`v(${netlist.nodes.get(element.b)})`)?.re;
          const smoothed = mean(
            time,
            node.map((volts, step) => volts - (low?.[step] ?? 0))
          );
          expect(Math.abs(mine - smoothed), `${element.id} in ${call}`).toBeLessThan(0.005 * 34);
        });
        relays.circuit.coils.forEach((at, number) => {
          const { a, b, id } = relays.circuit.netlist.elements[at]!;
          const series = (node: string) => values.get(`v(${netlist.nodes.get(node)})`)?.re;
          const over = time.map((_, step) => (series(a)?.[step] ?? 0) - (series(b)?.[step] ?? 0));
          const rms = Math.sqrt(
            mean(
              time,
              over.map((volts) => volts * volts)
            )
          );
          expect(Math.abs(coilVolts(relays, number) - rms), `${id} in ${call}`).toBeLessThan(0.01 * 24);
        });
        // The current of the supply has the charging pulses in it, by which it is greater than that of a resistance.
        const [source = 0] = relays.circuit.sources;
        const element = relays.circuit.netlist.elements[source]!;
        const inside = values.get(`v(e${source})`)?.re ?? [];
        const screw = values.get(`v(${netlist.nodes.get(element.a)})`)?.re ?? [];
        const ohms = 'ohms' in element ? element.ohms : NaN;
        const amps = Math.sqrt(
          mean(
            time,
            inside.map((volts, step) => ((volts - (screw[step] ?? 0)) / ohms) ** 2)
          )
        );
        expect(Math.abs(elementAmps(relays, source) / amps - 1), `amps in ${call}`).toBeLessThan(0.01);
      }
    },
    60_000
  );
});

/** Mean over time by trapezoids. */
function mean(time: readonly number[], values: readonly number[]): number {
  let sum = 0;
  for (let step = 1; step < time.length; step += 1)
    sum += ((time[step]! - time[step - 1]!) * (values[step]! + values[step - 1]!)) / 2;
  return sum / ((time.at(-1) ?? 1) - (time[0] ?? 0));
}
