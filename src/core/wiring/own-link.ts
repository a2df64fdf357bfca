/**
 * The link between RH and RC that a thermostat comes with: a loop, a clip, a slider, a piece to be cut. It is there when the box is opened, so
 * a device brings it into the graph, and it stays there until a change takes it out.
 */
import type { DeviceFacts } from '../job/device-facts';
import { marksMean } from '../trade/terminals';
import { sheetTerminal, type Device, type WireLink } from './graph';

/** The link of a thermostat with these facts; null where it has none, or none that can be reached. */
export function linkInBox(facts: DeviceFacts, at: string): WireLink | null {
  if (facts.rails !== 'link-removable' && facts.rails !== 'link-to-be-cut') return null;
  if (!marksMean(facts.marks, 'RH') || !marksMean(facts.marks, 'RC')) return null;
  return {
    id: `ln-${facts.id}-clip`,
    at,
    a: sheetTerminal(facts, 'RH'),
    b: sheetTerminal(facts, 'RC'),
    kind: 'clip'
  };
}

/** The link that a device brings along when it is put on. */
export function ownLink(device: Device): WireLink | null {
  return device.kind === 'new-thermostat' ? linkInBox(device.facts, device.at) : null;
}
