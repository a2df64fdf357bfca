import { ref } from '../../findings/refs';
import { conductorOhms } from '../../trade/cable';
import { finding, type Finding } from '../../findings/finding';
import {
  landed,
  landedMark,
  screwsOfMarks,
  sheetTerminal,
  terminalId,
  wallPlace,
  type Place,
  type PlugInTransformer,
  type Strand
} from '../../wiring/graph';
import { cordOf, oldSupplies, withoutOldSupplies } from '../repairs/remove-old-supply';
import { cablePart } from '../cable-pull';
import { noCommonTerminal, ownSupply } from '../own-supply';
import { refused, type Method, type Offer, type Part, type SupplySituation } from '../types';

/** A supply that is in an outlet already stays there: its wires move over, and nothing is bought. */
function keptSupply(situation: SupplySituation): Offer | null {
  const { before, device } = situation;
  const [plug] = oldSupplies(before);
  if (!plug) return null;
  const cord = cordOf(before, plug);
  const without = withoutOldSupplies(before)?.wiring ?? before;
  const { wiring, findings, rail } = ownSupply({ ...situation, before: without }, plug);
  const onto = (strand: Strand): Strand => {
    const mark = landedMark(before, strand.far) ?? landedMark(before, strand.near);
    return { ...strand, near: landed(sheetTerminal(device, mark === 'C' ? 'C' : rail)) };
  };
  const cables = before.cables.filter((cable) => cord.some((strand) => strand.cable === cable.id));
  return {
    after: {
      ...wiring,
      cables: [...wiring.cables.filter((cable) => !cables.includes(cable)), ...cables],
      strands: [
        ...wiring.strands.filter((strand) => !cord.some((candidate) => candidate.id === strand.id)),
        ...cord.map(onto)
      ]
    },
    findings: [...findings, finding('note', 'second-supply-off', { what: 'plug' }, [ref.supply(plug.id)])],
    loses: [{ what: 'outlet' }],
    parts: [],
    extraMinutes: 0
  };
}

const CORD_M = 3;
const PLUG_ID = 'plug-in';
const OUTLET: Place = { id: 'outlet', kind: 'outlet', name: 'outlet' };

/** A small 24 VAC supply in an outlet feeds the thermostat's own electronics on RC and C; the furnace keeps RH. */
export const plugInTransformer: Method = {
  id: 'plug-in-transformer',
  title: 'A small supply in an outlet',
  how: 'A 24 VAC plug-in supply feeds RC and C of the thermostat; the equipment’s hot wire goes to RH, and the jumper between the two comes out.',
  standing: 'added',
  variants: ({ before }) =>
    oldSupplies(before).length > 0
      ? []
      : [
          { id: 'cord-on-face', title: 'Its cord in a raceway on the face of the wall' },
          { id: 'listed-cable', title: 'Listed cable inside the wall, from a box at the outlet' }
        ],
  offer(situation, variant) {
    const { device, thermostat } = situation;
    const trouble = noCommonTerminal(device);
    if (trouble) return refused(trouble);
    const kept = keptSupply(situation);
    if (kept) return kept;
    if (thermostat.outlet === 'none') return refused(finding('stop', 'no-outlet', {}, [ref.outlet]));
    const plug: PlugInTransformer = {
      kind: 'plug-in-transformer',
      id: PLUG_ID,
      at: OUTLET.id,
      name: 'plug-in supply',
      screws: screwsOfMarks(PLUG_ID, ['R', 'C']),
      va: 20
    };
    const { wiring, findings, rail } = ownSupply(situation, plug, [OUTLET]);
    const hidden = variant === 'listed-cable';
    return {
      after: {
        ...wiring,
        cables: [
          ...wiring.cables,
          {
            id: 'ca-cord',
            name: hidden ? 'listed cable of the plug-in supply' : 'cord of the plug-in supply',
            path: 'free',
            insulation: 'sound',
            lengthM: CORD_M,
            gauge: 18,
            near: wallPlace(wiring),
            far: OUTLET.id
          }
        ],
        strands: [
          ...wiring.strands,
          cordStrand('co-cord-1', 'first cord', sheetTerminal(device, rail), terminalId(PLUG_ID, 'R')),
          cordStrand('co-cord-2', 'second cord', sheetTerminal(device, 'C'), terminalId(PLUG_ID, 'C'))
        ]
      },
      findings: [...findings, ...conditions(situation, hidden)],
      loses: [{ what: hidden ? 'outlet' : 'cord-and-outlet' }],
      parts: partsOf(hidden),
      extraMinutes: hidden ? 45 : 15
    };
  }
};

function partsOf(hidden: boolean): Part[] {
  const supply: Part = {
    id: 'plug-in-supply',
    name: 'Listed plug-in supply, 24 VAC, 20 VA, Class 2',
    quantity: 1,
    unit: 'piece',
    cost: 24
  };
  if (!hidden)
    return [
      supply,
      { id: 'raceway', name: 'Surface raceway for the cord', quantity: 2, unit: 'metre', cost: 9 }
    ];
  return [
    supply,
    cablePart(2, CORD_M),
    {
      id: 'low-voltage-plate',
      name: 'Low-voltage box and plate beside the outlet',
      quantity: 1,
      unit: 'piece',
      cost: 8
    }
  ];
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
    near: landed(wall),
    far: landed(plug)
  };
}

function conditions({ thermostat, device }: SupplySituation, hidden: boolean): Finding[] {
  const found: Finding[] = [
    finding(hidden ? 'warn' : 'note', 'cord-not-in-wall', { hidden }),
    finding('note', 'second-supply-off', { what: 'plug' }, [ref.device(device.id)])
  ];
  if (thermostat.outlet === 'unknown') found.push(finding('warn', 'outlet-not-known', {}, [ref.outlet]));
  return found;
}
