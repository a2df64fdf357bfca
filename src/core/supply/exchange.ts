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
  const planned = new Map(job.equipment.map((one) => [one.id as string, one.plannedVa]));
  const wanted = (board: Board) => planned.get(board.id) ?? null;
  const exchanged = offer.after.devices.filter(
    (one): one is Board => one.kind === 'board' && wanted(one) !== null && wanted(one) !== one.transformerVa
  );
  if (exchanged.length === 0) return offer;
  return {
    ...offer,
    after: {
      ...offer.after,
      devices: offer.after.devices.map((one) =>
        one.kind === 'board' && exchanged.includes(one) ? { ...one, transformerVa: wanted(one) } : one
      )
    },
    findings: [
      ...offer.findings,
      ...exchanged.map((one) =>
        finding(
          'warn',
          'transformer-exchange',
          {
            machine: one.name,
            va: one.transformerVa,
            takenVa: USUAL_TRANSFORMER_VA,
            plannedVa: wanted(one) ?? 0
          },
          [ref.machine(one.id)]
        )
      )
    ],
    parts: [...offer.parts, ...exchanged.map((one) => transformerPart(one.id, wanted(one) ?? 0))]
  };
}

function transformerPart(machine: string, va: number): Part {
  const size = TRANSFORMER_SIZES.find((one) => one.va >= va) ?? TRANSFORMER_SIZES.at(-1);
  return {
    id: `transformer-${machine}`,
    name: `Class 2 control transformer, 24 VAC, ${va} VA`,
    quantity: 1,
    unit: 'piece',
    cost: size?.cost ?? 0,
    for: machine
  };
}
