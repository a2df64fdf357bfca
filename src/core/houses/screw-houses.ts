/** Houses whose terminals are more than marks: several of one print, prints of the maker's own, none at all, and cables to two machines. */
import type { Job } from '../job/schema';
import { house, type House } from './builder';

const thin = { 'conductor-build': 'thin', 'measured-volts': 27 } as const;

/** A heater in the room with two screws that both say T, and a plate with two. */
export const twoTs = (): House =>
  house({
    strands: ['RD T T', 'WH T#2 T#2'],
    plate: ['T', 'T'],
    board: ['T', 'T'],
    stated: 'boiler',
    observed: { ...thin, 'heat-from': 'radiators' },
    equipment: { name: 'boiler', kind: 'boiler' }
  });

/** A panel on which five zones have a W each, this one on the third; R and C serve all. */
export const panelOfFive = (): House =>
  house({
    strands: ['RD R R', 'WH W W#3', 'BU C C'],
    plate: ['R', 'W', 'C'],
    board: ['R', 'C', 'W', 'W', 'W', 'W', 'W'],
    stated: 'boiler',
    observed: { ...thin, 'heat-from': 'radiators' },
    equipment: { name: 'zone panel', kind: 'zone-panel' }
  });

/** A board that prints W/AUX for its second heat and COM for common, with a screw that nothing is printed beside: its blower. */
export const makersOwnPrints = (): House => {
  const made = house({
    strands: ['RD R R', 'WH AUX W/AUX', 'YE Y Y', 'GN G #1', 'OG O O', 'BU C COM'],
    plate: ['R', 'AUX', 'Y', 'G', 'O', 'C'],
    board: ['R', 'W/AUX', 'COM', 'Y', 'O', ''],
    stated: 'heat-pump',
    observed: { ...thin, 'heat-from': 'registers', 'outdoor-unit': 'runs' },
    equipment: { name: 'air handler', kind: 'air-handler' }
  });
  const equipment = made.job.equipment.map((machine) => ({
    ...machine,
    screws: machine.screws.map((screw) =>
      screw.mark === '' ? { ...screw, role: { means: 'fan' as const, from: 'diagram' as const } } : screw
    )
  }));
  return { job: { ...made.job, equipment }, thermostat: made.thermostat };
};

/** A boiler on one cable, an air handler on another: each cable says which two places it joins. */
export const twoCables = (): House => {
  const made = house({
    strands: ['RD RH R', 'WH W W', 'BK RC R@2', 'YE Y Y@2', 'GN G G@2', 'BU C C@2'],
    plate: ['RH', 'RC', 'W', 'Y', 'G', 'C'],
    board: ['R', 'C', 'W'],
    further: [{ marks: ['R', 'C', 'Y', 'G'], name: 'air handler', kind: 'air-handler' }],
    stated: 'boiler-plus-ac',
    observed: { ...thin, 'heat-from': 'radiators', 'outdoor-unit': 'rests' },
    equipment: { name: 'boiler', kind: 'boiler' }
  });
  const [cable] = made.thermostat.cables;
  const [boiler, air] = made.job.equipment;
  if (!cable || !boiler || !air) throw new Error('A house of two machines');
  const second = { ...cable, id: 'ca-2' as typeof cable.id, name: 'second cable', far: air.id };
  const thermostat = {
    ...made.thermostat,
    cables: [{ ...cable, far: boiler.id }, second],
    conductors: made.thermostat.conductors.map((conductor, index) =>
      index < 2 ? conductor : { ...conductor, cable: second.id }
    )
  };
  const job: Job = { ...made.job, thermostats: [thermostat] };
  return { job, thermostat };
};

/** A furnace with a humidifier that the thermostat calls, on a terminal of its own. */
export const withHumidifier = (): House =>
  house({
    strands: ['RD R R', 'WH W W', 'GN G G', 'BU C C', 'BN HUM HUM'],
    plate: ['R', 'W', 'G', 'C', 'HUM'],
    board: ['R', 'C', 'W', 'G', 'HUM'],
    stated: 'furnace',
    observed: { ...thin, 'heat-from': 'registers', flue: 'burner' },
    equipment: { accessories: [{ kind: 'humidifier', ownRelay: 'no', note: '' }] }
  });
