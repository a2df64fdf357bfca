/** The test plan of every family: every call that the thermostat can make, in a safe order, and nothing that was taken away. */
import { describe, expect, it } from 'vitest';
import { chosen, finished, worked } from '../houses/finished';
import { house, type House } from '../houses/builder';
import * as houses from '../houses/houses';
import { generatedHouse } from '../houses/generate';
import { makeId } from '../job/ids';
import type { Thermostat } from '../job/schema';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import { neighboursOf } from '../plan/neighbours';
import { readCall, requestsOf } from '../trade/calls';
import { METHOD_IDS, type Family, type MethodId } from '../trade/vocabulary';
import { finishedOf } from './subject';
import { testPlanOf, type TestPlan } from './test-plan';
import { airText, loadNames, stopText, testTitle, voltsText, waitText, whatToDo } from './test-words';

const planOf = (made: House, device = 'fellgate', method: MethodId | null = null): TestPlan =>
  testPlanOf(finished(chosen(made, device, method)));
const callsOf = (plan: TestPlan) => plan.steps.map(({ call }) => call);
const withC = (strands: readonly string[], board: readonly string[], family: Family) =>
  house({
    strands: [...strands, 'BU C C'],
    board: [...board, 'C'],
    stated: family,
    observed: { 'conductor-build': 'thin' }
  });
const stepIn = (plan: TestPlan, call: string) => plan.steps.find((step) => step.call === call)!;

const FAMILIES: readonly (readonly [Family, House, string, readonly string[]])[] = [
  ['furnace', withC(['RD R R', 'WH W W'], ['R', 'W'], 'furnace'), 'fellgate', ['heat1', 'idle']],
  [
    'furnace-ac',
    withC(['RD R R', 'WH W W', 'BN W2 W2', 'YE Y Y', 'GN G G'], ['R', 'W', 'W2', 'Y', 'G'], 'furnace-ac'),
    'fellgate',
    ['heat1', 'idle', 'cool1', 'fan', 'heat2']
  ],
  [
    'electric-furnace',
    withC(['RD R R', 'WH W W', 'GN G G'], ['R', 'W', 'G'], 'electric-furnace'),
    'fellgate',
    ['heat1', 'idle', 'fan']
  ],
  ['heat-pump', houses.heatPumpHouse(), 'onebar', ['heat1', 'idle', 'cool1', 'fan', 'aux', 'emergency']],
  [
    'dual-fuel',
    withC(['RD R R', 'YE Y Y', 'GN G G', 'OG O O', 'WH W2 W2'], ['R', 'Y', 'G', 'O', 'W2'], 'dual-fuel'),
    'onebar',
    ['heat1', 'idle', 'cool1', 'fan', 'aux', 'emergency']
  ],
  ['boiler', withC(['RD R R', 'WH W W'], ['R', 'W'], 'boiler'), 'fellgate', ['heat1', 'idle']],
  ['steam', withC(['RD R R', 'WH W W'], ['R', 'W'], 'steam'), 'fellgate', ['heat1', 'idle']],
  [
    'cooling-only',
    withC(['RD R R', 'YE Y Y', 'GN G G'], ['R', 'Y', 'G'], 'cooling-only'),
    'fellgate',
    ['cool1', 'idle', 'fan']
  ],
  ['boiler-plus-ac', houses.boilerPlusAcHouse(), 'fellgate', ['heat1', 'idle', 'cool1', 'fan']]
];

