/** Houses in which Y and G share one conductor: by a thermostat's combined terminal, and by a splitter behind any other. */
import type { World } from '../devices/world';
import { CATALOGUE } from '../match/catalogue';
import { terminalId, type Wiring } from '../wiring/graph';
import {
  adapter,
  boardOf,
  linkOf,
  splitter,
  strandOf,
  thermostatOf,
  wiringFrom,
  worldOf
} from './hand-wired';

export interface PoweredHouse {
  readonly wiring: Wiring;
  readonly world: World;
}

const furnace = boardOf('eq', ['R', 'C', 'W', 'Y', 'G']);
const joints = ['R', 'C', 'Y', 'G'].map((mark) =>
  linkOf('machine', terminalId('adapter', mark), terminalId('eq', mark))
);

function device(id: string) {
  const facts = CATALOGUE.find((candidate) => candidate.id === id);
  if (!facts) throw new Error(`No ${id} in the catalogue`);
  return thermostatOf(facts, 'th');
}

export function combinedHouse(): PoweredHouse {
  return {
    world: worldOf('furnace-ac'),
    wiring: wiringFrom({
      devices: [device('de-weftline'), furnace, adapter],
      strands: [
        strandOf('co-1', ['th', 'R'], ['eq', 'R']),
        strandOf('co-2', ['th', 'W'], ['eq', 'W']),
        strandOf('co-3', ['th', 'K'], ['adapter', 'K']),
        strandOf('co-4', ['th', 'C'], ['eq', 'C'])
      ],
      links: joints
    })
  };
}

export function splitterHouse(): PoweredHouse {
  return {
    world: worldOf('furnace-ac'),
    wiring: wiringFrom({
      devices: [device('de-fellgate'), splitter, furnace, adapter],
      strands: [
        strandOf('co-1', ['th', 'RC'], ['eq', 'R']),
        strandOf('co-2', ['th', 'W'], ['eq', 'W']),
        strandOf('co-3', ['split', 'K'], ['adapter', 'K']),
        strandOf('co-4', ['th', 'C'], ['eq', 'C'])
      ],
      links: [
        linkOf('wall', 'th.RH', 'th.RC'),
        linkOf('wall', 'th.Y1', 'split.Y1'),
        linkOf('wall', 'th.G', 'split.G'),
        ...joints
      ]
    })
  };
}
