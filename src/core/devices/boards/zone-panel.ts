/**
 * What panels of zones have in common: each zone's call works a drive of its own, whose contact starts the boiler; all share one
 * transformer.
 */
import { COILS, type CoilFacts } from '../../trade/loads';
import { canonicalMark, ZONE_MARK } from '../../trade/terminals';
import type { LoadId } from '../../trade/vocabulary';
import { hasMark, terminalId, type Board } from '../../wiring/graph';
import type { Element, Fragment } from '../elements';
import { coilBetween, coilId, commonNode, hotMark, supplyElements } from './board';

/** Call terminals of zones: the one that is named as on any board, and `Z1`, `Z2`, … of a panel with several. */
function zoneMarks(board: Board): string[] {
  const single = ['W1', 'T2', 'TT'].filter((mark) => hasMark(board, mark)).slice(0, 1);
  return [...single, ...board.marks.filter((mark) => ZONE_MARK.test(canonicalMark(mark)))];
}

/** `drive`: the coil that a zone's call works; `load`: what that coil moves; `contact`: the name of the contact it closes. */
export function zonePanel(board: Board, drive: CoilFacts, load: LoadId, contact: string): Fragment {
  const common = commonNode(board);
  const hot = terminalId(board.id, hotMark(board));
  const boiler = `${board.id}:boiler-relay`;
  const calling = `${board.id}:any-zone`;
  const zones = zoneMarks(board);
  const elements = zones.flatMap((mark): Element[] => [
    coilBetween(coilId(board, mark), terminalId(board.id, mark), common, drive),
    {
      kind: 'contact',
      id: `${board.id}:${contact}-${mark}`,
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
      { load, coils: zones.map((mark) => coilId(board, mark)) },
      { load: 'boiler', coils: [boiler] },
      { load: 'circulator', coils: [boiler] }
    ],
    ground: common
  };
}
