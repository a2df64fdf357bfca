import { ref } from '../../findings/refs';
import { finding } from '../../findings/finding';
import { marksMean } from '../../trade/terminals';
import { FINE, type Reason } from '../types';

const NAMES = {
  humidifier: 'humidifier',
  dehumidifier: 'dehumidifier',
  ventilator: 'ventilator',
  'condensate-pump': 'condensate pump',
  lamp: 'fault lamp'
} as const;
const TERMINALS = {
  humidifier: ['HUM', 'ACC'],
  dehumidifier: ['DEHUM', 'ACC'],
  ventilator: ['V', 'ACC'],
  'condensate-pump': null,
  lamp: ['L']
} as const;

/** What else hangs on the machines: whether it finds a terminal, and whether it needs a relay of its own. */
export const accessories: Reason = {
  id: 'accessories',
  weigh({ job, thermostat, device }) {
    const found = job.equipment
      .filter((machine) => thermostat.equipment.includes(machine.id))
      .flatMap((machine) =>
        machine.accessories.flatMap((accessory) => {
          const marks = TERMINALS[accessory.kind];
          const fact = {
            accessory: NAMES[accessory.kind],
            machine: machine.name,
            model: device?.model ?? ''
          };
          const because = [ref.machine(machine.id)];
          if (marks && device && !marks.some((mark) => marksMean(device.marks, mark)))
            return [
              finding('warn', 'accessory-relay', { what: 'no-terminal', ...fact }, [
                ...because,
                ref.device(device.id)
              ])
            ];
          if (accessory.ownRelay === 'yes')
            return [finding('note', 'accessory-relay', { what: 'own-relay', ...fact }, because)];
          if (accessory.ownRelay === 'unknown' && marks)
            return [finding('note', 'accessory-relay', { what: 'not-known', ...fact }, because)];
          return [];
        })
      );
    return found.length === 0 ? FINE : { asks: 'nothing', findings: found };
  }
};
