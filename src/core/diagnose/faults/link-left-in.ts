import { screwThat, sideOf, type Device, type WireLink } from '../../wiring/graph';
import { linkInBox } from '../../wiring/own-link';
import type { FaultRule } from '../types';

/** A new thermostat says on its sheet whether it comes with a link; a plate that is there has it recorded, or has none. */
function hasLink(device: Device): boolean {
  return device.kind === 'new-thermostat' && linkInBox(device.facts, device.at) !== null;
}

/** The clip between RH and RC was left in, where the two have to be apart. */
export const linkLeftIn: FaultRule = {
  kind: 'link-left-in',
  faultsOf: (wiring) =>
    wiring.devices
      .filter((device) => sideOf(wiring, device.at) === 'wall')
      .flatMap((device) => {
        const [a, b] = [screwThat(device, 'RH')?.id, screwThat(device, 'RC')?.id];
        if (a === undefined || b === undefined) return [];
        const there = wiring.links.some(
          (candidate) => [candidate.a, candidate.b].includes(a) && [candidate.a, candidate.b].includes(b)
        );
        // A link to leave in is one that came out of the box, or that the old plate has.
        if (there || !hasLink(device)) return [];
        const link: WireLink = { id: `left-in-${device.id}`, at: device.at, a, b, kind: 'clip' };
        return [
          {
            id: `link-left-in:${device.id}`,
            kind: 'link-left-in' as const,
            hits: { device: device.id },
            says: 'the jumper between RH and RC was left in',
            apply: (before) => ({ ...before, links: [...before.links, link] })
          }
        ];
      })
};
