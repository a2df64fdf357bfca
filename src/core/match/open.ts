/** What nobody has read or settled at a thermostat's place: no thermostat is known to fit past it. */
import { finding, type Finding } from '../findings/finding';
import { ref } from '../findings/refs';
import type { Identification } from '../identify/identify';
import type { ThermostatId } from '../job/ids';
import { landedTerminal, meansAt, terminalAt, type Strand, type Wiring } from '../wiring/graph';
import type { Known } from './matched';
import type { MatchSituation } from './types';

export interface OpenPlace extends Pick<MatchSituation, 'identification' | 'wiring' | 'worlds'> {
  readonly thermostat: ThermostatId;
}

const NONE_FITS: ReadonlySet<string> = new Set<Identification['voltageClass']>(['line', 'millivolt', 'data']);

/** Each as a caution: whatever the thermostat, it may turn out another way. */
export function openOf(place: OpenPlace): Finding[] {
  // On mains, a millivolt heater or data wires none fits, and nobody is sent to the wires.
  if (NONE_FITS.has(place.identification.voltageClass)) return [];
  return [...systemOpen(place), ...wiresOpen(place)];
}

export function knownOf(open: readonly Finding[]): Known {
  if (open.length === 0) return 'read';
  return open.some(isNothing) ? 'nothing' : 'so-far';
}

function isNothing(asked: Finding): boolean {
  return (
    asked.code === 'system-unknown' || (asked.code === 'end-not-read' && asked.params.what === 'no-conductor')
  );
}

function systemOpen({ identification, worlds, thermostat }: OpenPlace): Finding[] {
  const because = [ref.thermostat(thermostat)];
  const { voltageClass, decided } = identification;
  const found: Finding[] = [];
  if (voltageClass !== '24v')
    found.push(finding('warn', 'voltage-class-unsettled', { what: 'before-buying' }, because));
  if (worlds.length === 0) found.push(finding('warn', 'system-unknown', { what: 'ask' }, because));
  else if (!decided) found.push(finding('warn', 'system-unsettled', { what: 'before-buying' }, because));
  return found;
}

/** Wires of the old thermostat that were not followed to their other end, or that end on a screw nobody can read. */
function wiresOpen({ wiring, thermostat }: OpenPlace): Finding[] {
  if (wiring.strands.length === 0)
    return [finding('warn', 'end-not-read', { what: 'no-conductor' }, [ref.thermostat(thermostat)])];
  const unseen = wiring.strands.filter(isHalfSeen);
  const found: Finding[] = [];
  if (unseen.length > 0) {
    const conductors = unseen.map(({ name }) => name);
    found.push(
      finding(
        'warn',
        'end-not-read',
        { what: 'open', conductors },
        unseen.map(({ id }) => ref.conductor(id))
      )
    );
  }
  return [...found, ...unknownScrews(wiring)];
}

/** Each screw that nobody can read, with the wires on it. */
function unknownScrews(wiring: Wiring): Finding[] {
  const onUnknown = wiring.strands.filter((strand) => isOnUnknown(wiring, strand));
  const terminals = new Set(onUnknown.flatMap(({ far }) => landedTerminal(far) ?? []));
  return [...terminals].flatMap((terminal): Finding[] => {
    const unread = terminalAt(wiring, terminal);
    if (unread?.device.kind !== 'board') return [];
    const { device, screw } = unread;
    const wires = onUnknown.filter(({ far }) => landedTerminal(far) === terminal);
    const because = [ref.machine(device.id), ...wires.map(({ id }) => ref.conductor(id))];
    return [finding('warn', 'screw-not-read', { machine: device.name, mark: screw.mark }, because)];
  });
}

function isHalfSeen({ near, far }: Strand): boolean {
  return (
    (near.state === 'landed' && far.state === 'unseen') || (near.state === 'unseen' && far.state === 'landed')
  );
}

/** Landed at the wall, and on a screw at the machine that says nothing. */
function isOnUnknown(wiring: Wiring, { near, far }: Strand): boolean {
  return (
    near.state === 'landed' && far.state === 'landed' && meansAt(wiring, landedTerminal(far)).length === 0
  );
}
