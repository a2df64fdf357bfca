import { ref } from '../../findings/refs';
import { markForRole, type Role } from '../../devices/roles';
import { finding, type Finding } from '../../findings/finding';
import { MARKS } from '../../trade/terminals';
import { deviceAtEnd, marksOf, sheetPlate } from '../../wiring/graph';
import type { MatchCheck } from '../types';
import type { WireJob } from '../wire-jobs';

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
  check({ device, wiring, jobs }) {
    const marks = marksOf(sheetPlate(device));
    const lacks = ({ role }: WireJob) => role === null || markForRole(role, marks) === null;
    return wiring.strands.flatMap((strand): Finding[] => {
      const lacking = jobs.flatMap((byStrand) => byStrand.get(strand.id) ?? []).filter(lacks);
      const [likeliest] = lacking;
      if (!likeliest) return [];
      const machine = deviceAtEnd(wiring, strand.far);
      const because = [
        ref.conductor(strand.id),
        ...(machine?.kind === 'board' ? [ref.machine(machine.id)] : []),
        ref.device(device.id)
      ];
      const { mark, role } = likeliest;
      if (role === null) {
        const means = MARKS.get(mark)?.means ?? 'unknown';
        const fact = { what: 'mark', conductor: strand.name, mark, means, model: device.model } as const;
        return [finding('warn', 'missing-terminal', fact, because)];
      }
      const inAll = lacking.length === jobs.length;
      const what = inAll ? 'role' : 'role-in-some';
      const level = inAll && lacking.every(isNeeded) ? 'stop' : 'warn';
      const fact = { what, role: spoken[role] ?? mark, conductor: strand.name } as const;
      return [finding(level, 'missing-terminal', fact, because)];
    });
  }
};

/** Without these the house is not heated, or not cooled. */
const NEEDED: ReadonlySet<Role | null> = new Set<Role>(['heat1', 'compressor1', 'reversing']);

const isNeeded = ({ role }: WireJob) => NEEDED.has(role);
