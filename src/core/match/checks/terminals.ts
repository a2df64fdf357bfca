import { ref } from '../../findings/refs';
import { markForRole, roleOf, type Role } from '../../devices/roles';
import { finding, type Finding } from '../../findings/finding';
import { MARKS } from '../../trade/terminals';
import { assumeUnseenEnds } from '../../wiring/from-job';
import { landedMark, marksOf, sheetPlate } from '../../wiring/graph';
import { readIn } from '../../wiring/meaning';
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
  humidify: 'the humidifier',
  dehumidify: 'the dehumidifier',
  ventilate: 'the ventilator'
};

/** Every conductor that works today wants a terminal on the new thermostat. */
export const terminals: MatchCheck = {
  id: 'terminals',
  check({ device, wiring, worlds }) {
    const [world] = worlds;
    if (!world) return [];
    const found: Finding[] = [];
    const assumed = readIn(assumeUnseenEnds(wiring).wiring, world.family);
    const marks = marksOf(sheetPlate(device));
    for (const strand of assumed.strands) {
      const mark = strand.near.state === 'landed' ? landedMark(assumed, strand.far) : null;
      if (mark === null) continue;
      const role = roleOf(mark, world);
      if (role === null) {
        const means = MARKS.get(mark)?.means ?? 'unknown';
        const fact = { what: 'mark', conductor: strand.name, mark, means, model: device.model } as const;
        found.push(finding('warn', 'missing-terminal', fact, [ref.conductor(strand.id)]));
      } else if (role === 'common' || role.startsWith('hot')) {
        continue;
      } else if (markForRole(role, marks) === null) {
        const level = role === 'heat1' || role === 'compressor1' || role === 'reversing' ? 'stop' : 'warn';
        const fact = { what: 'role', role: spoken[role] ?? mark, conductor: strand.name } as const;
        const because = [ref.conductor(strand.id), ref.device(device.id)];
        found.push(finding(level, 'missing-terminal', fact, because));
      }
    }
    return found;
  }
};
