import { ref } from '../../findings/refs';
import { isHeatPump, isHydronic } from '../../devices/roles';
import type { World } from '../../devices/world';
import type { DeviceFacts } from '../../job/device-facts';
import { finding, type Finding } from '../../findings/finding';
import { FAMILY_NAMES } from '../../trade/vocabulary';
import type { MatchCheck } from '../types';

/** What is told to the device about the system before anything runs. What is not settled is not to be set on a guess. */
export const setUp: MatchCheck = {
  id: 'set-up',
  check({ device, identification, worlds: all }) {
    // It is set to what somebody states that it is, though the proof goes on counting what else it may be.
    const { stated, family } = identification;
    const worlds = stated ? all.filter((world) => world.family === family) : all;
    if (worlds.length === 0) return [];
    const kinds = [...new Set(worlds.map(kindOf))];
    const system = { what: 'system', systems: kinds } as const;
    const found: Finding[] = [
      // As long as the system is open, that it is open is said of the place.
      finding(kinds.length > 1 && identification.decided ? 'warn' : 'note', 'set-up', system, [
        ref.device(device.id)
      ])
    ];
    const valves = [
      ...new Set(worlds.map((world) => world.reversing).filter((reversing) => reversing !== 'none'))
    ];
    const hasValve = device.marks.some((mark) => ['O/B', 'OB', 'O', 'B'].includes(mark));
    if (valves.length > 0 && device.heatPump && hasValve) found.push(valveSetting(device, valves));
    if (
      worlds.every(
        (world) => !isHydronic(world.family) && !isHeatPump(world.family) && world.family !== 'cooling-only'
      )
    )
      found.push(fanSetting(device, worlds));
    return found;
  }
};

function kindOf({ family }: World): string {
  if (isHydronic(family)) return family === 'steam' ? 'steam' : 'water (boiler)';
  if (isHeatPump(family)) return family === 'dual-fuel' ? 'heat pump with a burner for help' : 'heat pump';
  return FAMILY_NAMES[family];
}

function valveSetting(device: DeviceFacts, valves: readonly World['reversing'][]): Finding {
  const [only, other] = valves;
  const valve = other === undefined && (only === 'O' || only === 'B') ? only : null;
  const level = valve === null ? 'warn' : 'note';
  return finding(level, 'set-up', { what: 'valve', valve }, [ref.device(device.id)]);
}

function fanSetting(device: DeviceFacts, worlds: readonly World[]): Finding {
  const who = [...new Set(worlds.map((world) => world.blowerInHeat))];
  const because = [ref.device(device.id)];
  if (who.length > 1) return finding('warn', 'set-up', { what: 'fan-open' }, because);
  const what = who[0] === 'board' ? 'fan-board' : 'fan-thermostat';
  return finding('note', 'set-up', { what }, because);
}
