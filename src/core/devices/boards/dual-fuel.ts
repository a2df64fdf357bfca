/**
 * Heat pump with a burner for help: compressor and burner heat the same air and never run at once. The board's lock-out is a relay on Y
 * whose rest contact feeds the gas valve, so that a thermostat which calls both still gets the compressor alone.
 */
import { COILS } from '../../trade/loads';
import type { Board } from '../../wiring/graph';
import type { Element, Fragment } from '../elements';
import { accessoriesOn } from './accessories';
import { coilBetween, coilId, coilOn, coilScrew, commonNode, supplyElements } from './board';
import { valveMarks } from './heat-pump';

const burnerMarks = ['W1', 'W2', 'AUX', 'E'];

export function dualFuelBoard(board: Board): Fragment {
  const lockOut = `${board.id}:lock-out`;
  const valve = `${board.id}:gas-valve`;
  const behind = `${board.id}:behind-lock-out`;
  const common = commonNode(board);
  const coil = (mark: string) => ({ device: board.id, part: 'coil', mark }) as const;
  const compressor = coilScrew(board, 'Y1');
  const fromCalls = burnerMarks.flatMap((mark): Element[] => {
    const screw = coilScrew(board, mark);
    if (!screw) return [];
    const id = `${board.id}:lock-out-${mark}`;
    const part = { device: board.id, part: 'contact', mark } as const;
    return [{ kind: 'contact', id, a: screw.id, b: behind, coil: lockOut, closedWhen: 'released', part }];
  });
  const accessories = accessoriesOn(board);
  return {
    elements: [
      ...supplyElements(board),
      ...coilOn(board, 'Y1', COILS.contactor),
      ...(compressor
        ? [coilBetween(lockOut, coil('lock-out'), [compressor.id, common], COILS.lockOutRelay)]
        : []),
      ...coilOn(board, 'G', COILS.fanRelay),
      ...valveMarks.flatMap((mark) => coilOn(board, mark, COILS.reversingValve)),
      ...fromCalls,
      coilBetween(valve, coil('gas valve'), [behind, common], COILS.gasValve),
      ...accessories.elements
    ],
    loads: [
      { load: 'compressor', coils: [coilId(board, 'Y1')] },
      { load: 'burner', coils: [valve] },
      { load: 'blower', coils: [coilId(board, 'G'), valve] },
      { load: 'reversing-valve', coils: valveMarks.map((mark) => coilId(board, mark)) },
      ...accessories.loads
    ],
    ground: common
  };
}
