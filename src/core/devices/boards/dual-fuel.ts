/**
 * Heat pump with a burner for help: compressor and burner heat the same air and never run at once. The board's lock-out is a relay on Y
 * whose rest contact feeds the gas valve, so that a thermostat which calls both still gets the compressor alone.
 */
import { COILS } from '../../trade/loads';
import { hasMark, terminalId, type Board } from '../../wiring/graph';
import type { Element, Fragment } from '../elements';
import { coilBetween, coilId, coilOn, commonNode, hotMark, supplyElements } from './board';
import { valveMarks } from './heat-pump';

const burnerMarks = ['W1', 'W2', 'AUX', 'E'];

export function dualFuelBoard(board: Board): Fragment {
  const lockOut = `${board.id}:lock-out`;
  const valve = `${board.id}:gas-valve`;
  const behind = `${board.id}:behind-lock-out`;
  const common = commonNode(board);
  const fromCalls = burnerMarks
    .filter((mark) => hasMark(board, mark))
    .map((mark): Element => ({
      kind: 'contact',
      id: `${board.id}:lock-out-${mark}`,
      a: terminalId(board.id, mark),
      b: behind,
      coil: lockOut,
      closedWhen: 'released'
    }));
  return {
    elements: [
      ...supplyElements(board, hotMark(board)),
      ...coilOn(board, 'Y1', COILS.contactor),
      ...(hasMark(board, 'Y1')
        ? [coilBetween(lockOut, terminalId(board.id, 'Y1'), common, COILS.lockOutRelay)]
        : []),
      ...coilOn(board, 'G', COILS.fanRelay),
      ...valveMarks.flatMap((mark) => coilOn(board, mark, COILS.reversingValve)),
      ...fromCalls,
      coilBetween(valve, behind, common, COILS.gasValve)
    ],
    loads: [
      { load: 'compressor', coils: [coilId(board, 'Y1')] },
      { load: 'burner', coils: [valve] },
      { load: 'blower', coils: [coilId(board, 'G'), valve] },
      { load: 'reversing-valve', coils: valveMarks.map((mark) => coilId(board, mark)) }
    ],
    ground: common
  };
}
