/** Causes that no wire shows, as far as this system can have them. */
import type { DeviceFacts } from '../../job/device-facts';
import { isHeatPump, isHydronic } from '../../devices/roles';
import type { World } from '../../devices/world';
import { wallThermostat, type Wiring } from '../../wiring/graph';
import type { FaultTable } from '../fault-table';
import type { UnseenKind } from './types';

const SAYS: Readonly<Record<UnseenKind, string>> = {
  'timer-counting': 'a timer still counts: a compressor waits five minutes after each stop',
  'batteries-empty': 'the batteries of the thermostat are empty or the wrong way round',
  'set-up-system': 'the thermostat is set up for another kind of system',
  'set-up-valve': 'the thermostat’s setting of the valve (O or B) is the wrong way round',
  'set-up-stages': 'the thermostat is set up for fewer stages',
  'set-up-fan': 'the thermostat’s fan setting is wrong: who starts the blower in heating',
  'set-up-supplies': 'the thermostat is set up for one supply where there are two',
  'machine-fault': 'the machine has a fault of its own, from before',
  'something-else': 'something else that is not in this list'
};

const BATTERY_FED: readonly DeviceFacts['supply'][] = ['battery', 'common-or-battery', 'paired-receiver'];

export function unseenKinds(
  wiring: Wiring,
  world: World,
  table: Pick<FaultTable, 'calls' | 'loads'>
): UnseenKind[] {
  const plate = wallThermostat(wiring);
  const fresh = plate.kind === 'new-thermostat';
  const runsOnBatteries = plate.kind === 'new-thermostat' ? BATTERY_FED.includes(plate.facts.supply) : true;
  const calls = new Set(table.calls);
  const has: Readonly<Record<UnseenKind, boolean>> = {
    'timer-counting': table.loads.includes('compressor'),
    'batteries-empty': runsOnBatteries,
    'set-up-system': fresh,
    'set-up-valve': fresh && isHeatPump(world.family),
    'set-up-stages': fresh && (calls.has('heat2') || calls.has('cool2') || calls.has('aux')),
    'set-up-fan': fresh && !isHydronic(world.family) && table.loads.includes('blower'),
    'set-up-supplies': fresh && wiring.devices.filter(({ kind }) => kind === 'board').length > 1,
    'machine-fault': table.loads.length > 0,
    'something-else': true
  };
  return (Object.keys(has) as UnseenKind[]).filter((kind) => has[kind]);
}

export function unseenSays(kind: UnseenKind): string {
  return SAYS[kind];
}
