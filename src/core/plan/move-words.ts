/** What is said of mounting devices, of cutting and giving power, and of proving a wire. */
import {
  isFree,
  landedTerminal,
  printedMark,
  screwThat,
  type Device,
  type Strand,
  type Wiring
} from '../wiring/graph';
import type { Spot } from './move-types';

/** Small parts beside a machine or behind a plate are named with their terminals, a machine and a thermostat are not. */
export function isSmallPart(device: Device): boolean {
  return device.kind !== 'board' && device.kind !== 'old-thermostat' && device.kind !== 'new-thermostat';
}

export function removalText(device: Device): string {
  return device.kind === 'adapter'
    ? `Unscrew the ${device.name} and take it out: it belonged to the old thermostat.`
    : `Take the plate of the ${device.name} off; hold the cable so that it cannot slip back.`;
}

export function mountText(device: Device, beside: string): string {
  switch (device.kind) {
    case 'plug-in-transformer':
      return `Set the ${device.name} down by its outlet. Do not plug it in yet.`;
    case 'adapter':
      return `Screw the ${device.name} to bare metal inside ${beside}, clear of insulation.`;
    case 'receiver':
      return `Fix the ${device.name} beside ${beside}, outside its door, where the radio is not shut in.`;
    case 'added-transformer':
      return `Have the ${device.name} fixed at a junction box near ${beside} by a licensed person. It stays off.`;
    case 'splitter':
      return `Lay the ${device.name} behind the plate; its leads keep their marks.`;
    case 'mains':
      return `Fix the back plate of the ${device.name}; its own words for each terminal are inside its cover.`;
    case 'old-thermostat':
    case 'new-thermostat':
    case 'board':
      return `Level the plate of the ${device.name}, fix it to anchors or a stud, and bring the cable through.`;
  }
}

export function offText(device: Device, spot: Spot): string {
  if (device.kind === 'added-transformer')
    return `Power off: ${device.name}, at its own breaker; a meter between its R and C reads nothing.`;
  return spot === 'outlet'
    ? `Pull the ${device.name} out of its outlet.`
    : `Power off: ${device.name}, at the breaker and at the service switch. Proof: it was running and stops; then a meter ${proofScrews(device)} reads nothing.`;
}

/** Between which screws of this machine a meter proves it. */
function proofScrews(device: Device): string {
  const print = (mark: string) => {
    const screw = screwThat(device, mark);
    return screw && screw.mark !== '' ? screw.mark : null;
  };
  const hot = ['R', 'RH', 'RC'].map(print).find((candidate) => candidate !== null);
  const common = print('C');
  if (hot && common) return `between ${hot} and ${common}`;
  const [first, second] = device.screws.filter((screw) =>
    ['T', 'TT', 'T1', 'T2'].includes(screw.means[0] ?? '')
  );
  if (first && second) return `between its two ${first.mark} screws`;
  return hot ? `from ${hot} to every other screw` : 'between all of its screws';
}

export function onText(device: Device, spot: Spot): string {
  if (device.kind === 'added-transformer') return `Power on: ${device.name}, at its own breaker.`;
  return spot === 'outlet'
    ? `Plug the ${device.name} in.`
    : `Power on: ${device.name}. ${closedFirst(device)}, then the service switch, then the breaker.`;
}

/** Machines of air have a door with a switch; a panel or a boiler has a cover. */
function closedFirst(device: Device): string {
  const covered = ['boiler', 'zone-panel', 'zone-pump-panel', 'room-heater'];
  return device.kind === 'board' && covered.includes(device.machine)
    ? 'Cover closed'
    : 'Door closed on its switch';
}

/** Closed when joined and open when parted: what to join a wire with, where no other end is bare. */
export function checkText(start: Wiring, strand: Strand): string {
  const others = start.strands.filter(
    (other) => other.id !== strand.id && other.cable === strand.cable && other.continuity !== 'broken'
  );
  const bare = others.find((other) => isFree(other.near) && isFree(other.far));
  const landed = others.find((other) => other.near.state === 'landed' && other.far.state === 'landed');
  const join = `With the power off, before it is landed: join the ${strand.name} wire`;
  const result =
    'Closed when joined, open when parted: it is the same one. If not, stop here and record what you found.';
  if (bare)
    return `${join} to the ${bare.name} one here, both bare, and measure between the two at the wall. ${result}`;
  if (!landed)
    return `${join} to a long piece of wire led to the wall, and measure between that and the other end there. ${result}`;
  const screw = printedMark(start, landedTerminal(landed.far) ?? '');
  return `${join} here to screw ${screw}, where the ${landed.name} one is, and measure between the two at the wall. ${result}`;
}
