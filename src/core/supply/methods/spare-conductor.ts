import { ref } from '../../findings/refs';
import { markForRole, roleOf, type Role } from '../../devices/roles';
import type { World } from '../../devices/world';
import type { DeviceFacts } from '../../job/device-facts';
import { finding, type Finding } from '../../findings/finding';
import {
  isFree,
  landed as landedOn,
  landedMark,
  landedTerminal,
  marksOf,
  sheetPlate,
  printedMark,
  screwThat,
  sheetTerminal,
  type Strand,
  type Wiring
} from '../../wiring/graph';
import { continuityFindings } from '../equipment';
import { freeStrands } from '../spares';
import { choiceOf, commonAt, isFinding, perCommon } from '../requirements';
import { swapThermostat } from '../swap-thermostat';
import { refused, type Method, type SupplySituation } from '../types';

/** An unused conductor of the same cable becomes the common, at both ends. */
export const spareConductor: Method = {
  id: 'spare-conductor',
  title: 'Use a spare wire',
  how: 'An unused wire of the same cable is landed on C at both ends.',
  standing: 'spare',
  variants: (situation) => {
    const free = idleStrands(situation);
    const choices =
      free.length < 2 ? [] : free.map((strand) => ({ id: strand.id, title: `The ${strand.name} wire` }));
    return free.length === 0 ? [] : perCommon(situation, choices);
  },
  offer(situation, variant) {
    const { before } = situation;
    const board = commonAt(situation, variant);
    if (isFinding(board) && board.code === 'device-has-no-common') return refused(board);
    const free = idleStrands(situation).filter(
      (candidate) => isFinding(board) || reaches(before, candidate, board.at)
    );
    const strand = free.find((candidate) => candidate.id === choiceOf(variant)) ?? free[0];
    if (!strand) return refused(...whyNone(situation, isFinding(board) ? null : board.at));
    if (isFinding(board)) return refused(board);
    const { device } = situation;
    const { wiring, findings } = swapThermostat(situation, board);
    const landed: Strand = {
      ...strand,
      near: landedOn(sheetTerminal(device, 'C')),
      far: landedOn(screwThat(board, 'C')?.id ?? '')
    };
    return {
      after: {
        ...wiring,
        strands: wiring.strands.map((candidate) => (candidate.id === strand.id ? landed : candidate))
      },
      findings: [
        ...findings.filter(
          (candidate) => !candidate.because.some((it) => it.kind === 'conductor' && it.id === strand.id)
        ),
        ...continuityFindings(strand),
        ...looseFarEnd(before, strand)
      ],
      loses: [{ what: 'spare', conductor: strand.name }],
      parts: [],
      extraMinutes: 0
    };
  }
};

/** Marks of the wall plate whose conductor, found loose at the equipment, may be a call that somebody misses. */
const CALLS = new Set(['R', 'RH', 'RC', 'W1', 'W2', 'AUX', 'E', 'Y1', 'Y2', 'G', 'K', 'T1', 'T2', 'TT']);
/** The same on what may be a heat pump: without its valve it heats where it should cool. */
const VALVE = new Set(['O', 'B', 'OB']);

/** Spares, and behind them conductors that are fixed at the wall only and carry nothing: the one on C first. */
function idleStrands({ before: wiring, device, world, worlds }: SupplySituation): Strand[] {
  const reverses = worlds.some((weighted) => weighted.world.reversing !== 'none');
  const fixed = wiring.strands.flatMap((strand) => {
    if (strand.near.state !== 'landed' || !isFree(strand.far) || strand.continuity === 'broken') return [];
    const mark = landedMark(wiring, strand.near);
    if (mark === null || CALLS.has(mark) || (reverses && VALVE.has(mark))) return [];
    return [{ strand, common: mark === 'C' }];
  });
  const onCommon = fixed.filter((candidate) => candidate.common).map((free) => free.strand);
  const others = fixed.filter((candidate) => !candidate.common).map((free) => free.strand);
  return [...onCommon, ...freeStrands(wiring), ...others, ...freedBy(wiring, device, world)];
}

/** A spare is one only in a cable that ends at the machine that has the common; where nobody knows where a cable goes, it may. */
function reaches(wiring: Wiring, strand: Strand, place: string): boolean {
  const far = wiring.cables.find((cable) => cable.id === strand.cable)?.far ?? null;
  return far === null || far === place;
}

/** Wires that the new thermostat has no terminal for: they carry a call that it cannot make, so they may carry the common. */
function freedBy(wiring: Wiring, device: DeviceFacts, world: World): Strand[] {
  const marks = marksOf(sheetPlate(device));
  return wiring.strands.filter((strand) => {
    if (strand.near.state !== 'landed' || strand.continuity === 'broken') return false;
    const role = roleOf(landedMark(wiring, strand.far), world);
    return role !== null && FREED.has(role) && markForRole(role, marks) === null;
  });
}

/** Second stages: whatever else has no terminal is no wire to be given up for a common. */
const FREED: ReadonlySet<Role> = new Set(['heat2', 'compressor2']);

function looseFarEnd(wiring: Wiring, strand: Strand): Finding[] {
  const wall = landedTerminal(strand.near);
  if (wall === null) return [];
  const mark = printedMark(wiring, wall);
  const fact = { what: 'land-far-end', conductor: strand.name, mark } as const;
  return [finding('note', 'common-one-ended', fact, [ref.conductor(strand.id)])];
}

function whyNone(situation: SupplySituation, place: string | null): Finding[] {
  const { before: wiring } = situation;
  const elsewhere =
    place === null ? [] : idleStrands(situation).filter((strand) => !reaches(wiring, strand, place));
  if (elsewhere.length > 0)
    return [
      finding(
        'stop',
        'no-spare',
        { what: 'elsewhere' },
        elsewhere.map((strand) => ref.conductor(strand.id))
      )
    ];
  const broken = wiring.strands.filter((strand) => isFree(strand.near) && isFree(strand.far));
  if (broken.length > 0) return broken.flatMap(continuityFindings);
  const halfSeen = wiring.strands.filter((strand) => isFree(strand.near) && strand.far.state === 'unseen');
  if (halfSeen.length > 0) {
    return halfSeen.map((strand) =>
      finding('stop', 'spare-one-ended', { conductor: strand.name }, [ref.conductor(strand.id)])
    );
  }
  return [finding('stop', 'no-spare', { what: 'none-free' })];
}
