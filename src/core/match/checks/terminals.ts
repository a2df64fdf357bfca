import { markForRole, roleOf, type Role } from '../../devices/roles';
import { finding, type Finding } from '../../trade/findings';
import { MARKS } from '../../trade/terminals';
import { assumeUnseenEnds } from '../../wiring/from-job';
import { equipmentMark } from '../../wiring/trace';
import type { MatchCheck } from '../types';

const spoken: Partial<Record<Role, string>> = {
  heat1: 'heat',
  heat2: 'the second heat stage',
  compressor1: 'the compressor',
  compressor2: 'the second compressor stage',
  fan: 'the blower',
  reversing: 'the reversing valve',
  aux: 'auxiliary heat',
  emergency: 'emergency heat',
  humidify: 'the humidifier'
};

/** Every conductor that works today wants a terminal on the new thermostat. */
export const terminals: MatchCheck = {
  id: 'terminals',
  check({ device, wiring, worlds }) {
    const [world] = worlds;
    if (!world) return [];
    const found: Finding[] = [];
    for (const strand of assumeUnseenEnds(wiring).wiring.strands) {
      const mark = strand.wall.state === 'landed' ? equipmentMark(strand) : null;
      if (mark === null) continue;
      const role = roleOf(mark, world);
      if (role === null) {
        const means = MARKS.get(mark)?.means ?? 'unknown';
        found.push(
          finding(
            'warn',
            'missing-terminal',
            `The ${strand.name} conductor is on ${mark} (${means}): the ${device.model} gives it no place.`,
            [strand.id]
          )
        );
      } else if (role === 'common' || role.startsWith('hot')) {
        continue;
      } else if (markForRole(role, device.marks) === null) {
        const level = role === 'heat1' || role === 'compressor1' || role === 'reversing' ? 'stop' : 'warn';
        found.push(
          finding(
            level,
            'missing-terminal',
            `It has no terminal for ${spoken[role] ?? mark}, which the ${strand.name} conductor carries today.`,
            [strand.id, device.id]
          )
        );
      }
    }
    return found;
  }
};
