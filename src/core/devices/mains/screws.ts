/** Screws of mains devices by what they do. */
import type { MainsFunction } from '../../trade/mains';
import type { Device, MainsUnit, Screw, TerminalId, Wiring } from '../../wiring/graph';
import { terminalAt } from '../../wiring/graph';

export function mainsUnits(wiring: Wiring): MainsUnit[] {
  return wiring.devices.filter((device): device is MainsUnit => device.kind === 'mains');
}

/** What a screw does; `unknown` where nobody has read it. */
export function doesOf(screw: Screw): MainsFunction {
  return (screw.means[0] as MainsFunction | undefined) ?? 'unknown';
}

export function screwsThat(device: Pick<Device, 'screws'>, does: MainsFunction): Screw[] {
  return device.screws.filter((screw) => doesOf(screw) === does);
}

export function hasScrew(device: Pick<Device, 'screws'>, does: MainsFunction): boolean {
  return device.screws.some((screw) => doesOf(screw) === does);
}

/** The screw that does this; a point of its own that nothing is joined to where the device has none. */
export function nodeFor(device: Pick<Device, 'screws' | 'id'>, does: MainsFunction): TerminalId {
  return screwsThat(device, does)[0]?.id ?? `${device.id}~${does}`;
}

/** Contacts of boilers that bring a voltage of their own: live comes nowhere near, and nothing is measured from them to the neutral of the mains. */
export function boilerContacts(wiring: Wiring): TerminalId[] {
  return mainsUnits(wiring)
    .filter(({ part }) => part === 'boiler')
    .flatMap((boiler) => [...screwsThat(boiler, 'contact-a'), ...screwsThat(boiler, 'contact-b')])
    .map(({ id }) => id);
}

export interface MainsTerminal {
  readonly unit: MainsUnit;
  readonly screw: Screw;
  readonly does: MainsFunction;
}

/** The mains device, the screw and what it does at a terminal; undefined where that is no mains device. */
export function mainsTerminal(wiring: Wiring, terminal: TerminalId): MainsTerminal | undefined {
  const found = terminalAt(wiring, terminal);
  if (found?.device.kind !== 'mains') return undefined;
  return { unit: found.device, screw: found.screw, does: doesOf(found.screw) };
}
