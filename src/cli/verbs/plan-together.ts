import { quantityText } from '$core/trade/figures';
import { togetherReport } from '$core/formats/reports';
import { deviceName } from '$core/match/catalogue';
import type { Job } from '$core/job/schema';
import type { SharedSupply } from '$core/plan/shared-supply';
import { planTogether, type Together } from '$core/plan/together';
import { callName } from '$core/trade/calls';
import { VERDICT_NAMES } from '$core/trade/vocabulary';
import type { Outcome } from '../outcome';
import { table, wrap } from '../page';

/** All thermostats of the job as one piece of work: shared transformers, one trip, one list to buy. */
export function planAll(job: Job): Outcome {
  const together = planTogether(job);
  return { kind: 'result', json: togetherReport(together), page: pageOf(job, together) };
}

function pageOf(job: Job, together: Together): string {
  const { minutes, minutesApart, cost } = together;
  const nameOf = new Map<string, string>(
    job.thermostats.map((thermostat) => [thermostat.id, thermostat.name])
  );
  return [
    ...together.places.map(
      ({ thermostat, device, option }) =>
        `${VERDICT_NAMES[option.verdict].padEnd(15)} ${thermostat.name}: ${option.title}, ${deviceName(device)}`
    ),
    '',
    ...together.shared.flatMap(sharedLines),
    ...wrap(
      `About ${minutes.usual} minutes (${minutes.low} to ${minutes.high}); one after the other ${minutesApart.usual}. Parts about $${cost.usual} ($${cost.low} to $${cost.high}).`,
      '',
      '  '
    ),
    '',
    ...together.moves.flatMap((move, index) => {
      const whose = move.thermostats.map((id) => nameOf.get(id) ?? id).join(', ');
      return wrap(`${String(index + 1).padStart(2)}. [${move.place}; ${whose}] ${move.text}`, '  ', '      ');
    }),
    '',
    'Parts:',
    ...together.parts
      .filter((part) => part.run === undefined)
      .map((part) => `  ${quantityText(part.quantity, part.unit)}: ${part.name} ($${part.cost})`),
    ...together.cuts.rolls.flatMap((roll) =>
      wrap(
        `roll of ${roll.lengthM} m, ${roll.conductors} wires, ${roll.gauge} AWG ($${roll.cost}): ${roll.runs.map((run) => `${run.lengthM} m for ${run.for}`).join(', ')}; ${roll.restM} m left`,
        '  ',
        '    '
      )
    ),
    ...together.cuts.byTheMetre.map((run) => `  ${run.lengthM} m by the metre for ${run.for}`),
    '',
    'Local code and the maker’s sheet win over this plan.',
    'All supplies off, and proven off, before anything is touched.'
  ].join('\n');
}

function sharedLines(shared: SharedSupply): string[] {
  const va = (value: number | null) => (value === null ? 'not solved' : value.toFixed(1));
  return [
    `Transformer of ${shared.name}: ${shared.plannedVa ?? shared.ratedVa} VA${shared.assumed ? ' (taken, not read)' : ''}, shared by ${shared.thermostats.join(', ')}`,
    ...table([
      ['all call', 'VA today', 'VA after', 'of rating'],
      ...shared.rows.map((row) => [
        callName(row.call),
        va(row.before),
        va(row.after),
        `${Math.round(100 * row.share)} %`
      ])
    ]),
    ...(shared.tooSmallForAll ? wrap(tooSmall(shared), '  ', '  ') : []),
    ''
  ];
}

function tooSmall({ overloaded, enough }: SharedSupply): string {
  const bigger =
    enough === null
      ? 'no transformer of Class 2 would carry it'
      : `one of ${enough} VA would carry it (mains work, a licensed person)`;
  return overloaded
    ? `Too much: ${bigger}.`
    : `Too small for all of them wired to it: some have a supply of their own instead; or ${bigger}.`;
}
