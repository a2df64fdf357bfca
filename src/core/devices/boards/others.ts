/**
 * What hangs under a machine's screws beside the thermostat's wires: a relay or a lamp of something else draws its current from the same
 * transformer whenever that screw is live. A float switch is no load; it stands in line (`feed-switches.ts`, `board.ts`).
 */
import { COILS, coilOhms } from '../../trade/loads';
import type { Board } from '../../wiring/graph';
import type { Element } from '../elements';
import { coilBetween, commonNode } from './board';

/** A small incandescent or neon lamp with its resistor. */
const LAMP_VA = 3;

export function othersOn(board: Board): Element[] {
  return board.others.flatMap(({ terminal, kind }, at): Element[] => {
    const id = `${board.id}:other-${at + 1}`;
    const screw = board.screws.find((candidate) => candidate.id === terminal);
    if (!screw || screw.means[0] === 'C') return [];
    const { mark } = screw;
    if (kind === 'relay')
      return [
        coilBetween(
          id,
          { device: board.id, part: 'coil', mark: `other on ${mark}` },
          [terminal, commonNode(board)],
          COILS.accessoryRelay
        )
      ];
    if (kind === 'lamp')
      return [
        {
          kind: 'resistor',
          of: 'electronics',
          id,
          a: terminal,
          b: commonNode(board),
          ohms: coilOhms(LAMP_VA),
          part: { device: board.id, part: 'lamp', mark }
        }
      ];
    return [];
  });
}
