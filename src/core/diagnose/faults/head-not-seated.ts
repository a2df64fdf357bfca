import type { FaultRule } from '../types';

/** The head of the thermostat does not sit on its plate: its electronics and all its contacts are off. */
export const headNotSeated: FaultRule = {
  kind: 'head-not-seated',
  faultsOf: (wiring, parts) =>
    wiring.devices
      .filter((device) => device.kind === 'new-thermostat')
      .map((device) => {
        const own = parts.filter((part) => part.part?.device === device.id);
        return {
          id: `head-not-seated:${device.id}`,
          kind: 'head-not-seated' as const,
          hits: { device: device.id },
          says: 'the head of the thermostat is not seated on its plate',
          apply: (before) => ({
            ...before,
            upsets: [
              ...(before.upsets ?? []),
              ...own.map((part) => ({ element: part.id, kind: 'open' as const }))
            ]
          })
        };
      })
};
