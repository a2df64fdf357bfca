/**
 * The part that all methods share: the old thermostat comes off, the new one goes on, and each conductor moves to the terminal that does
 * on the new plate what its other end does at the equipment. By function, never by the letter and never by colour.
 */
import { ref } from '../findings/refs';
import { markForRole, roleOf, type Role } from '../devices/roles';
import type { MachineWorld } from '../devices/world';
import type { DeviceFacts } from '../job/device-facts';
import { finding, type Finding } from '../findings/finding';
import { canonicalMark, isHot, marksMean } from '../trade/terminals';
import {
  deviceAtEnd,
  deviceOf,
  landed,
  landedMark,
  landedTerminal,
  marksOf,
  printedMark,
  sheetPlate,
  sheetTerminal,
  wallPlace,
  wallThermostat,
  type Board,
  type Landing,
  type NewThermostat,
  type Strand,
  type Wiring
} from '../wiring/graph';
import { linkInBox } from '../wiring/own-link';
import { countSupplies, feedingBoard } from './equipment';
import type { SupplySituation } from './types';

const COILED: Landing = { state: 'coiled' };

export interface Swapped {
  readonly wiring: Wiring;
  readonly findings: readonly Finding[];
}

/** `common`: the machine whose common the new thermostat gets, where two supplies reach the wall; else the one that feeds its electronics. */
export function swapThermostat(
  { before, device, world, thermostat }: SupplySituation,
  common: Board | undefined = feedingBoard(before, device)
): Swapped {
  const old = wallThermostat(before);
  const fresh = newThermostatDevice(device, wallPlace(before), thermostat.id);
  const findings: Finding[] = [];
  const twoSupplies = countSupplies(before) > 1;
  const strands = before.strands.map((strand) => {
    if (strand.near.state !== 'landed') return strand;
    if (twoSupplies && isCommonOfAnother(before, strand, common)) {
      findings.push(
        finding('note', 'terminal-moved', { what: 'other-common', conductor: strand.name }, [
          ref.conductor(strand.id)
        ])
      );
      return { ...strand, near: COILED };
    }
    const placed = placeFor(before, strand, { device, world, twoSupplies });
    if (placed.finding) findings.push(placed.finding);
    return { ...strand, near: placed.landing };
  });
  const links = before.links.filter((link) =>
    [link.a, link.b].every((end) => deviceOf(before, end)?.id !== old.id)
  );
  // It comes out of its box with its own link in; with two supplies that is taken out.
  const clip = linkInBox(device, wallPlace(before));
  return {
    wiring: {
      ...before,
      devices: [...before.devices.filter((candidate) => candidate.id !== old.id), fresh],
      strands,
      links: clip && !twoSupplies ? [...links, clip] : links
    },
    findings
  };
}

function isCommonOfAnother(wiring: Wiring, strand: Strand, common: Board | undefined): boolean {
  return landedMark(wiring, strand.far) === 'C' && deviceAtEnd(wiring, strand.far)?.id !== common?.id;
}

/** `at`: the place on the wall; `control`: the thermostat's place whose calls it makes. */
export function newThermostatDevice(device: DeviceFacts, at: string, control: string): NewThermostat {
  return {
    kind: 'new-thermostat',
    id: device.id,
    at,
    control,
    name: `${device.maker} ${device.model}`,
    screws: sheetPlate(device).screws,
    facts: device
  };
}

interface Placed {
  readonly landing: Landing;
  readonly finding?: Finding;
}

interface PlaceRequest {
  readonly device: DeviceFacts;
  readonly world: MachineWorld;
  readonly twoSupplies: boolean;
}

function placeFor(wiring: Wiring, strand: Strand, { device, world, twoSupplies }: PlaceRequest): Placed {
  const far = landedTerminal(strand.far);
  const wall = landedTerminal(strand.near);
  const wallPrint = wall === null ? '?' : printedMark(wiring, wall);
  const conductor = strand.name;
  const because = [ref.conductor(strand.id)];
  if (far === null && strand.far.state === 'unseen') {
    const fact = { what: 'wall-unreadable', conductor, mark: wallPrint } as const;
    return { landing: COILED, finding: finding('stop', 'end-not-read', fact, because) };
  }
  if (far === null) {
    const fact = { what: 'nothing-behind', conductor } as const;
    return { landing: COILED, finding: finding('note', 'terminal-moved', fact, because) };
  }
  const farMark = landedMark(wiring, strand.far);
  const farPrint = printedMark(wiring, far);
  // What nobody can explain is not drawn anywhere: an offer that moves it is refused.
  if (farMark === null) return { landing: strand.near };
  const wallMark = landedMark(wiring, strand.near);
  const role = roleOf(farMark, world);
  const mark =
    role === null ? sameMark(device, farMark) : markFor(role, device, twoSupplies ? wallMark : null);
  if (mark === null) {
    const fact = { what: 'stays-off', model: device.model, conductor, mark: farPrint } as const;
    const level = role === 'common' ? 'note' : 'warn';
    return {
      landing: COILED,
      finding: finding(level, 'missing-terminal', fact, [...because, ref.device(device.id)])
    };
  }
  const landing = landed(sheetTerminal(device, mark));
  const stays = wallMark !== null && (isHot(wallMark) || wallMark === mark);
  if (stays || role === 'reversing') return { landing };
  const fact = { what: 'by-function', conductor, wall: wallPrint, far: farPrint, to: mark } as const;
  return { landing, finding: finding('note', 'terminal-moved', fact, because) };
}

function sameMark(device: DeviceFacts, mark: string): string | null {
  return marksMean(device.marks, mark) ? mark : null;
}

function markFor(role: Role, device: DeviceFacts, keepMark: string | null): string | null {
  const marks = marksOf(sheetPlate(device));
  if (role === 'hot' || role === 'hot-heat' || role === 'hot-cool') {
    // Two supplies: each stays on the side that it was on. One: the terminal that feeds the electronics, with the clip in.
    if (keepMark !== null) return marks.includes(keepMark) ? keepMark : markForRole(role, marks);
    const feeds = canonicalMark(device.electronicsFrom);
    return marks.includes(feeds) ? feeds : markForRole('hot', marks);
  }
  return markForRole(role, marks);
}
