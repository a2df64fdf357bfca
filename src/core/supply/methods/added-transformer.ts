import { ref } from '../../findings/refs';
import { conductorOhms } from '../../trade/cable';
import { finding, type Finding } from '../../findings/finding';
import {
  landed,
  screwsOfMarks,
  sheetTerminal,
  terminalId,
  type AddedTransformer,
  type Strand,
  type Wiring
} from '../../wiring/graph';
import { cablePart, endsOf, newCableLength, pathConditions } from '../cable-pull';
import { feedingBoard } from '../equipment';
import { noCommonTerminal, ownSupply } from '../own-supply';
import { refused, type Method, type Part, type SupplySituation, type Variant } from '../types';
import { freeStrands } from '../spares';

const ADDED_ID = 'added-transformer';
const CABLE_ID = 'ca-added';
const TRANSFORMER: Part = {
  id: 'transformer',
  name: 'Class 2 control transformer, 24 VAC, 40 VA, for a junction box',
  quantity: 1,
  unit: 'piece',
  cost: 32
};

/** A second transformer at a junction box near the equipment, with two conductors of its own up to the thermostat. */
export const addedTransformer: Method = {
  id: 'added-transformer',
  title: 'A second transformer at the equipment',
  how: 'A second transformer at a junction box near the equipment feeds the thermostat’s own electronics over two wires; the machine keeps its own.',
  standing: 'added',
  variants({ before }): readonly Variant[] {
    const cable = { id: 'new-pair', title: 'A new cable of two wires' };
    if (freeStrands(before).length < 2) return [cable];
    return [{ id: 'two-spares', title: 'Two spare wires' }, cable];
  },
  offer(situation, variant) {
    const { before, device } = situation;
    const trouble = noCommonTerminal(device);
    if (trouble) return refused(trouble);
    const { wiring, findings, rail } = ownSupply(situation, transformerBeside(situation));
    const ends = [
      { wall: sheetTerminal(device, rail), equipment: terminalId(ADDED_ID, 'R') },
      { wall: sheetTerminal(device, 'C'), equipment: terminalId(ADDED_ID, 'C') }
    ];
    const rules = [...findings, ...mainsRules(device.id)];
    const spares = freeStrands(before).slice(0, 2);
    if (variant === 'two-spares' && spares.length === 2)
      return {
        after: onSpares(wiring, spares, ends),
        findings: rules,
        loses: [{ what: 'two-spares' }],
        parts: [TRANSFORMER],
        extraMinutes: 60
      };
    const lengthM = newCableLength(before);
    return {
      after: onNewPair(wiring, lengthM, ends),
      findings: [...rules, ...pathConditions(situation)],
      loses: [],
      parts: [TRANSFORMER, cablePart(2, lengthM)],
      extraMinutes: 60
    };
  }
};

function transformerBeside({ before }: SupplySituation): AddedTransformer {
  return {
    kind: 'added-transformer',
    id: ADDED_ID,
    at: feedingBoard(before)?.at ?? 'equipment',
    name: 'second transformer',
    screws: screwsOfMarks(ADDED_ID, ['R', 'C']),
    va: 40
  };
}

function mainsRules(device: string): Finding[] {
  return [
    finding('warn', 'call-licensed-person', { what: 'mains-joint' }, [ref.device(device)]),
    finding('note', 'second-supply-off', { what: 'transformer' }, [ref.device(device)])
  ];
}

type Ends = readonly { readonly wall: string; readonly equipment: string }[];

function onSpares(wiring: Wiring, spares: readonly Strand[], ends: Ends): Wiring {
  const onto = (strand: Strand): Strand => {
    const at = ends[spares.findIndex((spare) => spare.id === strand.id)];
    if (!at) return strand;
    return {
      ...strand,
      near: landed(at.wall),
      far: landed(at.equipment)
    };
  };
  return { ...wiring, strands: wiring.strands.map(onto) };
}

function onNewPair(wiring: Wiring, lengthM: number, ends: Ends): Wiring {
  const strands = ends.map((end, index): Strand => {
    const colour = index === 0 ? 'RD' : 'BU';
    return {
      id: `co-added-${index + 1}`,
      cable: CABLE_ID,
      name: index === 0 ? 'new red' : 'new blue',
      colour,
      colourBeyond: colour,
      stripe: null,
      spliced: 'no',
      continuity: 'proven',
      ohms: conductorOhms(18, lengthM),
      near: landed(end.wall),
      far: landed(end.equipment)
    };
  });
  return {
    ...wiring,
    cables: [
      ...wiring.cables,
      {
        id: CABLE_ID,
        name: 'new cable, 2 wires',
        path: 'free',
        insulation: 'sound',
        lengthM,
        gauge: 18,
        ...endsOf(wiring, feedingBoard(wiring))
      }
    ],
    strands: [...wiring.strands, ...strands]
  };
}
