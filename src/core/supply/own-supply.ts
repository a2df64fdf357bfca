/** A supply of the thermostat's own, beside the machine's: what the plug-in and the second transformer have in common. */
import { ref } from '../findings/refs';
import type { DeviceFacts } from '../job/device-facts';
import { finding, type Finding } from '../findings/finding';
import { canonicalMark, isHot, marksMean } from '../trade/terminals';
import {
  landed,
  landedMark,
  sheetTerminal,
  sideOf,
  type AddedTransformer,
  type Place,
  type PlugInTransformer,
  type Strand,
  type Wiring
} from '../wiring/graph';
import { swapThermostat, type Swapped } from './swap-thermostat';
import type { SupplySituation } from './types';

/** Why a supply of its own cannot even be drawn: there is no terminal for its other side. Whether two supplies tie is the circuit's word. */
export function noCommonTerminal(device: DeviceFacts): Finding | null {
  if (marksMean(device.marks, 'C')) return null;
  return finding('stop', 'device-has-no-common', { what: 'none', model: device.model }, [
    ref.device(device.id)
  ]);
}

/** The reason behind what the circuit will show for a device whose hot terminals do not come apart. */
function railsRemark(device: DeviceFacts): Finding[] {
  const { rails, model } = device;
  const because = [ref.device(device.id)];
  if (rails === 'link-removable') return [];
  if (rails === 'link-to-be-cut')
    return [finding('warn', 'link-must-suit-supplies', { what: 'cut-for-good' }, because)];
  return [finding('note', 'rails-not-separable', { what: rails, model }, because)];
}

export interface OwnSupply extends Swapped {
  /** The hot terminal that the new supply goes to: the one that feeds the electronics. */
  readonly rail: string;
}

/** The thermostat swapped, the machine's hot conductor on the other rail, the link between the two out, the new supply there. */
export function ownSupply(
  situation: SupplySituation,
  supply: PlugInTransformer | AddedTransformer,
  places: readonly Place[] = []
): OwnSupply {
  const { device } = situation;
  const { wiring, findings } = swapThermostat(situation);
  const rail = canonicalMark(device.electronicsFrom);
  // With no other hot terminal the machine's conductor stays where it is, and the circuit shows what comes of that.
  const other = ['RH', 'RC', 'R'].find((mark) => mark !== rail && marksMean(device.marks, mark)) ?? rail;
  const apart: Wiring = {
    ...wiring,
    devices: [...wiring.devices, supply],
    places: [...wiring.places, ...places.filter((place) => !wiring.places.some((it) => it.id === place.id))],
    strands: wiring.strands.map((strand) => offTheRail(wiring, strand, sheetTerminal(device, other))),
    links: wiring.links.filter((link) => sideOf(wiring, link.at) !== 'wall')
  };
  return { wiring: apart, findings: [...findings, ...railsRemark(device)], rail };
}

/** The equipment's hot conductor moves to the other rail; a common of the equipment comes off, since C is the new supply's now. */
function offTheRail(wiring: Wiring, strand: Strand, rail: string): Strand {
  const mark = landedMark(wiring, strand.near);
  if (mark === null) return strand;
  if (isHot(mark)) return { ...strand, near: landed(rail) };
  return mark === 'C' ? { ...strand, near: { state: 'coiled' } } : strand;
}
