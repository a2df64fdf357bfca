/** Every part of mains heating controls with its circuit, so that the compiler refuses a part without behaviour. */
import { CONTACT_OHMS } from '../../trade/loads';
import type { MainsFunction, MainsPart } from '../../trade/mains';
import type { MainsUnit } from '../../wiring/graph';
import { EMPTY_FRAGMENT, type Element, type Fragment } from '../elements';
import { coldThermostat, controller, cylinderThermostat, roomThermostat, timer, wallPart } from './controls';
import { mainsBoiler, mainsPump, midPositionValve, spur, twoPortValve } from './loads';
import { screwsThat } from './screws';

const MODELS: Readonly<Record<MainsPart, (unit: MainsUnit) => Fragment>> = {
  supply: spur,
  timer,
  'room-thermostat': roomThermostat,
  'cylinder-thermostat': cylinderThermostat,
  'two-port-valve': twoPortValve,
  'mid-position-valve': midPositionValve,
  pump: mainsPump,
  boiler: mainsBoiler,
  'frost-thermostat': coldThermostat,
  'pipe-thermostat': coldThermostat,
  'wiring-centre': () => EMPTY_FRAGMENT,
  controller,
  'wall-part': wallPart
};

/** Screws that are one inside a device where it has several of them. */
const SAME_INSIDE: readonly MainsFunction[] = ['live', 'neutral', 'earth', 'switched-live', 'pump-live'];

export function mainsUnit(unit: MainsUnit): Fragment {
  const own = MODELS[unit.part](unit);
  const joints = SAME_INSIDE.flatMap((does): Element[] => {
    const [first, ...others] = screwsThat(unit, does);
    return others.map((other) => ({
      kind: 'resistor',
      of: 'joint',
      id: `${other.id}:inside`,
      a: first?.id ?? other.id,
      b: other.id,
      ohms: CONTACT_OHMS,
      part: { device: unit.id, part: 'joint', mark: other.mark }
    }));
  });
  return { ...own, elements: [...own.elements, ...joints] };
}
