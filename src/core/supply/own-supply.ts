/** A supply of the thermostat's own, beside the machine's: what the plug-in and the second transformer have in common. */
import type { DeviceFacts } from '../job/device-facts';
import { finding, type Finding } from '../trade/findings';
import { canonicalMark, isHot } from '../trade/terminals';
import {
  hasMark,
  landedTerminal,
  splitTerminal,
  terminalId,
  type AddedTransformer,
  type PlugInTransformer,
  type Strand,
  type Wiring
} from '../wiring/graph';
import { swapThermostat, type Swapped } from './swap-thermostat';
import type { SupplySituation } from './types';

/** Why a device cannot take two supplies, or null where it can: RH and RC have to come apart. */
export function railsTrouble(device: DeviceFacts): Finding | null {
  if (!hasMark(device, 'C'))
    return finding('stop', 'device-has-no-common', `The ${device.model} has no C terminal.`, [device.id]);
  if (device.rails === 'link-removable' || device.rails === 'link-to-be-cut') return null;
  const how = device.rails === 'one-r' ? 'has one R only' : 'joins RH and RC inside';
  return finding(
    'stop',
    'rails-not-separable',
    `The ${device.model} ${how}: two supplies would be tied together. It needs RH and RC with a link that comes out.`,
    [device.id]
  );
}

export interface OwnSupply extends Swapped {
  /** The hot terminal that the new supply goes to: the one that feeds the electronics. */
  readonly rail: string;
}

/** The thermostat swapped, the machine's hot conductor on the other rail, the link between the two out, the new supply there. */
export function ownSupply(
  situation: SupplySituation,
  supply: PlugInTransformer | AddedTransformer
): OwnSupply {
  const { device } = situation;
  const { wiring, findings } = swapThermostat(situation);
  const rail = canonicalMark(device.electronicsFrom);
  const other = rail === 'RC' ? 'RH' : 'RC';
  const cut: Finding[] =
    device.rails === 'link-to-be-cut'
      ? [
          finding('warn', 'link-must-suit-supplies', 'The link between RH and RC has to be cut for good.', [
            device.id
          ])
        ]
      : [];
  const apart: Wiring = {
    ...wiring,
    devices: [...wiring.devices, supply],
    strands: wiring.strands.map((strand) => offTheRail(strand, device.id, other)),
    links: wiring.links.filter((link) => link.place !== 'wall')
  };
  return { wiring: apart, findings: [...findings, ...cut], rail };
}

/** The equipment's hot conductor moves to the other rail; a common of the equipment comes off, since C is the new supply's now. */
function offTheRail(strand: Strand, device: string, rail: string): Strand {
  const wall = landedTerminal(strand.wall);
  if (wall === null) return strand;
  const { mark } = splitTerminal(wall);
  if (isHot(mark)) return { ...strand, wall: { state: 'landed', terminal: terminalId(device, rail) } };
  return mark === 'C' ? { ...strand, wall: { state: 'coiled' } } : strand;
}
