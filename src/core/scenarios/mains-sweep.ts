/**
 * Every house with mains controls by every controller by every single oddity, all states: what is on offer is done in the true house by the screws
 * that its moves name, and has to be right there, by the solver and by reachability alone.
 */
import { MAINS_LAYOUT_OF, mainsHouse, MAINS_SKETCHES, type MainsHouse } from '../houses/mains-houses';
import type { MainsControls, MainsEnd, MainsWire } from '../job/mains-schema';
import { CONTROLLERS } from '../match/mains/controllers';
import { planMains, type MainsWay } from '../plan/mains/plan';
import { inputsOf, rowId, type MainsInputs } from '../proof/mains/rows';
import { isTable, truthTable } from '../proof/mains/truth-table';
import { solveRow } from '../proof/mains/ways';
import { rowsOf } from '../proof/mains/rows';
import { hubsAmong } from '../trade/mains-hub';
import { applyChange } from '../wiring/difference';
import { wiringFromMains } from '../wiring/from-mains';
import type { MainsUnit, Wiring } from '../wiring/graph';
import { reachRow } from './mains-reach';

export interface MainsCase {
  readonly id: string;
  readonly house: MainsHouse;
  readonly controller: string;
  readonly oddity: string;
  /** What is there, and what is written down of it. */
  readonly truth: MainsControls;
  readonly record: MainsControls;
}

interface Oddity {
  readonly name: string;
  readonly truth: MainsControls;
  readonly record: MainsControls;
}

const HOUSES = Object.keys(MAINS_SKETCHES) as MainsHouse[];
const LOOSE: MainsEnd = { state: 'loose', on: null };
const UNSEEN: MainsEnd = { state: 'unseen', on: null };

const withWire = (mains: MainsControls, at: number, change: Partial<MainsWire>): MainsControls => ({
  ...mains,
  wires: mains.wires.map((wire, index) => (index === at ? { ...wire, ...change } : wire))
});

/** The house as it is; each wire off, unread, broken, under the next number where the cables meet, exchanged; each screw unread; each device not written down. */
export function odditiesOf(house: MainsHouse): Oddity[] {
  const sound = mainsHouse(house);
  const both = (name: string, mains: MainsControls): Oddity => ({ name, truth: mains, record: mains });
  const recorded = (name: string, record: MainsControls): Oddity => ({ name, truth: sound, record });
  const [strip] = hubsAmong(sound.devices);
  const numbers = strip?.screws ?? [];
  const perWire = sound.wires.flatMap((wire, at): Oddity[] => {
    const here = numbers.findIndex(({ id }) => id === wire.far.on?.screw);
    const next = numbers[(here + 1) % numbers.length];
    const other = sound.wires[(at + 1) % sound.wires.length];
    return [
      both(`${wire.id} off`, withWire(sound, at, { far: LOOSE })),
      both(`${wire.id} broken`, withWire(sound, at, { continuity: 'broken' })),
      recorded(`${wire.id} unread`, withWire(sound, at, { far: UNSEEN })),
      ...(strip && next
        ? [
            both(
              `${wire.id} under the next number`,
              withWire(sound, at, { far: { state: 'landed', on: { device: strip.id, screw: next.id } } })
            )
          ]
        : []),
      ...(other
        ? [
            both(
              `${wire.id} exchanged`,
              withWire(withWire(sound, at, { far: other.far }), (at + 1) % sound.wires.length, {
                far: wire.far
              })
            )
          ]
        : [])
    ];
  });
  return [both('sound', sound), ...perWire, ...recordOddities(sound, recorded)];
}

