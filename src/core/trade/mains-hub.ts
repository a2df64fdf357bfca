/** Where the cables of mains heating controls meet: at the wiring centre, and in a house without one at the boiler. */
import type { MainsPart } from './mains';

interface Unit {
  readonly id: string;
  readonly part: MainsPart;
}

/** Connectors that a plan sets: they join like a wiring centre, but no cables of the house meet there. */
export const CONNECTOR_ID = 'connector';
export const LOW_CONNECTOR_ID = 'low-connector';

export function isConnector({ id }: Pick<Unit, 'id'>): boolean {
  return id === CONNECTOR_ID || id === LOW_CONNECTOR_ID;
}

/** The wiring centres, else the boilers: the devices whose terminals are told one by one, with what is on each. */
export function hubsAmong<T extends Unit>(units: readonly T[]): readonly T[] {
  const centres = units.filter((unit) => unit.part === 'wiring-centre' && !isConnector(unit));
  return centres.length > 0 ? centres : units.filter(({ part }) => part === 'boiler');
}

export type Hub = 'wiring-centre' | 'boiler';

export function hubOf(units: readonly Unit[]): Hub {
  return hubsAmong(units).some(({ part }) => part === 'wiring-centre') ? 'wiring-centre' : 'boiler';
}

/** What each of its terminals is called. */
export const HUB_SPOTS: Readonly<Record<Hub, string>> = { 'wiring-centre': 'number', boiler: 'terminal' };

/** The heading over what is on them. */
export const SPOTS_HEADING: Readonly<Record<Hub, string>> = {
  'wiring-centre': 'Under each number',
  boiler: 'On each terminal of the boiler'
};

/** What is opened to get at them. A boiler's case may be part of its seal: no more of it than that. */
export const HUB_COVERS: Readonly<Record<Hub, string>> = {
  'wiring-centre': 'Wiring centre, cover off',
  boiler: 'Boiler, the cover of its terminals off and nothing else of its case'
};
