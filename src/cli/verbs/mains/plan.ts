import { mainsPlanReport, tableLines } from '$core/formats/mains-reports';
import type { Thermostat } from '$core/job/schema';
import type { MainsControls } from '$core/job/mains-schema';
import { controllerName } from '$core/match/mains/controllers';
import { controllersFor } from '$core/match/mains/match';
import { planMains, type MainsPlan, type MainsWay } from '$core/plan/mains/plan';
import { runsText } from '$core/proof/mains/row-text';
import { LAYOUT_NAMES, MAINS_METHODS, MAINS_METHOD_NAMES } from '$core/trade/mains';
import { VERDICT_NAMES, WAITS_NAME } from '$core/trade/vocabulary';
import type { Arguments } from '../../arguments';
import { wrongUse, type Outcome, type WrongUse } from '../../outcome';
import { mainsLines, table, wrap } from '../../page';

/** A thermostat with mains controls behind it. */
export type MainsPoint = Thermostat & { readonly mains: MainsControls };

export function isMains(thermostat: Thermostat): thermostat is MainsPoint {
  return thermostat.mains !== null;
}

/** The plan that --model, --method and --variant ask for. */
export function mainsPlanFor({ mains }: MainsPoint, args: Arguments): MainsPlan | WrongUse {
  const known = controllersFor(mains).map(({ id }) => id as string);
  if (args.model !== undefined && !known.includes(args.model))
    return wrongUse(`No controller ${args.model}; known: ${known.join(', ')}.`);
  const method = args.method === undefined ? null : MAINS_METHODS.find((word) => word === args.method);
  if (method === undefined)
    return wrongUse(`No method ${args.method} for mains controls; known: ${MAINS_METHODS.join(', ')}.`);
  const plan = planMains(mains, {
    controller: args.model ?? null,
    method,
    variant: args.variant ?? null
  });
  if ((args.method !== undefined || args.variant !== undefined) && plan.taken === null) {
    const ways = plan.ways.map((way) => `${way.method} ${way.variant.id}`).join(', ');
    return wrongUse(`No such way here; known: ${ways}.`);
  }
  return plan;
}

export function isPlan(made: MainsPlan | WrongUse): made is MainsPlan {
  return 'ways' in made;
}

export function planOutcome(point: MainsPoint, args: Arguments): Outcome {
  const plan = mainsPlanFor(point, args);
  if (!isPlan(plan)) return plan;
  return {
    kind: 'result',
    json: mainsPlanReport(point.id, plan),
    page: pageOf(point, plan)
  };
}

function pageOf(point: MainsPoint, plan: MainsPlan): string {
  const { taken, controller } = plan;
  return [
    `${point.name}: ${LAYOUT_NAMES[plan.identification.layout]}${controller ? `, ${controllerName(controller)}` : ''}`,
    ...(plan.waiting.length > 0 ? ['Not decided yet, see what is asked:'] : []),
    ...mainsLines(plan.questions),
    ...(plan.today.length > 0 ? ['Wrong already:', ...mainsLines(plan.today)] : []),
    '',
    ...plan.ways.flatMap(wayLines),
    '',
    ...(plan.table
      ? ['Before:', ...table([['state', 'runs', ''], ...tableLines(plan.table, plan.found, runsText)])]
      : []),
    ...(taken?.table && taken.method !== 'keep'
      ? ['After:', ...table([['state', 'runs', ''], ...tableLines(taken.table, plan.found, runsText)])]
      : []),
    ...(taken && taken.moves.length > 0 ? ['', `Moves (${taken.method}, ${taken.variant.id}):`] : []),
    ...(taken?.moves ?? []).flatMap((move, at) =>
      wrap(`${String(at + 1).padStart(2)}. ${move.text}`, '  ', '      ')
    ),
    '',
    '230 V work: for somebody competent, in some places only for somebody licensed.',
    'Local rules and the makers’ sheets win over this plan.'
  ].join('\n');
}

function wayLines(way: MainsWay): string[] {
  const [low, usual, high] = way.effort.minutes;
  const facts = way.method === 'keep' ? '' : `, ${usual} min (${low} to ${high})`;
  return [
    ...wrap(
      `${(way.closing === 'asks' ? WAITS_NAME : VERDICT_NAMES[way.verdict]).padEnd(15)} ${MAINS_METHOD_NAMES[way.method]} (${way.method}, ${way.variant.id}${facts})`,
      '',
      '                '
    ),
    ...mainsLines(way.findings, '    ')
  ];
}
