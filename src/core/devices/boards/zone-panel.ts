/**
 * What panels of zones have in common: each zone's call works a drive of its own, whose contact starts the boiler; all share one
 * transformer.
 */
import { COILS, type CoilFacts } from '../../trade/loads';
import type { LoadId } from '../../trade/vocabulary';
import type { Board, Screw } from '../../wiring/graph';
import type { Element, Fragment } from '../elements';
import { coilBetween, commonNode, hotNode, isZoneCall, supplyElements } from './board';

/** Call terminals of zones: each is a screw of its own, whether it is printed as on any board or numbered. */
function zoneScrews(board: Board): Screw[] {
  return board.screws.filter(
    (screw) => isZoneCall(board, screw) && screw.means[0] !== 'T1' && screw.means[0] !== 'T'
  );
}

/** `drive`: the coil that a zone's call works; `load`: what that coil moves; `contact`: the name of the contact it closes. */
export function zonePanel(board: Board, drive: CoilFacts, load: LoadId, contact: string): Fragment {
  const common = commonNode(board);
  const hot = hotNode(board);
  const boiler = `${board.id}:boiler-relay`;
  const calling = `${board.id}:any-zone`;
  const zones = zoneScrews(board);
  const coil = (screw: Screw) => `${screw.id}:coil`;
  const elements = zones.flatMap((screw): Element[] => [
    coilBetween(coil(screw), { device: board.id, part: 'coil', mark: screw.mark }, [screw.id, common], drive),
    {
      kind: 'contact',
      id: `${screw.id}:${contact}`,
      a: hot,
      b: calling,
      coil: coil(screw),
      closedWhen: 'energised',
      part: { device: board.id, part: 'contact', mark: screw.mark }
    }
  ]);
  return {
    elements: [
      ...supplyElements(board),
      ...elements,
      coilBetween(
        boiler,
        { device: board.id, part: 'coil', mark: 'boiler relay' },
        [calling, common],
        COILS.boilerRelay
      )
    ],
    loads: [
      { load, coils: zones.map(coil) },
      { load: 'boiler', coils: [boiler] },
      { load: 'circulator', coils: [boiler] }
    ],
    ground: common
  };
}
