import { ref } from '../../findings/refs';
import { ESTIMATE, type Evidence } from '../types';

/** What the plate of the machine says that it burns: it outweighs any letter. */
export const fuel: Evidence = {
  id: 'fuel',
  kind: 'read',
  ask: 'Which fuel stands on the plate of the machine?',
  how: 'Read the plate inside the door: gas, oil, propane, or only volts and kilowatts.',
  effort: 'climb',
  source: ESTIMATE,
  values: [
    {
      value: 'burns',
      label: 'Gas, oil, propane, wood',
      sentence: 'The plate of the machine names a fuel that burns.'
    },
    {
      value: 'electricity',
      label: 'Electricity alone',
      sentence: 'The plate of the machine names electricity alone.'
    }
  ],
  likelihood: {
    furnace: [0.995, 0.005],
    'furnace-ac': [0.995, 0.005],
    'electric-furnace': [0.005, 0.995],
    'heat-pump': [0.02, 0.98],
    'dual-fuel': [0.9, 0.1],
    boiler: [0.95, 0.05],
    steam: [0.98, 0.02],
    'boiler-plus-ac': [0.93, 0.07],
    'cooling-only': [0.05, 0.95],
    'contact-heater': [0.9, 0.1],
    communicating: [0.7, 0.3],
    'line-voltage': [0.02, 0.98],
    millivolt: [0.995, 0.005],
    'mains-hydronic': [0.95, 0.05]
  },
  read: ({ job, thermostat }) => {
    const own = job.equipment.filter(
      (machine) => thermostat.equipment.includes(machine.id) && machine.kind !== 'outdoor-unit'
    );
    const [machine, ...others] = own.filter(({ fuel }) => fuel !== 'unknown' && fuel !== 'none');
    // Two machines with fuels of their own say nothing in one word.
    if (!machine || others.length > 0) return null;
    const value = machine.fuel === 'electricity' ? 'electricity' : 'burns';
    return { value, because: [ref.machine(machine.id)] };
  }
};
