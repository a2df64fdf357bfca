import { screwThat, sideOf, type WireLink } from '../../wiring/graph';
import type { FaultRule } from '../types';

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
        if (there) return [];
        const link: WireLink = { id: `left-in-${device.id}`, at: device.at, a, b, kind: 'clip' };
        return [
          {
            id: `link-left-in:${device.id}`,
            kind: 'link-left-in' as const,
            hits: { device: device.id },
            says: 'the link between RH and RC was left in',
            apply: (one) => ({ ...one, links: [...one.links, link] })
          }
        ];
      })
};
