import { conductorOhms, type Gauge } from '../../trade/cable';
import { landed, landedTerminal, screwThat, sheetTerminal, type Strand } from '../../wiring/graph';
import { cablePart, endsOf, newCableLength, pathConditions, pullLine } from '../cable-pull';
import { commonAt, isFinding, perCommon } from '../requirements';
import { swapThermostat } from '../swap-thermostat';
import { refused, type Method } from '../types';

const GAUGE: Gauge = 18;
const CABLE_ID = 'ca-one';

/** One new conductor along the old path; the old cable stays. */
export const addConductor: Method = {
  id: 'add-conductor',
  title: 'Pull one more wire',
  how: 'One new wire is pulled along the old cable and landed on C at both ends; a pull line stays behind.',
  standing: 'added',
  variants: (situation) => perCommon(situation, []),
  offer(situation, variant) {
    const { before, device } = situation;
    const board = commonAt(situation, variant);
    if (isFinding(board)) return refused(board);
    const { wiring, findings } = swapThermostat(situation, board);
    const lengthM = newCableLength(before);
    const strand: Strand = {
      id: 'co-one',
      cable: CABLE_ID,
      name: 'new blue',
      colour: 'BU',
      colourBeyond: 'BU',
      stripe: null,
      spliced: 'no',
      continuity: 'proven',
      ohms: conductorOhms(GAUGE, lengthM),
      near: landed(sheetTerminal(device, 'C')),
      far: landed(screwThat(board, 'C')?.id ?? '')
    };
    const off = (strand: Strand): Strand =>
      landedTerminal(strand.near) === sheetTerminal(device, 'C')
        ? { ...strand, near: { state: 'coiled' } }
        : strand;
    return {
      after: {
        ...wiring,
        cables: [
          ...wiring.cables,
          {
            id: CABLE_ID,
            name: 'new single wire',
            path: 'free',
            insulation: 'sound',
            lengthM,
            gauge: GAUGE,
            ...endsOf(wiring, board)
          }
        ],
        strands: [...wiring.strands.map(off), strand]
      },
      findings: [...findings, ...pathConditions(situation)],
      loses: [],
      parts: [cablePart(1, lengthM), pullLine(lengthM)],
      extraMinutes: 20
    };
  }
};
