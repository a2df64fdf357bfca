/** Changes of a mains graph that the methods share. */
import { doesOf, mainsUnits, screwsThat } from '../../devices/mains/screws';
import type { ControllerFacts } from '../../job/controller-facts';
import { controllerName } from '../../match/mains/controllers';
import { FLEX_OHMS_PER_M, MAINS_PART_NAMES, type MainsFunction, type MainsPart } from '../../trade/mains';
import { isConnector } from '../../trade/mains-hub';
import type { ColourCode } from '../../trade/colours';
import {
  landed,
  landedTerminal,
  type Landing,
  type MainsUnit,
  type Strand,
  type StrandEnd,
  type TerminalId,
  type Wiring
} from '../../wiring/graph';

export const CONTROLLER_ID = 'controller';
export const WALL_PART_ID = 'wall-part';
export const LINKED_BY = 'link-';

export function newUnit(
  id: string,
  part: MainsPart,
  {
    at,
    name,
    screws,
    facts = null
  }: Pick<MainsUnit, 'at' | 'name'> & {
    readonly screws: readonly (readonly [mark: string, does: MainsFunction])[];
    readonly facts?: ControllerFacts | null;
  }
): MainsUnit {
  return {
    kind: 'mains',
    id,
    at,
    name,
    screws: screws.map(([mark, does], index) => ({
      id: `${id}.${index + 1}`,
      mark,
      role: null,
      means: does === 'unknown' ? [] : [does]
    })),
    part,
    serves: 'unknown',
    contacts: 'unknown',
    heatingBringsWater: false,
    input: 'unknown',
    fuseAmps: null,
    facts
  };
}

/** The controller by its sheet. `gravity`: set so that heating brings hot water with it. */
export function controllerUnit(facts: ControllerFacts, at: string, gravity: boolean): MainsUnit {
  return {
    ...newUnit(CONTROLLER_ID, 'controller', {
      at,
      name: controllerName(facts),
      screws: facts.plate.map(({ mark, does }) => [mark, does] as const),
      facts
    }),
    heatingBringsWater: gravity
  };
}

export function wallUnit(facts: ControllerFacts, at: string): MainsUnit {
  return newUnit(WALL_PART_ID, 'wall-part', {
    at,
    name: `${controllerName(facts)}, ${MAINS_PART_NAMES['wall-part']}`,
    screws:
      facts.wallPart === 'wired-low-voltage'
        ? [
            ['+', 'low-a'],
            ['-', 'low-b']
          ]
        : [],
    facts
  });
}

export function withUnit(wiring: Wiring, unit: MainsUnit): Wiring {
  return { ...wiring, devices: [...wiring.devices, unit] };
}

export function withoutUnit(wiring: Wiring, id: string): Wiring {
  const unit = wiring.devices.find((device) => device.id === id);
  const own = new Set(unit?.screws.map((screw) => screw.id));
  return {
    ...wiring,
    devices: wiring.devices.filter((device) => device.id !== id),
    links: wiring.links.filter((link) => !own.has(link.a) && !own.has(link.b))
  };
}

export function withEnd(wiring: Wiring, strand: string, end: StrandEnd, landing: Landing): Wiring {
  return {
    ...wiring,
    strands: wiring.strands.map((candidate) =>
      candidate.id === strand ? { ...candidate, [end]: landing } : candidate
    )
  };
}

export function withLink(wiring: Wiring, at: string, a: TerminalId, b: TerminalId): Wiring {
  if (a === b) return wiring;
  const id = `${LINKED_BY}${a}-${b}`.toLowerCase().replace(/[^a-z0-9-]/g, '-');
  if (wiring.links.some((link) => link.id === id)) return wiring;
  return { ...wiring, links: [...wiring.links, { id, at, a, b, kind: 'wire' }] };
}

export interface EndOn {
  readonly strand: Strand;
  readonly end: StrandEnd;
  readonly terminal: TerminalId;
}

/** Every wire end on the screws of a unit. */
export function endsOn(wiring: Wiring, unit: MainsUnit): EndOn[] {
  const own = new Set(unit.screws.map((screw) => screw.id));
  return wiring.strands.flatMap((strand) =>
    (['near', 'far'] as const).flatMap((end): EndOn[] => {
      const terminal = landedTerminal(strand[end]);
      return terminal !== null && own.has(terminal) ? [{ strand, end, terminal }] : [];
    })
  );
}

export function doesAt(unit: MainsUnit, terminal: TerminalId): MainsFunction {
  const screw = unit.screws.find((screw) => screw.id === terminal);
  return screw ? doesOf(screw) : 'unknown';
}

export function unitOf(wiring: Wiring, part: MainsPart): MainsUnit | undefined {
  return mainsUnits(wiring).find((unit) => unit.part === part);
}

export function centreOf(wiring: Wiring): MainsUnit | undefined {
  return mainsUnits(wiring).find((unit) => unit.part === 'wiring-centre' && !isConnector(unit));
}

/** Numbers of the centre that nothing is on. */
export function freeNumbers(wiring: Wiring): TerminalId[] {
  const centre = centreOf(wiring);
  if (!centre) return [];
  const used = new Set([
    ...endsOn(wiring, centre).map(({ terminal }) => terminal),
    ...wiring.links.flatMap((link) => [link.a, link.b])
  ]);
  return centre.screws.filter((screw) => !used.has(screw.id)).map((screw) => screw.id);
}

export interface NewWire {
  readonly colour: ColourCode;
  readonly stripe?: ColourCode;
  readonly near: TerminalId;
  readonly far: TerminalId;
  readonly name: string;
}

/** A new cable between two places, with its wires landed. */
export function withCable(
  wiring: Wiring,
  id: string,
  name: string,
  [near, far]: readonly [string, string],
  wires: readonly NewWire[]
): Wiring {
  const lengthM = 1;
  return {
    ...wiring,
    cables: [
      ...wiring.cables,
      { id, name, path: 'free', insulation: 'sound', lengthM, gauge: null, near, far }
    ],
    strands: [
      ...wiring.strands,
      ...wires.map((wire, at): Strand => ({
        id: `${id}-${at + 1}`,
        cable: id,
        name: wire.name,
        colour: wire.colour,
        colourBeyond: wire.colour,
        stripe: wire.stripe ?? null,
        spliced: 'no',
        continuity: 'proven',
        ohms: lengthM * FLEX_OHMS_PER_M,
        near: landed(wire.near),
        far: landed(wire.far)
      }))
    ]
  };
}

export function firstScrew(unit: MainsUnit, does: MainsFunction): TerminalId | null {
  return screwsThat(unit, does)[0]?.id ?? null;
}