describe('the test plan', () => {
  it.each(FAMILIES)(
    'of %s names each call that its thermostat can make, in a safe order',
    (_, made, device, calls) => {
      const plan = planOf(made, device);
      const single = callsOf(plan).filter((call) => requestsOf(call).length < 2);
      expect(single).toEqual(calls);
      // The sets come last: alone before together.
      expect(callsOf(plan).slice(0, single.length)).toEqual(single);
    }
  );

  it('does not ask for what the way has taken away, and says so', () => {
    const plan = planOf(houses.furnaceFourWires(), 'fellgate', 'repurpose-g');
    expect(callsOf(plan)).not.toContain('fan');
    expect(plan.takenAway).toEqual(['fan']);
    expect(callsOf(plan).some((call) => requestsOf(call).includes('fan'))).toBe(false);
    expect(stepIn(plan, 'cool1').mustRun).toEqual(expect.arrayContaining(['compressor', 'blower']));
  });

  it('of a receiver names what its short wires at the board can call: nothing is lost by having none to the wall', () => {
    const plan = planOf(houses.furnaceWithSpare(), 'farspeak', 'receiver-at-equipment');
    expect(callsOf(plan)).toEqual(['heat1', 'idle', 'cool1', 'fan', 'heat1+fan']);
    expect(plan.takenAway).toEqual([]);
    expect(stepIn(plan, 'cool1').mustRun).toEqual(expect.arrayContaining(['compressor', 'blower']));
  });

  it.each(['furnaceFourWires', 'heatPumpNoCommon', 'boilerPlusAcHouse'] as const)(
    'of %s has by every way each call that the proof keeps, and none that nothing answers',
    { tags: ['wide'] },
    (name) => {
      let ways = 0;
      for (const device of ['fellgate', 'weftline', 'farspeak', 'sipper'])
        for (const method of METHOD_IDS) {
          const { job, thermostat, plan } = chosen(houses[name](), device, method);
          const option = plan.options.find((candidate) => candidate.method === method);
          const made = option?.verdict === 'no' ? null : finishedOf(job, thermostat, plan);
          const rows = option?.proof?.worlds[0]?.rows ?? [];
          if (made === null || 'code' in made || rows.length === 0) continue;
          ways += 1;
          const calls = new Set<string>(callsOf(testPlanOf(made)));
          for (const { call, after } of rows.filter(
            (row) => row.call !== 'idle' && requestsOf(row.call).length === 1
          )) {
            if (after.length === 0) expect(calls, `${device} ${method}`).not.toContain(call);
            else expect(calls, `${device} ${method}`).toContain(call);
          }
        }
      expect(ways).toBeGreaterThan(2);
    }
  );

  it('promises no volts between R and C where no wire is on C', () => {
    const plan = planOf(houses.furnaceFourWires(), 'sipper', 'no-c-needed');
    expect(plan.steps.map(({ volts }) => volts)).toEqual(plan.steps.map(() => null));
  });

  it('names the same calls once the work is done', () => {
    const before = planOf(houses.furnaceWithSpare());
    const after = testPlanOf(finished(worked(chosen(houses.furnaceWithSpare(), 'fellgate'))));
    expect(after.which).toBe('now');
    expect(callsOf(after)).toEqual(callsOf(before));
  });

  it('says what must run and what must not, from the circuit', () => {
    const plan = planOf(houses.heatPumpHouse(), 'onebar');
    expect(stepIn(plan, 'heat1')).toMatchObject({
      mustRun: ['compressor', 'blower'],
      mustNotRun: ['reversing-valve', 'strips']
    });
    expect(stepIn(plan, 'cool1').mustRun).toContain('reversing-valve');
    expect(stepIn(plan, 'emergency').mustNotRun).toContain('compressor');
    expect(stepIn(plan, 'idle').mustRun).toEqual([]);
    expect(stepIn(plan, 'fan').mustNotRun).toContain('compressor');
  });

  it('promises no load that only some of the believable worlds run', () => {
    const unsure = house({
      strands: ['RD R R', 'WH W W', 'BU C C'],
      board: ['R', 'C', 'W'],
      observed: { 'conductor-build': 'thin', 'heat-from': 'radiators' }
    });
    const made = finishedOf(...argumentsOf(unsure));
    if ('code' in made) throw new Error(made.code);
    expect(made.worlds.length).toBeGreaterThan(1);
    const step = stepIn(testPlanOf(made), 'heat1');
    const everywhere = testPlanOf({ ...made, worlds: made.worlds.slice(0, 1) });
    expect(step.mustRun.length).toBeLessThanOrEqual(stepIn(everywhere, 'heat1').mustRun.length);
    expect(step.mustRun.every((load) => stepIn(everywhere, 'heat1').mustRun.includes(load))).toBe(true);
  });

  it('has the volts of the proof with their band, the nominal one within it', () => {
    const { volts } = stepIn(planOf(houses.furnaceWithSpare()), 'cool1');
    expect(volts!.low).toBeLessThan(volts!.nominal);
    expect(volts!.high).toBeGreaterThan(volts!.nominal);
    expect(volts!.low).toBeGreaterThan(18);
    expect(stepIn(planOf(houses.furnaceWithSpare(), 'pair'), 'heat1')?.volts).toBeNull();
  });

  it('waits for fire, water and compressor as long as each takes', () => {
    expect(stepIn(planOf(houses.furnaceWithSpare()), 'heat1').wait).toEqual({ first: 90, judged: 150 });
    expect(stepIn(planOf(houses.furnaceWithSpare()), 'cool1').wait.judged).toBe(720);
    expect(stepIn(planOf(FAMILIES[5]![1]), 'heat1').wait.judged).toBe(600);
    expect([waitText(90), waitText(720), waitText(30)]).toEqual(['90 s', '12 min', '30 s']);
  });

  it('knows the band of the air where one is usual, and gives none where none is', () => {
    const furnace = planOf(houses.furnaceWithSpare());
    expect(stepIn(furnace, 'heat1').air).toEqual({ way: 'rise', low: 17, high: 40 });
    expect(stepIn(furnace, 'cool1').air).toEqual({ way: 'fall', low: 8, high: 12 });
    expect(stepIn(planOf(houses.heatPumpHouse(), 'onebar'), 'heat1').air).toEqual({ way: 'warm' });
    expect(stepIn(planOf(FAMILIES[5]![1]), 'heat1').air).toEqual({ way: 'pipe' });
  });

  it('calls cooling what asks for it, though the circuit starts no compressor', () => {
    const made = finished(chosen(houses.furnaceWithSpare(), 'fellgate'));
    const strands = made.wiring.strands.map((strand) => ({
      ...strand,
      continuity: strand.name === 'yellow' ? ('broken' as const) : strand.continuity
    }));
    const step = stepIn(testPlanOf({ ...made, wiring: { ...made.wiring, strands } }), 'cool1');
    expect(step.mustRun).not.toContain('compressor');
    expect(step).toMatchObject({ cools: true, compressor: true });
  });

  it('only calls cooling what a compressor cools', () => {
    const plan = planOf(houses.heatPumpHouse(), 'onebar');
    expect(plan.steps.filter(({ cools }) => cools).map(({ call }) => call)).toEqual(['cool1']);
    expect(plan.steps.filter(({ compressor }) => compressor).map(({ call }) => call)).toEqual([
      'heat1',
      'cool1',
      'aux'
    ]);
  });

  it('puts the sets that load the transformer most after each by itself', () => {
    const plan = planOf(houses.furnaceWithSpare());
    const last = plan.steps.at(-1)!;
    expect(last.kind).toBe('together');
    expect(last.loadShare).toBeGreaterThan(stepIn(plan, 'heat1').loadShare);
  });

  it('calls all zones of a shared machine at once, each zone by itself before', () => {
    const zones = SCHOOLHOUSE;
    const [place] = zones.thermostats;
    // Fed from the same transformer: what it draws is there in all zones at once alone.
    const second: Thermostat = {
      ...(JSON.parse(JSON.stringify(place).replaceAll('th-classroom', 'th-second')) as Thermostat),
      name: 'Second',
      choice: { device: makeId('device', 'fellgate'), method: 'spare-conductor', variant: null }
    };
    const two = { ...zones, thermostats: [place!, second] };
    const made = finished(chosen({ job: two, thermostat: place! }, 'fellgate'));
    const plan = testPlanOf(made, { neighbours: neighboursOf(two, place!) });
    const together = plan.steps.at(-1)!;
    expect(together.kind).toBe('zones');
    expect(readCall(together.call)).toBe('th-classroom:heat1+th-second:heat1');
    expect(together.loadShare).toBeGreaterThan(stepIn(plan, 'heat1').loadShare);
    expect(together.volts!.nominal).toBeLessThan(stepIn(plan, 'heat1').volts!.nominal);
    expect(together.volts!.low).toBeLessThan(together.volts!.nominal);
    expect(together.volts!.high).toBeGreaterThan(together.volts!.nominal);
    expect(testTitle(together, (id) => id.replace('th-', ''))).toBe(
      'Heat in all zones at once: classroom, second'
    );
  });

  it('has words for everything, of any house that is drawn', { tags: ['wide'] }, () => {
    const units = { length: 'ft', temperature: 'F' } as const;
    let tested = 0;
    for (let seed = 1; seed <= 30; seed += 1) {
      const made = finishedOf(...argumentsOf(generatedHouse(seed)));
      if ('code' in made) continue;
      for (const step of testPlanOf(made).steps) {
        tested += 1;
        const said = [
          testTitle(step, (id) => id),
          whatToDo(step),
          stopText(step),
          loadNames(step.mustRun),
          airText(step, units),
          voltsText(step)
        ];
        expect(said.join(' ')).not.toMatch(/undefined|NaN|null/);
        expect(step.mustRun.filter((load) => step.mustNotRun.includes(load))).toEqual([]);
      }
    }
    expect(tested).toBeGreaterThan(50);
  });

  it('gives differences of temperature in the scale of the job', () => {
    const step = stepIn(planOf(houses.furnaceWithSpare()), 'cool1');
    expect(airText(step, { temperature: 'C' })).toMatch(/8 to 12 K cooler/);
    expect(airText(step, { temperature: 'F' })).toMatch(/14 to 22 °F cooler/);
  });
});

function argumentsOf(made: House) {
  const { job, thermostat, plan } = chosen(made, 'fellgate');
  return [job, thermostat, plan] as const;
}
