import { lookReports, planReport } from '$core/formats/reports';
import { deviceName, devicesOf, findDevice } from '$core/match/catalogue';
import { bagFor } from '$core/plan/tools';
import { factKey } from '$core/findings/finding';
import { lookText } from '$core/plan/look-words';
import { looksFor, type Look } from '$core/plan/looks';
import { planFor, type Plan, type PlannedOption } from '$core/plan/plan';
import type { Job, Thermostat } from '$core/job/schema';
import { FAMILY_NAMES, METHOD_IDS, VERDICT_NAMES, WAITS_NAME } from '$core/trade/vocabulary';
import { percentText, quantityText, voltsText } from '$core/trade/figures';
import type { Arguments } from '../arguments';
import { isJob, loadJob, pickThermostat } from '../load';
import { wrongUse, type Outcome, type WrongUse } from '../outcome';
import { lossText } from '$core/words/losses';
import { findingLines, table, wrap } from '../page';
import { isMains, planOutcome } from './mains/plan';
import { planAll } from './plan-together';

/** The options for one thermostat, proven and ranked, and the moves of the one taken. */
export async function plan(args: Arguments): Promise<Outcome> {
  const job = await loadJob(args.file);
  if (!isJob(job)) return job;
  if (args.together) return planAll(job);
  const point = pickThermostat(job, args);
  if (!('kind' in point) && isMains(point)) return planOutcome(point, args);
  const made = planFromArguments(job, args);
  if ('kind' in made) return made;
  const looks = looksFor(job, made.thermostat, { device: made.plan.device });
  return {
    kind: 'result',
    json: { ...planReport(made.plan), looks: lookReports(looks) },
    page: pageOf(made.thermostat, made.plan, looks)
  };
}

/** The plan that --thermostat, --model and --method ask for. */
export function planFromArguments(
  job: Job,
  args: Arguments
): { thermostat: Thermostat; plan: Plan } | WrongUse {
  const thermostat = pickThermostat(job, args);
  if ('kind' in thermostat) return thermostat;
  const device = args.model === undefined ? null : findDevice(job, args.model);
  if (device === undefined) {
    return wrongUse(
      `No model ${args.model}; known: ${devicesOf(job)
        .map((device) => device.id)
        .join(', ')}.`
    );
  }
  const method = args.method === undefined ? null : METHOD_IDS.find((candidate) => candidate === args.method);
  if (method === undefined) return wrongUse(`No method ${args.method}; known: ${METHOD_IDS.join(', ')}.`);
  const plan = planFor(job, thermostat, { device, method, variant: args.variant ?? null });
  const option = plan.options.find((plannedOption) => plannedOption.method === method);
  if (args.variant !== undefined && option?.variant?.id !== args.variant) {
    const known = option?.variants.map((variant) => variant.id).join(', ');
    return wrongUse(
      `No variant ${args.variant} of that method; known: ${known || 'none, or name a --method'}.`
    );
  }
  return { thermostat, plan };
}

function pageOf(thermostat: Thermostat, made: Plan, looks: readonly Look[]): string {
  const { identification } = made;
  return [
    `${thermostat.name}: ${FAMILY_NAMES[identification.family]} (${percentText(identification.probability)}), ${deviceName(made.device)}`,
    ...(made.today.length > 0 ? ['Wrong already:', ...findingLines(made.today, '  ')] : []),
    `${made.undecided ? 'Not decided yet; until then' : 'Recommended'}: ${made.recommended}`,
    ...looks.slice(0, 3).flatMap((look) => wrap(`Look first: ${lookText(look.at)}`, '', '  ')),
    '',
    ...foldedOptions(made.options),
    '',
    ...rows(made),
    ...(made.moves.length > 0 ? [`Moves (${made.taken}):`] : []),
    ...made.moves.flatMap((move, index) =>
      wrap(`${String(index + 1).padStart(2)}. [${move.place}] ${move.text}`, '  ', '      ')
    ),
    ...(made.moves.length > 0 ? ['', ...wrap(`Tools: ${bagFor(made.moves).join(', ')}`, '', '  ')] : []),
    ...(made.parts.length > 0 ? ['', 'Parts:'] : []),
    ...made.parts.map((part) => `  ${quantityText(part.quantity, part.unit)}: ${part.name} ($${part.cost})`),
    '',
    'Local code and the maker’s sheet win over this plan.',
    'All supplies off, and proven off, before anything is touched.'
  ].join('\n');
}

/** What waits for a look is not refused for good. */
function verdictName({ verdict, closing }: PlannedOption): string {
  return closing?.what === 'asks' ? WAITS_NAME : VERDICT_NAMES[verdict];
}

/** What closes several ways for one reason is said once, below their names. */
function foldedOptions(options: readonly PlannedOption[]): string[] {
  const reason = (option: PlannedOption) =>
    option.verdict === 'no' ? option.findings.map(factKey).join('\n') : option.method;
  const groups = new Map<string, PlannedOption[]>();
  for (const option of options) groups.set(reason(option), [...(groups.get(reason(option)) ?? []), option]);
  return [...groups.values()].flatMap((same) => {
    const [first, ...others] = same;
    if (!first) return [];
    if (others.length === 0) return optionLines(first);
    const names = same.map((option) => `${option.title} (${option.method})`).join('; ');
    return [
      ...wrap(`${verdictName(first).padEnd(15)} ${names}`, '', '                '),
      ...findingLines(first.findings, '    ')
    ];
  });
}

function optionLines(option: PlannedOption): string[] {
  const facts =
    option.verdict === 'no'
      ? ''
      : `, ${option.minutes} min (${option.minutesBand.low} to ${option.minutesBand.high}), $${option.cost} (${option.costBand.low} to ${option.costBand.high})`;
  return [
    ...wrap(
      `${verdictName(option).padEnd(15)} ${option.title} (${option.method}${facts})`,
      '',
      '                '
    ),
    ...(option.whyAbove === null ? [] : wrap(option.whyAbove, '    ', '    ')),
    ...option.loses.flatMap((loss) => wrap(`takes away: ${lossText(loss)}`, '    ', '      ')),
    ...findingLines(option.findings, '    ')
  ];
}

function rows(made: Plan): string[] {
  const taken = made.options.find((option) => option.method === made.taken);
  const [world] = taken?.proof?.worlds ?? [];
  if (!world) return [];
  return [
    'Proof (before, after, volts at the thermostat, and their range in the worst case):',
    ...table([
      ['call', 'before', 'after', 'volts', 'range', 'most amps'],
      ...world.rows.map((row) => [
        row.call,
        row.before.join(' ') || '–',
        row.after.join(' ') || '–',
        voltsText(row.voltsAfter),
        row.voltsLow === null || row.voltsHigh === null
          ? '–'
          : `${row.voltsLow.toFixed(1)} to ${row.voltsHigh.toFixed(1)} V`,
        row.ampsMost === null ? '–' : `${row.ampsMost.toFixed(2)} A`
      ])
    ]),
    ''
  ];
}
