import { isHeatPump, isHydronic } from '../../devices/roles';
import type { World } from '../../devices/world';
import type { DeviceFacts } from '../../job/device-facts';
import { finding, type Finding } from '../../trade/findings';
import { FAMILY_NAMES } from '../../trade/vocabulary';
import type { MatchCheck } from '../types';

/** What is told to the device about the system before anything runs. What is not settled is not to be set on a guess. */
export const setUp: MatchCheck = {
  id: 'set-up',
  check({ device, worlds }) {
    if (worlds.length === 0) return [];
    const kinds = [...new Set(worlds.map(kindOf))];
    const open = kinds.length > 1;
    const found: Finding[] = [
      open
        ? finding('warn', 'set-up', `Its kind of system cannot be set yet: ${kinds.join(', or ')}.`, [
            device.id
          ])
        : finding('note', 'set-up', `Set its kind of system to ${kinds[0]}.`, [device.id])
    ];
    const valves = [...new Set(worlds.map((one) => one.reversing).filter((one) => one !== 'none'))];
    const hasValve = device.marks.some((one) => ['O/B', 'OB', 'O', 'B'].includes(one));
    if (valves.length > 0 && device.heatPump && hasValve) found.push(valveSetting(device, valves));
    if (
      worlds.every(
        (one) => !isHydronic(one.family) && !isHeatPump(one.family) && one.family !== 'cooling-only'
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
  return other === undefined
    ? finding('note', 'set-up', `Set its reversing valve to ${only}.`, [device.id])
    : finding(
        'warn',
        'set-up',
        'Its reversing valve is set to O or B: which, the plate of the machine says. Set wrongly, it cools when heat is called.',
        [device.id]
      );
}

function fanSetting(device: DeviceFacts, worlds: readonly World[]): Finding {
  const who = [...new Set(worlds.map((one) => one.blowerInHeat))];
  if (who.length > 1)
    return finding(
      'warn',
      'set-up',
      'Who runs the blower in heating is not settled: set that the thermostat does (“electric”), which is the safe side.',
      [device.id]
    );
  const text =
    who[0] === 'board'
      ? 'Set that the machine runs the blower in heating by itself.'
      : 'Set that the thermostat calls the blower with heat (“electric”).';
  return finding('note', 'set-up', text, [device.id]);
}
