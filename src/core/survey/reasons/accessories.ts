import { finding } from '../../trade/findings';
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
      .filter((one) => thermostat.equipment.includes(one.id))
      .flatMap((machine) =>
        machine.accessories.flatMap((one) => {
          const marks = TERMINALS[one.kind];
          const name = `${NAMES[one.kind]} on ${machine.name}`;
          if (marks && device && !marks.some((mark) => marksMean(device.marks, mark)))
            return [
              finding(
                'warn',
                'accessory-relay',
                `The ${device.model} has no terminal for the ${name}: it keeps a control of its own, or is lost.`,
                [machine.id, device.id]
              )
            ];
          if (one.ownRelay === 'yes')
            return [
              finding(
                'note',
                'accessory-relay',
                `The ${name} needs a relay of its own between the thermostat and it: buy one with a 24 V coil.`,
                [machine.id]
              )
            ];
          if (one.ownRelay === 'unknown' && marks)
            return [
              finding(
                'note',
                'accessory-relay',
                `Whether the ${name} needs a relay of its own is not known: read its plate (anything but 24 V needs one).`,
                [machine.id]
              )
            ];
          return [];
        })
      );
    return found.length === 0 ? FINE : { asks: 'nothing', findings: found };
  }
};
