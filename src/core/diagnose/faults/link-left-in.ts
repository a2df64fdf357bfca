import { hasMark, terminalId, type WireLink } from '../../wiring/graph';
import type { FaultRule } from '../types';

/** The clip between RH and RC was left in, where the two have to be apart. */
export const linkLeftIn: FaultRule = {
  kind: 'link-left-in',
  faultsOf: (wiring) =>
    wiring.devices
      .filter((one) => one.place === 'wall' && hasMark(one, 'RH') && hasMark(one, 'RC'))
      .flatMap((device) => {
        const [a, b] = [terminalId(device.id, 'RH'), terminalId(device.id, 'RC')];
        const there = wiring.links.some((one) => [one.a, one.b].includes(a) && [one.a, one.b].includes(b));
        if (there) return [];
        const link: WireLink = { id: `left-in-${device.id}`, place: 'wall', a, b, kind: 'clip' };
        return [
          {
            id: `link-left-in:${device.id}`,
            kind: 'link-left-in' as const,
            says: 'the link between RH and RC was left in',
            apply: (one) => ({ ...one, links: [...one.links, link] })
          }
        ];
      })
};
