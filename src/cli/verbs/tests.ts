import { testsReport } from '$core/formats/handover-report';
import { testPlanOf } from '$core/handover/test-plan';
import { loadNames, waitText } from '$core/handover/test-words';
import { weatherOf } from '$core/house/weather';
import { neighboursOf } from '$core/plan/neighbours';
import type { Arguments } from '../arguments';
import { wrongUse, type Outcome } from '../outcome';
import { wrap } from '../page';
import { finishedFromArguments, isFinished, mainsFromArguments } from './finished';
import { testsOutcome } from './mains/after';

const COLDEST_C = -60;
const WARMEST_C = 60;

/** The test plan, and what the weather of the day puts off. */
export async function tests(args: Arguments): Promise<Outcome> {
  const outdoorC = args.outdoor === undefined ? null : Number(args.outdoor);
  if (outdoorC !== null && !(outdoorC >= COLDEST_C && outdoorC <= WARMEST_C))
    return wrongUse(`--outdoor wants °C from ${COLDEST_C} to ${WARMEST_C}, not ${args.outdoor}.`);
  const mains = await mainsFromArguments(args);
  if (mains) return testsOutcome(mains, args);
  const finished = await finishedFromArguments(args);
  if (!isFinished(finished)) return finished;
  const { job, thermostat } = finished;
  const plan = testPlanOf(finished, { neighbours: neighboursOf(job, thermostat) });
  const report = testsReport(thermostat.id, plan, job.units, {
    outdoorC,
    today: new Date().toISOString().slice(0, 10),
    hourly: weatherOf(job.survey.building).hourly
  });
  const lines = report.tests.flatMap((test) => [
    `${test.order}. ${test.title}`,
    ...wrap(test.do, '   ', '   '),
    `   wait ${waitText(test.waitSeconds.first)}, judge after ${waitText(test.waitSeconds.judged)}`,
    ...wrap(`must run: ${loadNames(test.mustRun)}`, '   ', '     '),
    ...(test.mayRun.length > 0 ? wrap(`may run: ${loadNames(test.mayRun)}`, '   ', '     ') : []),
    ...wrap(`must not run: ${loadNames(test.mustNotRun)}`, '   ', '     '),
    ...(test.lost.length > 0
      ? wrap(`will not run with this wiring: ${loadNames(test.lost)}`, '   ', '     ')
      : []),
    ...(test.volts
      ? [
          `   R-C at the thermostat: ${test.volts.nominal.toFixed(1)} V (${test.volts.low.toFixed(1)} to ${test.volts.high.toFixed(1)})`
        ]
      : []),
    ...(test.airSays === null ? [] : wrap(test.airSays, '   ', '   ')),
    ...wrap(test.stopWhen, '   ', '   '),
    ...(test.open
      ? []
      : [
          test.putOff === null
            ? '   not yet: read the temperature outdoors first (--outdoor C)'
            : `   put off: too cold outdoors; ${test.putOff.until === null ? 'no warm day in the weather year' : `from ${test.putOff.until}`}`
        ])
  ]);
  return {
    kind: 'result',
    json: report,
    page: [`${thermostat.name}: tests, in this order`, '', ...lines].join('\n')
  };
}