function recordOddities(
  sound: MainsControls,
  recorded: (name: string, record: MainsControls) => Oddity
): Oddity[] {
  const perScrew = sound.devices
    .filter(({ part }) => part !== 'wiring-centre')
    .flatMap((device) =>
      device.screws.map((screw) =>
        recorded(`${device.id} ${screw.mark} unread`, {
          ...sound,
          devices: sound.devices.map((candidate) =>
            candidate.id === device.id
              ? {
                  ...candidate,
                  screws: candidate.screws.map((it) =>
                    it.id === screw.id ? { ...it, does: 'unknown' as const } : it
                  )
                }
              : candidate
          )
        })
      )
    );
  const perDevice = sound.devices
    .filter(({ part }) => part !== 'wiring-centre')
    .map((device) =>
      recorded(`${device.id} not written down`, {
        ...sound,
        devices: sound.devices.filter(({ id }) => id !== device.id),
        cables: sound.cables.filter(({ near, far }) => near !== device.id && far !== device.id),
        wires: sound.wires.filter(({ near, far }) => [near, far].every(({ on }) => on?.device !== device.id))
      })
    );
  const input = recorded('boiler input unread', {
    ...sound,
    devices: sound.devices.map((device) =>
      device.part === 'boiler' ? { ...device, input: 'unknown' } : device
    )
  });
  const contacts = recorded('timer contacts unread', {
    ...sound,
    devices: sound.devices.map((device) =>
      device.part === 'timer' ? { ...device, contacts: 'unknown' } : device
    )
  });
  return [...perScrew, ...perDevice, input, contacts];
}

/** All cases, in blocks of one house. */
export function* mainsCases(): Generator<MainsCase> {
  for (const house of HOUSES)
    for (const { name, truth, record } of odditiesOf(house))
      for (const { id } of CONTROLLERS)
        yield { id: `${house}: ${name}: ${id}`, house, controller: id, oddity: name, truth, record };
}

/** What is wrong with what is on offer; empty where nothing is. */
export function mainsViolations(mainsCase: MainsCase): string[] {
  const plan = planMains(mainsCase.record, { controller: mainsCase.controller });
  const truth = wiringFromMains(mainsCase.truth);
  const inputs = inputsOf(truth);
  return plan.ways
    .filter(({ method, verdict }) => method !== 'keep' && verdict !== 'no')
    .flatMap((way) =>
      wayViolations(mainsCase, way, truth, inputs).map((text) => `${way.method} ${way.variant.id}: ${text}`)
    );
}

function wayViolations(mainsCase: MainsCase, way: MainsWay, truth: Wiring, inputs: MainsInputs): string[] {
  if (way.verdict !== 'pro') return [`offered as ${way.verdict} though nobody competent is named`];
  let after = truth;
  for (const { change, text } of way.moves) {
    if (change === null) continue;
    try {
      after = applyChange(after, change);
    } catch (error) {
      return [`a move does not fit the house: ${text} (${error instanceof Error ? error.message : ''})`];
    }
  }
  const solved = truthTable({
    wiring: after,
    inputs,
    layout: MAINS_LAYOUT_OF[mainsCase.house],
    dead: way.dead
  });
  if (!isTable(solved)) return [solved.why];
  const wrong = solved.rows.filter(({ amiss }) => amiss.length > 0);
  return [
    ...wrong.map(({ state, amiss }) => `${rowId(state.row)}: ${amiss.join()} is not as it should be`),
    ...solved.harms.map(({ harm, at }) => `harm: ${harm} ${at.join()}`),
    ...disagreements(after, inputs)
  ];
}

/** Rows in which the solver and the second opinion differ. */
export function disagreements(wiring: Wiring, inputs: MainsInputs): string[] {
  const valves = wiring.devices.filter(
    (device): device is MainsUnit =>
      device.kind === 'mains' && (device.part === 'two-port-valve' || device.part === 'mid-position-valve')
  );
  return rowsOf(inputs).flatMap((row) => {
    const solved = solveRow(wiring, row);
    if ('ok' in solved) return [solved.why];
    const second = reachRow(wiring, row);
    if (second.unclear) return [];
    const motor = (valve: MainsUnit) =>
      solved.coils.has(`${valve.id}:${valve.part === 'two-port-valve' ? 'motor' : 'white'}`);
    const differ =
      solved.boiler !== second.boiler ||
      solved.pump !== second.pump ||
      valves.some((valve) => motor(valve) !== second.driven.get(valve.id)?.motor);
    return differ ? [`${rowId(row)}: the second opinion differs`] : [];
  });
}
