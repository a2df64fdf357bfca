import { conductorOhms } from '../../trade/cable';
import { finding, type Finding } from '../../trade/findings';
import { canonicalMark, isHot } from '../../trade/terminals';
import {
  hasMark,
  landedTerminal,
  splitTerminal,
  terminalId,
  type PlugInTransformer,
  type Strand,
  type Wiring
} from '../../wiring/graph';
import { swapThermostat } from '../swap-thermostat';
import { refused, type Method, type SupplySituation } from '../types';

const CORD_M = 3;
const PLUG_ID = 'plug-in';

/** A small 24 VAC supply in an outlet feeds the thermostat's own electronics on RC and C; the furnace keeps RH. */
export const plugInTransformer: Method = {
  id: 'plug-in-transformer',
  title: 'A small supply in an outlet',
  how: 'A 24 VAC plug-in supply feeds RC and C of the thermostat; the equipment’s hot conductor goes to RH, and the link between the two comes out.',
  standing: 'added',
  offer(situation) {
    const { device, thermostat } = situation;
    if (!hasMark(device, 'C')) {
      return refused(
        finding('stop', 'device-has-no-common', `The ${device.model} has no C terminal.`, [device.id])
      );
    }
    if (device.rails !== 'link-removable' && device.rails !== 'link-to-be-cut') {
      const how = device.rails === 'one-r' ? 'has one R only' : 'joins RH and RC inside';
      return refused(
        finding(
          'stop',
          'rails-not-separable',
          `The ${device.model} ${how}: two supplies would be tied together. It needs RH and RC with a link that comes out.`,
          [device.id]
        )
      );
    }
    if (thermostat.outlet === 'none') {
      return refused(
        finding('stop', 'no-outlet', 'There is no outlet in reach of the thermostat.', ['outlet'])
      );
    }
    const { wiring, findings } = swapThermostat(situation);
    return {
      after: withPlug(wiring, situation),
      findings: [...findings, ...conditions(situation)],
      loses: [{ text: 'a cord shows on the wall, and an outlet is taken' }],
      parts: [
        {
          id: 'plug-in-supply',
          name: 'Listed plug-in supply, 24 VAC, 20 VA, Class 2',
          quantity: 1,
          unit: 'piece',
          cost: 24
        },
        { id: 'raceway', name: 'Surface raceway for the cord', quantity: 2, unit: 'metre', cost: 9 }
      ],
      extraMinutes: 15
    };
  }
};

function withPlug(wiring: Wiring, { device }: SupplySituation): Wiring {
  const plug: PlugInTransformer = {
    kind: 'plug-in-transformer',
    id: PLUG_ID,
    place: 'outlet',
    name: 'plug-in supply',
    marks: ['R', 'C'],
    va: 20
  };
  const rail = canonicalMark(device.electronicsFrom);
  const other = rail === 'RC' ? 'RH' : 'RC';
  return {
    devices: [...wiring.devices, plug],
    cables: [
      ...wiring.cables,
      { id: 'ca-cord', name: 'cord of the plug-in supply', path: 'free', lengthM: CORD_M, gauge: 18 }
    ],
    strands: [
      ...wiring.strands.map((strand) => offTheRail(strand, device.id, other)),
      cordStrand('co-cord-1', 'first cord', terminalId(device.id, rail), terminalId(PLUG_ID, 'R')),
      cordStrand('co-cord-2', 'second cord', terminalId(device.id, 'C'), terminalId(PLUG_ID, 'C'))
    ],
    links: wiring.links.filter((link) => link.place !== 'wall')
  };
}

/** The equipment's hot conductor moves to the other rail; a common of the equipment comes off, since C is the plug-in supply's now. */
function offTheRail(strand: Strand, device: string, rail: string): Strand {
  const wall = landedTerminal(strand.wall);
  if (wall === null) return strand;
  const { mark } = splitTerminal(wall);
  if (isHot(mark)) return { ...strand, wall: { state: 'landed', terminal: terminalId(device, rail) } };
  return mark === 'C' ? { ...strand, wall: { state: 'coiled' } } : strand;
}

function cordStrand(id: string, name: string, wall: string, plug: string): Strand {
  return {
    id,
    cable: 'ca-cord',
    name,
    colour: null,
    colourBeyond: null,
    stripe: null,
    spliced: 'no',
    continuity: 'proven',
    ohms: conductorOhms(18, CORD_M),
    wall: { state: 'landed', terminal: wall },
    equipment: { state: 'landed', terminal: plug }
  };
}

function conditions({ thermostat, device }: SupplySituation): Finding[] {
  const found: Finding[] = [
    finding(
      'note',
      'cord-not-in-wall',
      'The cord runs down the face of the wall or in a raceway. Inside a wall only listed low-voltage cable may run, in most codes.',
      []
    ),
    finding(
      'note',
      'second-supply-off',
      'From then on the thermostat has a supply of its own: pull the plug as well before anybody works on it.',
      [device.id]
    )
  ];
  if (thermostat.outlet === 'unknown') {
    found.push(
      finding('warn', 'outlet-not-known', 'Make sure that an outlet is in reach that no switch turns off.', [
        'outlet'
      ])
    );
  }
  if (device.rails === 'link-to-be-cut') {
    found.push(
      finding('warn', 'link-must-suit-supplies', 'The link between RH and RC has to be cut for good.', [
        device.id
      ])
    );
  }
  return found;
}
