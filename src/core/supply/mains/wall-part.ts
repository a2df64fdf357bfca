/** The wall part of a controller where the room thermostat was: wireless, or fed over its old cable. */
import { nodeFor } from '../../devices/mains/screws';
import { mainsFinding, type MainsFinding } from '../../findings/mains';
import type { ControllerFacts } from '../../job/controller-facts';
import { LOW_CONNECTOR_ID } from '../../trade/mains-hub';
import { landed, type MainsUnit, type TerminalId, type Wiring } from '../../wiring/graph';
import {
  centreOf,
  freeNumbers,
  newUnit,
  wallUnit,
  WALL_PART_ID,
  withCable,
  withEnd,
  withUnit
} from './edits';
import type { RoomGone } from './room-thermostat';
import type { MainsVariant } from './types';

/** The wall part: wireless on the wall where the thermostat was, or fed over its cable. */
export function withWallPart(
  { wiring, dead, cable }: Pick<RoomGone, 'wiring' | 'dead' | 'cable'>,
  room: MainsUnit,
  facts: ControllerFacts,
  controller: MainsUnit,
  variant: MainsVariant
): { wiring: Wiring; dead: readonly string[]; findings: MainsFinding[] } {
  if (facts.wallPart === 'none') return { wiring, dead, findings: [] };
  const wall = wallUnit(facts, room.at);
  const made = withUnit(wiring, wall);
  if (variant.cable !== 'low-voltage' || cable === null) return { wiring: made, dead, findings: [] };
  const name = made.cables.find(({ id }) => id === cable)?.name ?? room.name;
  return {
    wiring: withLowVoltage(made, controller, cable),
    dead: [],
    findings: [mainsFinding('warn', 'mains-cable-reused', { cable: name }, [cable])]
  };
}

/** Two free numbers of the centre, or a connector of its own where it has none left. */
function joiningPair(
  wiring: Wiring,
  at: string
): { wiring: Wiring; unit: string; pair: readonly [TerminalId, TerminalId] } {
  const centre = centreOf(wiring);
  const [word, other] = freeNumbers(wiring);
  if (centre && word && other) return { wiring, unit: centre.id, pair: [word, other] };
  const connector = newUnit(LOW_CONNECTOR_ID, 'wiring-centre', {
    at: centre?.at ?? at,
    name: 'connector for low voltage',
    screws: [
      ['J1', 'joint'],
      ['J2', 'joint']
    ]
  });
  const [first, second] = connector.screws;
  return {
    wiring: withUnit(wiring, connector),
    unit: connector.id,
    pair: [first?.id ?? '', second?.id ?? '']
  };
}

/** Two wires of the old cable, joined to a short pair that leads to the controller. */
function withLowVoltage(wiring: Wiring, controller: MainsUnit, cable: string): Wiring {
  const wires = wiring.strands.filter(
    (strand) => strand.cable === cable && strand.near.state === 'coiled' && strand.far.state === 'coiled'
  );

  if (wires.length < 2) return wiring;
  const joining = joiningPair(wiring, controller.at);
  const [first, second] = joining.pair;
  const functions = ['low-a', 'low-b'] as const;
  let made = joining.wiring;
  const wall = made.devices.find((device) => device.id === WALL_PART_ID);
  functions.forEach((does, at) => {
    const wire = wires[at];
    const screw = wall?.screws.find((candidate) => candidate.means[0] === does)?.id;
    if (!wire || !screw) return;
    made = withEnd(made, wire.id, 'near', landed(screw));
    made = withEnd(made, wire.id, 'far', landed(joining.pair[at] ?? first));
  });
  return withCable(
    made,
    'ca-low-voltage',
    'low-voltage pair',
    [controller.id, joining.unit],
    [
      { colour: 'RD', near: nodeFor(controller, 'low-a'), far: first, name: 'red (low voltage)' },
      { colour: 'WH', near: nodeFor(controller, 'low-b'), far: second, name: 'white (low voltage)' }
    ]
  );
}
