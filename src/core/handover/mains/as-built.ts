/** The wiring as built: what is under each number of the wiring centre, or on each terminal where the cables meet otherwise, what every device does with it, what is dead, what changed, what is open. */
import { doesOf, mainsUnits } from '../../devices/mains/screws';
import { identifyLayout } from '../../identify/mains/layout';
import type { MainsControls } from '../../job/mains-schema';
import { inputsOf } from '../../proof/mains/rows';
import { colourName } from '../../trade/colours';
import { MAINS_FUNCTION_NAMES, type Layout, type MainsPart } from '../../trade/mains';
import { hubOf, hubsAmong, isConnector, type Hub } from '../../trade/mains-hub';
import { wiringFromMains } from '../../wiring/from-mains';
import {
  landedTerminal,
  printedMark,
  terminalAt,
  type Landing,
  type MainsUnit,
  type Strand,
  type Wiring
} from '../../wiring/graph';
import { nowOf } from '../../wiring/now';
import { testsFor, type MainsTestRow } from './tests';

export interface StripWire {
  readonly id: string;
  readonly cable: string;
  readonly colour: string;
  /** The device and screw at its other end, or what state that end is in. */
  readonly to: string;
  readonly does: string;
}

export interface StripNumber {
  /** Of the place where the cables meet, of a connector, or of a device that a wire goes straight to. */
  readonly of: 'hub' | 'connector' | 'device';
  readonly unit: string;
  readonly mark: string;
  readonly wires: readonly StripWire[];
  /** Numbers that a link joins it to. */
  readonly linked: readonly string[];
}

export interface MainsAsBuilt {
  readonly layout: Layout;
  /** Where its cables meet. */
  readonly hub: Hub;
  readonly numbers: readonly StripNumber[];
  readonly devices: readonly {
    readonly id: string;
    readonly part: MainsPart;
    readonly name: string;
    readonly place: string;
    readonly screws: readonly {
      readonly mark: string;
      readonly does: string;
      readonly wires: readonly string[];
    }[];
  }[];
  /** Wires that hang on nothing at either end. */
  readonly dead: readonly { readonly cable: string; readonly wire: string }[];
  readonly changes: readonly { readonly at: string; readonly text: string }[];
  readonly tests: readonly MainsTestRow[];
  readonly competence: MainsControls['competence'];
}

export function mainsAsBuilt(mains: MainsControls): MainsAsBuilt {
  const found = wiringFromMains(mains);
  const { wiring, done } = nowOf(found, mains.log);
  return {
    layout: identifyLayout(mains).layout,
    hub: hubOf(mainsUnits(wiring)),
    numbers: stripOf(wiring),
    devices: mainsUnits(wiring)
      .filter(({ part }) => part !== 'wiring-centre')
      .map((unit) => deviceOf(wiring, unit)),
    dead: wiring.strands
      .filter(({ near, far }) => near.state !== 'landed' && far.state !== 'landed')
      .map((strand) => ({ cable: cableName(wiring, strand), wire: strand.name })),
    changes: done.map(({ at, act }) => ({
      at,
      text: [
        act.action,
        act.what,
        act.from === '' ? '' : `from ${act.from}`,
        act.to === '' ? '' : `to ${act.to}`
      ]
        .filter((word) => word !== '')
        .join(' ')
    })),
    tests: testsFor(wiring, inputsOf(found), mains.tests),
    competence: mains.competence
  };
}

function cableName(wiring: Wiring, strand: Strand): string {
  return wiring.cables.find(({ id }) => id === strand.cable)?.name ?? '';
}

/** Every number of the place where the cables meet, then connectors, then what goes straight from device to device. */
export function stripOf(wiring: Wiring): StripNumber[] {
  const units = mainsUnits(wiring);
  const hubs = hubsAmong(units);
  const connectors = units.filter(isConnector);
  const meeting = [...hubs, ...connectors];
  const straight = wiring.strands.filter(({ near, far }) =>
    [near, far].every((end) => end.state === 'landed' && !meeting.some((unit) => isOn(unit, end)))
  );
  return [
    ...hubs.flatMap((unit) => numbersOf(wiring, unit, 'hub')),
    ...connectors.flatMap((unit) => numbersOf(wiring, unit, 'connector')),
    // Told at its far end: the device of a cable is what it leads to.
    ...units.flatMap((unit) => {
      const strands = straight.filter(({ far }) => isOn(unit, far));
      return numbersOf({ ...wiring, strands, links: [] }, unit, 'device').filter(
        ({ wires }) => wires.length > 0
      );
    })
  ];
}

function isOn(unit: MainsUnit, end: Landing): boolean {
  return unit.screws.some(({ id }) => id === landedTerminal(end));
}

function numbersOf(wiring: Wiring, unit: MainsUnit, of: StripNumber['of']): StripNumber[] {
  return unit.screws.map((screw) => ({
    of,
    unit: unit.name,
    mark: printedMark(wiring, screw.id),
    wires: wiring.strands.flatMap((strand) => wireOn(wiring, strand, screw.id)),
    linked: wiring.links.flatMap((link) =>
      link.a === screw.id
        ? [printedMark(wiring, link.b)]
        : link.b === screw.id
          ? [printedMark(wiring, link.a)]
          : []
    )
  }));
}

/** How a number is called among others: by its device too where that is not the place where all meet. */
export function numberName({ of, unit, mark }: Pick<StripNumber, 'of' | 'unit' | 'mark'>): string {
  return of === 'device' ? `${unit} ${mark}` : mark;
}

const OFF_WORDS = {
  landed: '',
  loose: 'bare at its other end',
  coiled: 'capped at its other end',
  unseen: 'other end not read'
} as const;

function wireOn(wiring: Wiring, strand: Strand, terminal: string): StripWire[] {
  const here = landedTerminal(strand.near) === terminal ? 'near' : 'far';
  if (landedTerminal(strand[here]) !== terminal) return [];
  const other = strand[here === 'near' ? 'far' : 'near'];
  const at = landedTerminal(other);
  const found = at === null ? undefined : terminalAt(wiring, at);
  return [
    {
      id: strand.id,
      cable: cableName(wiring, strand),
      colour:
        strand.colour === 'GN' && strand.stripe === 'YE'
          ? 'green-yellow'
          : colourName(strand.colour, strand.stripe),
      to: found && at !== null ? `${found.device.name} ${printedMark(wiring, at)}` : OFF_WORDS[other.state],
      does: found ? MAINS_FUNCTION_NAMES[doesOf(found.screw)] : ''
    }
  ];
}

function deviceOf(wiring: Wiring, unit: MainsUnit): MainsAsBuilt['devices'][number] {
  return {
    id: unit.id,
    part: unit.part,
    name: unit.name,
    place: wiring.places.find(({ id }) => id === unit.at)?.name ?? '',
    screws: unit.screws.map((screw) => ({
      mark: printedMark(wiring, screw.id),
      does: MAINS_FUNCTION_NAMES[doesOf(screw)],
      wires: wiring.strands
        .filter((strand) => [strand.near, strand.far].some((end) => landedTerminal(end) === screw.id))
        .map((strand) => strand.name)
    }))
  };
}
