/** Faults inside devices: a part of the circuit that no longer conducts, or a transformer that gives too little. */
import type { Upset, Wiring } from '../../wiring/graph';
import type { Fault, FaultKind, FaultRule } from '../types';
import { withUpset } from './change';

type Part = { readonly id: string; readonly kind: string };

function rule(
  kind: FaultKind,
  hits: (part: Part) => boolean,
  says: (part: Part, machine: string) => string,
  upset: Upset['kind'] = 'open'
): FaultRule {
  return {
    kind,
    faultsOf: (wiring, parts) =>
      parts.filter(hits).map((part): Fault => ({
        id: `${kind}:${part.id}`,
        kind,
        says: says(part, ownerName(wiring, part.id)),
        apply: (one) => withUpset(one, { element: part.id, kind: upset })
      }))
  };
}

function ownerName(wiring: Wiring, part: string): string {
  const owner = part.slice(0, part.lastIndexOf(':'));
  return wiring.devices.find((one) => one.id === owner)?.name ?? owner;
}

function partName(part: Part): string {
  return part.id.slice(part.id.lastIndexOf(':') + 1);
}

export const fuseOpen = rule(
  'fuse-open',
  (part) => part.kind === 'fuse',
  (_, machine) => `the fuse of ${machine} is open`
);

export const coilOpen = rule(
  'coil-open',
  (part) => part.kind === 'coil' || part.kind === 'sense',
  (part, machine) => `the coil ${partName(part).replace(/^coil-/, 'on ')} of ${machine} is open`
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

const SWITCHES: Readonly<Record<string, string>> = {
  'door-switch': 'the door switch is open',
  'float-switch': 'the condensate float switch is open',
  'low-water-cut-off': 'the low-water cut-off is open'
};

/** Door, float and low-water switches: they are meant to open, and the house is dead behind them until their cause is gone. */
export const switchOpen = rule(
  'switch-open',
  (part) => partName(part) in SWITCHES,
  (part, machine) => `${SWITCHES[partName(part)] ?? ''} at ${machine}`
);
