import { ref } from '../../findings/refs';
import { conductorOhms, type Gauge } from '../../trade/cable';
import { colourName, usualColours, type ColourCode } from '../../trade/colours';
import { finding, type Finding } from '../../findings/finding';
import {
  landed,
  landedTerminal,
  markAt,
  screwThat,
  sheetTerminal,
  type Board,
  type Landing,
  type Strand,
  type Wiring
} from '../../wiring/graph';
import { cablePart, endsOf, newCableLength, pathConditions, pullLine } from '../cable-pull';
import { fanGivenAway } from '../repairs/restore-fan';
import { marksMean } from '../../trade/terminals';
import { commonAtBothPlates, isFinding } from '../requirements';
import { swapThermostat } from '../swap-thermostat';
import { refused, type Method, type SupplySituation } from '../types';

const GAUGE: Gauge = 18;
const CABLE_ID = 'ca-new';

/** A new cable with spare conductors, pulled along the old path with the old cable as the leader. */
export const newCable: Method = {
  id: 'new-cable',
  title: 'Pull a new cable',
  how: 'A new cable with spare wires takes the place of the old one, which serves as the leader.',
  standing: 'added',
  variants: () => [
    { id: '3', title: 'Three wires' },
    { id: '5', title: 'Five wires' },
    { id: '8', title: 'Eight wires' }
  ],
  offer(situation, variant) {
    const { before, device } = situation;
    const board = commonAtBothPlates(situation);
    if (isFinding(board)) return refused(board);
    const pathFindings = pathConditions(situation);
    const { wiring: swapped, findings } = swapThermostat(situation);
    const restored = fanRestored(swapped, board, device);
    const wiring = restored?.wiring ?? swapped;
    const ends = [...usedEnds(wiring), ...(restored ? [restored.ends] : [])];
    if (!ends.some((end) => markAt(wiring, end.wall) === 'C')) {
      ends.push({ wall: sheetTerminal(device, 'C'), equipment: screwThat(board, 'C')?.id ?? '' });
    }
    const conductors = Number(variant ?? '') || ends.length + 1;
    if (conductors < ends.length)
      return refused(
        finding(
          'stop',
          'cable-too-few',
          { conductors, used: ends.length },
          before.cables.map((cable) => ref.cable(cable.id))
        )
      );
    const lengthM = newCableLength(before);
    return {
      after: withCable(wiring, board, ends, { conductors, lengthM }),
      findings: [
        ...findings,
        ...pathFindings,
        ...(restored ? [restored.finding] : []),
        ...notRead(situation),
        ...(conductors === ends.length ? [finding('warn', 'no-spare', { what: 'none-left' })] : [])
      ],
      loses: [],
      parts: [cablePart(conductors, lengthM), pullLine(lengthM)],
      extraMinutes: 0
    };
  }
};

/** A fan that an earlier owner gave away gets a wire of its own again, where the thermostat has a terminal for it. */
function fanRestored(wiring: Wiring, board: Board, device: SupplySituation['device']) {
  const restored = marksMean(device.marks, 'G') ? fanGivenAway(wiring, board) : null;
  return restored && { ...restored, ends: { wall: sheetTerminal(device, 'G'), equipment: restored.fan } };
}

interface Ends {
  readonly wall: string;
  readonly equipment: string;
}

function usedEnds(wiring: Wiring): Ends[] {
  return wiring.strands.flatMap((strand) => {
    const wall = landedTerminal(strand.near);
    const equipment = landedTerminal(strand.far);
    return wall && equipment ? [{ wall, equipment }] : [];
  });
}

/** The colour that a terminal's conductor usually has. */
const CUSTOM: Readonly<Record<string, ColourCode>> = {
  R: 'RD',
  RH: 'RD',
  RC: 'RD',
  C: 'BU',
  W1: 'WH',
  Y1: 'YE',
  G: 'GN',
  OB: 'OG',
  O: 'OG',
  W2: 'BN',
  AUX: 'BN'
};

/** Usual colours where a terminal has one, so that the next person finds what they expect; the mark stays the truth. */
function withCable(
  wiring: Wiring,
  board: Board,
  ends: readonly Ends[],
  { conductors, lengthM }: { readonly conductors: number; readonly lengthM: number }
): Wiring {
  const colours = usualColours(Math.min(conductors, 8));
  const free = [...colours];
  const take = (wanted: string | undefined) => {
    const index = free.findIndex((candidate) => candidate === wanted);
    return free.splice(index === -1 ? free.length - 1 : index, 1)[0] ?? null;
  };
  const hasCustom = ends.map((end) => CUSTOM[markAt(wiring, end.wall) ?? '']);
  const order = ends.map((_, index) => index).sort((a, b) => Number(!hasCustom[a]) - Number(!hasCustom[b]));
  const chosen = new Map(order.map((index) => [index, take(hasCustom[index])]));
  const strand = (number: number, colour: Strand['colour'], near: Landing, far: Landing): Strand => ({
    id: `co-new-${number}`,
    cable: CABLE_ID,
    name: `new ${colour === null ? 'conductor' : colourName(colour)}`,
    colour,
    colourBeyond: colour,
    stripe: null,
    spliced: 'no',
    continuity: 'proven',
    ohms: conductorOhms(GAUGE, lengthM),
    near,
    far
  });
  const used = ends.map((end, index) =>
    strand(index + 1, chosen.get(index) ?? null, landed(end.wall), landed(end.equipment))
  );
  const spares = Array.from({ length: conductors - ends.length }, (_, index) =>
    strand(ends.length + index + 1, free.shift() ?? null, { state: 'coiled' }, { state: 'coiled' })
  );
  return {
    ...wiring,
    cables: [
      {
        id: CABLE_ID,
        name: `new cable, ${conductors} wires`,
        path: 'free',
        insulation: 'sound',
        lengthM,
        gauge: GAUGE,
        ...endsOf(wiring, board)
      }
    ],
    strands: [...used, ...spares]
  };
}

/** Every conductor of the new cable is landed at the equipment: on terminals that somebody has read, and on no guess. */
function notRead({ assumed }: SupplySituation): Finding[] {
  if (assumed.length === 0) return [];
  return [finding('stop', 'end-not-read', { what: 'new-cable' }, assumed.map(ref.conductor))];
}
