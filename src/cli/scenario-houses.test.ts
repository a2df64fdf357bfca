/** `match` over every house of the scenarios, as files, the way a script would call it, and what `plan` reports of each. */
import { mkdtemp, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { writeJob } from '$core/formats/job-json';
import { planReport, type matchReport } from '$core/formats/reports';
import { planFor } from '$core/plan/plan';
import { CATALOGUE } from '$core/match/catalogue';
import { FAMILY_HOUSES } from '$core/houses/families';
import { HOUSES } from '$core/houses/houses';
import { zonedHouse } from '$core/houses/zoned-houses';
import { isCombined, requestsOf } from '$core/trade/calls';
import { METHOD_IDS } from '$core/trade/vocabulary';
import type { Job } from '$core/job/schema';
import { main } from './main';

const houses: [name: string, job: Job][] = [
  ...Object.entries(HOUSES).map(([name, make]): [string, Job] => [name, make().job]),
  ...Object.entries(FAMILY_HOUSES).flatMap(([family, trio]) =>
    Object.entries(trio).map(([kind, make]): [string, Job] => [`${family}-${kind}`, make().job])
  ),
  ['zoned', zonedHouse(1)]
];
const DANGEROUS = ['line-voltage', 'millivolt', 'mains-hydronic', 'communicating', 'lineVoltageHouse'];

let folder = '';
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'ulterum-houses-'));
  await Promise.all(houses.map(([name, job]) => writeFile(join(folder, `${name}.json`), writeJob(job))));
});

async function ask<T>(verb: string, name: string): Promise<T> {
  let out = '';
  const code = await main([verb, join(folder, `${name}.json`), '--json'], {
    out: (text) => void (out += text),
    error: (text) => void (out += text)
  });
  expect(code, out).toBe(0);
  return JSON.parse(out) as T;
}
type Plan = ReturnType<typeof planReport>;
type Matches = { readonly thermostats: readonly ReturnType<typeof matchReport>[] };

describe('every house of the scenarios', () => {
  it.each(houses)('is matched with every device, each finding under what it means: %s', async (name) => {
    const { thermostats } = await ask<Matches>('match', name);
    const [only] = thermostats;
    expect(only?.models.map((model) => model.model)).toEqual(CATALOGUE.map((device) => device.id));
    for (const { verdict, findings } of only?.models ?? []) {
      const harm = findings.filter((finding) => finding.aspect === 'damages');
      expect(harm.length > 0).toBe(verdict === 'no');
    }
  });

  it('is planned by the verb as by the core', async () => {
    const { job, thermostat } = FAMILY_HOUSES.furnace!.incomplete();
    const { looks, ...plan } = await ask<Plan & { readonly looks: readonly unknown[] }>(
      'plan',
      'furnace-incomplete'
    );
    expect(plan).toEqual(JSON.parse(JSON.stringify(planReport(planFor(job, thermostat)))));
    expect(looks.length).toBeGreaterThan(0);
  });

  it.each(houses)('is planned by every method, and nothing on offer hides what it loses: %s', (_, job) => {
    // Without the looks that the verb adds: each of those is a plan of its own.
    const plan = planReport(planFor(job, job.thermostats[0]!));
    expect(plan.options.map((option) => option.method).sort()).toEqual([...METHOD_IDS].sort());
    for (const option of plan.options.filter((candidate) => candidate.verdict !== 'no')) {
      expect(
        option.findings.filter((finding) => finding.level === 'stop' && option.method !== 'none')
      ).toEqual([]);
      for (const row of option.proof?.worlds.flatMap((world) => world.rows) ?? []) {
        const said = option.findings.some(
          (finding) =>
            finding.code === 'function-lost' &&
            requestsOf(row.call).some((ask) => finding.because.includes(`call:${ask}`))
        );
        // What is said of a part of a call is not lost in each call that has that part: the fan runs with the heat all the same.
        if (row.lost.length > 0 || !isCombined(row.call))
          expect(said, `${option.method}, ${row.call}`).toBe(row.lost.length > 0);
      }
      expect(option.minutesBand.low).toBeLessThanOrEqual(option.minutes);
      expect(option.minutes).toBeLessThanOrEqual(option.minutesBand.high);
    }
  });

  it.each(houses.filter(([name]) => DANGEROUS.some((candidate) => name.startsWith(candidate))))(
    'is left alone where it is dangerous: %s',
    async (name) => {
      const plan = await ask<Plan>('plan', name);
      expect(plan.options.filter((option) => option.verdict !== 'no').map((option) => option.method)).toEqual(
        ['none']
      );
      expect(plan.moves).toEqual([]);
    }
  );
});
