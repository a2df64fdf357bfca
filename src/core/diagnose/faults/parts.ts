/** Faults inside devices: a part that no longer conducts, or conducts all the time, or a transformer that gives too little. */
import type { Element } from '../../devices/elements';
import type { PartName } from '../../trade/parts';
import type { Upset, Wiring } from '../../wiring/graph';
import type { Fault, FaultKind, FaultRule } from '../types';
import { withUpset } from './change';

function rule(
  kind: FaultKind,
  hits: (part: Element) => boolean,
  says: (part: Element, machine: string) => string,
  upset: Upset['kind'] = 'open'
): FaultRule {
  return {
    kind,
    faultsOf: (wiring, parts) =>
      parts.filter(hits).map((part): Fault => ({
        id: `${kind}:${part.id}`,
        kind,
        hits: { part: part.id, ...(part.part ? { device: part.part.device, partName: part.part.part } : {}) },
        says: says(part, ownerName(wiring, part)),
        apply: (before) => withUpset(before, { element: part.id, kind: upset })
      }))
  };
}

function ownerName(wiring: Wiring, { id, part }: Element): string {
  return wiring.devices.find((device) => device.id === part?.device)?.name ?? part?.device ?? id;
}

export const fuseOpen = rule(
  'fuse-open',
  (part) => part.kind === 'fuse',
  (_, machine) => `the fuse of ${machine} is open`
);

export const coilOpen = rule(
  'coil-open',
  (part) => part.kind === 'coil' || part.kind === 'sense',
  (part, machine) => `the coil on ${part.part?.mark ?? part.id} of ${machine} is open`
);

export const coilShorted = rule(
  'coil-shorted',
  (part) => part.kind === 'coil',
  (part, machine) => `the coil on ${part.part?.mark ?? part.id} of ${machine} is shorted`,
  'shorted'
);

export const contactWelded = rule(
  'contact-welded',
  (part) => part.kind === 'call-contact' || part.kind === 'contact',
  (part, machine) => `the contact for ${part.part?.mark ?? part.id} of ${machine} is welded shut`,
  'closed'
);

export const supplyOff = rule(
  'supply-off',
  (part) => part.kind === 'source',
  (_, machine) => `${machine} has no power`
);

export const weakTransformer = rule(
  'weak-transformer',
  (part) => part.kind === 'source',
  (_, machine) => `the transformer of ${machine} is weak`,
  'weak'
);

const SWITCHES: Partial<Record<PartName, string>> = {
  'door-switch': 'the door switch is open',
  'float-switch': 'the condensate float switch is open',
  'low-water-cut-off': 'the low-water cut-off is open'
};

/** Door, float and low-water switches: they are meant to open, and the house is dead behind them until their cause is gone. */
export const switchOpen = rule(
  'switch-open',
  (part) => part.part !== undefined && SWITCHES[part.part.part] !== undefined,
  ({ part }, machine) => `${(part && SWITCHES[part.part]) ?? ''} at ${machine}`
);
