/** A bigger transformer in a machine, where the user means to have one put in: it comes along with whichever way is taken. */
import { ref } from '../findings/refs';
import type { Job } from '../job/schema';
import { USUAL_TRANSFORMER_VA } from '../trade/loads';
import { finding } from '../findings/finding';
import type { Board } from '../wiring/graph';
import type { Offer, Part } from './types';

/** Sizes that control transformers are made in, VA, up to what Class 2 allows, with a usual price in dollars. */
export const TRANSFORMER_SIZES: readonly { readonly va: number; readonly cost: number }[] = [
  { va: 20, cost: 18 },
  { va: 40, cost: 26 },
  { va: 50, cost: 30 },
  { va: 75, cost: 38 },
  { va: 100, cost: 52 }
];

/** The offer with the transformers in it that the job means to have exchanged. */
export function withExchange(offer: Offer, job: Job): Offer {
  if (offer.after === null) return offer;
  const planned = new Map(job.equipment.map((machine) => [machine.id as string, machine.plannedVa]));
  const wanted = (board: Board) => planned.get(board.id) ?? null;
  const exchanged = offer.after.devices.filter(
    (device): device is Board =>
      device.kind === 'board' && wanted(device) !== null && wanted(device) !== device.transformerVa
  );
  if (exchanged.length === 0) return offer;
  return {
    ...offer,
    after: {
      ...offer.after,
      devices: offer.after.devices.map((device) =>
        device.kind === 'board' && exchanged.includes(device)
          ? { ...device, transformerVa: wanted(device) }
          : device
      )
    },
    findings: [
      ...offer.findings,
      ...exchanged.map((board) =>
        finding(
          'warn',
          'transformer-exchange',
          {
            machine: board.name,
            va: board.transformerVa,
            takenVa: USUAL_TRANSFORMER_VA,
            plannedVa: wanted(board) ?? 0
          },
          [ref.machine(board.id)]
        )
      )
    ],
    parts: [...offer.parts, ...exchanged.map((board) => transformerPart(board.id, wanted(board) ?? 0))]
  };
}

function transformerPart(machine: string, va: number): Part {
  const size = TRANSFORMER_SIZES.find((candidate) => candidate.va >= va) ?? TRANSFORMER_SIZES.at(-1);
  return {
    id: `transformer-${machine}`,
    name: `Class 2 control transformer, 24 VAC, ${va} VA`,
    quantity: 1,
    unit: 'piece',
    cost: size?.cost ?? 0,
    for: machine
  };
}
