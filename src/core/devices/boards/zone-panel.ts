/**
 * A panel of zones. Each zone's call opens its valve, whose end switch then starts boiler and circulator; or, on a panel of pumps, works a
 * pump relay that does. All zones share one transformer. Nobody can see from the wall which it is: the record counts as valves, which draw
 * more.
 */
import { COILS } from '../../trade/loads';
import { hasMark, terminalId, type Board } from '../../wiring/graph';
import type { Element, Fragment } from '../elements';
import { coilBetween, coilId, commonNode, hotMark, supplyElements } from './board';

export type ZoneDrive = 'valves' | 'pumps';

/** Call terminals of zones: the one that is named as on any board, and `Z1`, `Z2`, … of a panel with several. */
export function zoneMarks(board: Board): string[] {
  const single = ['W1', 'T2', 'TT'].filter((mark) => hasMark(board, mark)).slice(0, 1);
  return [...single, ...board.marks.filter((mark) => /^Z\d+$/.test(mark))];
}

export function zonePanel(board: Board, drive: ZoneDrive = 'valves'): Fragment {
  const common = commonNode(board);
  const hot = terminalId(board.id, hotMark(board));
  const boiler = `${board.id}:boiler-relay`;
  const calling = `${board.id}:any-zone`;
  const zones = zoneMarks(board);
  const facts = drive === 'valves' ? COILS.zoneValve : COILS.boilerRelay;
  const elements = zones.flatMap((mark): Element[] => [
    coilBetween(coilId(board, mark), terminalId(board.id, mark), common, facts),
    // The end switch of the valve, or the second contact of the pump relay.
    {
      kind: 'contact',
      id: `${board.id}:end-switch-${mark}`,
      a: hot,
      b: calling,
      coil: coilId(board, mark),
      closedWhen: 'energised'
    }
  ]);
  return {
    elements: [
      ...supplyElements(board, hotMark(board)),
      ...elements,
      coilBetween(boiler, calling, common, COILS.boilerRelay)
    ],
    loads: [
      { load: drive === 'valves' ? 'zone-valve' : 'pump', coils: zones.map((mark) => coilId(board, mark)) },
      { load: 'boiler', coils: [boiler] },
      { load: 'circulator', coils: [boiler] }
    ],
    ground: common
  };
}
