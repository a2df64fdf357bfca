/**
 * The part that all methods share: the old thermostat comes off, the new one goes on, and each conductor moves to the terminal that does
 * on the new plate what its other end does at the equipment. By function, never by the letter and never by colour.
 */
import { markForRole, roleOf, type Role } from '../devices/roles';
import type { DeviceFacts } from '../job/device-facts';
import { finding, type Finding } from '../trade/findings';
import { canonicalMark, isHot } from '../trade/terminals';
import {
  hasMark,
  landedTerminal,
  splitTerminal,
  terminalId,
  wallThermostat,
  type Board,
  type Landing,
  type NewThermostat,
  type Strand,
  type WireLink,
  type Wiring
} from '../wiring/graph';
import { countSupplies, feedingBoard } from './equipment';
import type { SupplySituation } from './types';

const COILED: Landing = { state: 'coiled' };

export interface Swapped {
  readonly wiring: Wiring;
  readonly findings: readonly Finding[];
}

/** `common`: the machine whose common the new thermostat gets, where two supplies reach the wall; else the one that feeds its electronics. */
export function swapThermostat(
  { before, device, world }: SupplySituation,
  common: Board | undefined = feedingBoard(before, device)
): Swapped {
  const old = wallThermostat(before);
  const fresh = newThermostatDevice(device);
  const findings: Finding[] = [];
  const twoSupplies = countSupplies(before) > 1;
  const strands = before.strands.map((strand) => {
    if (strand.wall.state !== 'landed') return strand;
    const placed = placeFor(strand, device, world, twoSupplies);
    if (twoSupplies && isCommonOfAnother(strand, common)) {
      findings.push(
        finding(
          'note',
          'terminal-moved',
          `The ${strand.name} conductor is the common of another transformer: it stays off, since two commons on one terminal tie the supplies.`,
          [strand.id]
        )
      );
      return { ...strand, wall: COILED };
    }
    if ('finding' in placed) findings.push(placed.finding);
    return { ...strand, wall: placed.landing };
  });
  const links = before.links.filter(
    (link) => splitTerminal(link.a).device !== old.id && splitTerminal(link.b).device !== old.id
  );
  const clip = device.rails === 'link-removable' || device.rails === 'link-to-be-cut' ? clipOf(device) : null;
  return {
    wiring: {
      ...before,
      devices: [...before.devices.filter((one) => one.id !== old.id), fresh],
      strands,
      links: clip && !twoSupplies ? [...links, clip] : links
    },
    findings
  };
}

function isCommonOfAnother(strand: Strand, common: Board | undefined): boolean {
  const far = landedTerminal(strand.equipment);
  return far !== null && splitTerminal(far).mark === 'C' && splitTerminal(far).device !== common?.id;
}

export function newThermostatDevice(device: DeviceFacts): NewThermostat {
  return {
    kind: 'new-thermostat',
    id: device.id,
    place: 'wall',
    name: `${device.maker} ${device.model}`,
    marks: device.marks,
    facts: device
  };
}

/** The clip between RH and RC that comes with the device. */
export function clipOf(device: DeviceFacts): WireLink | null {
  if (!hasMark(device, 'RH') || !hasMark(device, 'RC')) return null;
  return {
    id: `ln-${device.id}-clip`,
    place: 'wall',
    a: terminalId(device.id, 'RH'),
    b: terminalId(device.id, 'RC'),
    kind: 'clip'
  };
}

type Placed = { readonly landing: Landing } | { readonly landing: Landing; readonly finding: Finding };

function placeFor(
  strand: Strand,
  device: DeviceFacts,
  world: { family: SupplySituation['world']['family'] },
  twoSupplies: boolean
): Placed {
  const far = landedTerminal(strand.equipment);
  if (far === null) {
    const text = `The ${strand.name} conductor is fixed at the wall but on nothing at the equipment: it stays off, wrapped back.`;
    return { landing: COILED, finding: finding('note', 'terminal-moved', text, [strand.id]) };
  }
  const farMark = splitTerminal(far).mark;
  const wallMark = splitTerminal(landedTerminal(strand.wall) ?? '').mark;
  const role = roleOf(farMark, world);
  const mark =
    role === null ? sameMark(device, farMark) : markFor(role, device, twoSupplies ? wallMark : null);
  if (mark === null) {
    const text = `The ${device.model} has no terminal for what the ${strand.name} conductor does (${farMark} at the equipment): it stays off, wrapped back.`;
    const level = role === 'common' ? 'note' : 'warn';
    return { landing: COILED, finding: finding(level, 'missing-terminal', text, [strand.id, device.id]) };
  }
  const landing: Landing = { state: 'landed', terminal: terminalId(device.id, mark) };
  if (isHot(wallMark) || wallMark === mark || role === 'reversing') return { landing };
  const text = `The ${strand.name} conductor was on ${wallMark} at the wall and is on ${farMark} at the equipment: it goes to ${mark}.`;
  return { landing, finding: finding('note', 'terminal-moved', text, [strand.id]) };
}

function sameMark(device: DeviceFacts, mark: string): string | null {
  return hasMark(device, mark) ? canonicalMark(mark) : null;
}

function markFor(role: Role, device: DeviceFacts, keepMark: string | null): string | null {
  if (role === 'hot' || role === 'hot-heat' || role === 'hot-cool') {
    // Two supplies: each stays on the side that it was on. One: the terminal that feeds the electronics, with the clip in.
    if (keepMark !== null) return hasMark(device, keepMark) ? keepMark : markForRole(role, device.marks);
    const feeds = canonicalMark(device.electronicsFrom);
    return hasMark(device, feeds) ? feeds : markForRole('hot', device.marks);
  }
  return markForRole(role, device.marks);
}
