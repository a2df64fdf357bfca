/** What is tried after the work, in order: each state by itself, with what has to run and what must not, from the proof of the wiring as it is. */
import { rowOfProbe, type Probe } from '../../diagnose/mains/looks';
import { HOUSE_VOLTS } from '../../trade/mains';
import { rowFor, rowId, type MainsInputs, type MainsRow } from '../../proof/mains/rows';
import { solveRow, type RowState } from '../../proof/mains/ways';
import type { MainsControls } from '../../job/mains-schema';
import type { Wiring } from '../../wiring/graph';

export interface MainsTestPlan {
  readonly row: string;
  /** The state of finding out why that this is; null where it is none of those. */
  readonly probe: Probe | null;
  readonly name: string;
  /** How to bring the state about. */
  readonly how: string;
  readonly mustRun: readonly string[];
  readonly mustNot: readonly string[];
  readonly wait: string;
  readonly stopWhen: string;
  /** At the controller's terminals, live to neutral, V: mains may be 10 % off either way. */
  readonly volts: { readonly least: number; readonly most: number };
}

export interface MainsTestRow extends MainsTestPlan {
  readonly result: MainsControls['tests'][number] | null;
}

const STOP =
  'Smell, smoke, a hum that does not end, a fuse that opens: off at the spur, fuse out. A fuse that opens twice is a short.';

export function testsFor(
  wiring: Wiring,
  inputs: MainsInputs,
  results: MainsControls['tests']
): MainsTestRow[] {
  const last = new Map(results.map((result) => [result.row, result]));
  return rowsToTest(inputs).flatMap(({ row, name, how }) => {
    const state = solveRow(wiring, row);
    if ('ok' in state) return [];
    const { mustRun, mustNot } = expectations(state, inputs);
    const id = rowId(row);
    return [
      {
        row: id,
        probe: probeOf(row, inputs),
        name,
        how,
        mustRun,
        mustNot,
        wait:
          mustRun.length === 0
            ? 'Up to ten minutes: a pump or a fan may run on after heat.'
            : 'A valve takes up to a minute, the boiler two more, pipes ten.',
        stopWhen: STOP,
        volts: { least: Math.round(HOUSE_VOLTS * 0.9), most: Math.round(HOUSE_VOLTS * 1.1) },
        result: last.get(id) ?? null
      }
    ];
  });
}

/** What was not as it should be in such a state is what was seen there. */
function probeOf(row: MainsRow, inputs: MainsInputs): Probe | null {
  const probes = ['off', 'heating', 'water', 'both'] as const;
  return (
    probes.find((probe) => {
      const own = rowOfProbe(inputs, probe);
      return own !== null && rowId(own) === rowId(row);
    }) ?? null
  );
}

function expectations(state: RowState, inputs: MainsInputs): Pick<MainsTestPlan, 'mustRun' | 'mustNot'> {
  const heat = state.boiler && state.heatingWay === 'open';
  const water = state.boiler && state.waterWay === 'open';
  const all: readonly (readonly [string, boolean])[] = [
    ['boiler', state.boiler],
    ['pump', state.pump],
    ['radiators get warm', heat],
    ...(inputs.water || inputs.cylinder ? ([['the cylinder gets warm', water]] as const) : [])
  ];
  return {
    mustRun: all.filter(([, runs]) => runs).map(([what]) => what),
    mustNot: all.filter(([, runs]) => !runs).map(([what]) => what)
  };
}

/** First nothing, then each by itself, then together, then each thermostat's say. */
function rowsToTest(inputs: MainsInputs): { row: MainsRow; name: string; how: string }[] {
  const row = (heating: boolean, water: boolean) => rowFor(inputs, { heating, water });
  const warm = { ...row(true, false), rooms: Object.fromEntries(inputs.rooms.map((room) => [room, false])) };
  const list: { row: MainsRow; name: string; how: string }[] = [
    { row: row(false, false), name: 'All off', how: 'Heating and hot water off.' },
    {
      row: row(true, false),
      name: 'Heating alone',
      how: 'Set the room 5 °C higher than it is; hot water off.'
    },
    {
      row: warm,
      name: 'Room warm',
      how: 'Heating on, the room set 5 °C lower than it is; hot water off.'
    }
  ];
  if (inputs.water)
    list.push(
      {
        row: row(false, true),
        name: 'Hot water alone',
        how: 'Heating off, hot water on; let some run so that the cylinder calls.'
      },
      { row: row(true, true), name: 'Both', how: 'Heating and hot water on, both calling.' }
    );
  if (inputs.cylinder)
    list.push({
      row: { ...row(false, true), cylinder: false },
      name: 'Cylinder hot',
      how: 'Hot water on, heating off; turn the cylinder thermostat down until it clicks, back afterwards.'
    });
  if (inputs.frost)
    list.push({
      row: { ...row(false, false), frost: true },
      name: 'Frost',
      how: 'All off; turn the frost thermostat up until it clicks, back afterwards.'
    });
  if (inputs.rooms.length > 1)
    for (const room of inputs.rooms)
      list.push({
        row: {
          ...row(true, false),
          rooms: Object.fromEntries(inputs.rooms.map((word) => [word, word === room]))
        },
        name: `One zone alone`,
        how: `Heating on, only this zone calling.`
      });
  return list;
}
