/** Every code that a finding may carry is raised by some house, and kept quiet by another. */
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { FERRY_HOUSE } from '../../demo/ferry-house';
import { SCHOOLHOUSE } from '../../demo/schoolhouse';
import type { Finding, FindingCode } from '../findings/finding';
import { readJob } from '../formats/job-json';
import { ODD_HOUSES } from '../houses/odd-houses';
import { FAMILY_HOUSES } from '../houses/families';
import { HAND_PAIRS } from '../houses/hand-pairs';
import { HOUSES } from '../houses/houses';
import { simulate } from '../circuit/simulate';
import { harmFindings } from '../proof/harm';
import { prove } from '../proof/prove';
import { identify } from '../identify/identify';
import { recordFindings } from '../job/record-findings';
import { makeId } from '../job/ids';
import type { Job, Thermostat } from '../job/schema';
import { CATALOGUE, findDevice } from '../match/catalogue';
import { planFor } from '../plan/plan';
import { plannedPlace } from '../plan/planned-place';
import { unmatchedFindings } from '../reading/match-ends';
import { traceOf } from '../reading/trace-common';
import { safetyOf } from '../safety/standing';
import { FINDING_CODES, findingText } from '../words/findings/table';

const V1 = 'src/core/formats/fixtures/v1';
const fixtures = readdirSync(V1)
  .filter((name) => name.startsWith('odd-') || name === 'half-done.json')
  .flatMap((name): [string, Job][] => {
    const read = readJob(readFileSync(`${V1}/${name}`, 'utf8'));
    return read.ok ? [[name, read.job]] : [];
  });
/** The thermostat that was chosen for it has gone from the job since. */
const [classroom] = SCHOOLHOUSE.thermostats;
const SOLD_OUT: Job = {
  ...SCHOOLHOUSE,
  thermostats: [{ ...classroom!, choice: { ...classroom!.choice, device: makeId('device', 'sold-out') } }]
};

const jobs: [string, Job][] = [
  ...Object.entries(HOUSES).map(([name, make]): [string, Job] => [name, make().job]),
  ...Object.entries(FAMILY_HOUSES).flatMap(([family, trio]) =>
    Object.entries(trio).map(([kind, make]): [string, Job] => [`${family} ${kind}`, make().job])
  ),
  ...Object.entries(ODD_HOUSES).map(([name, make]): [string, Job] => [name, make().job]),
  ['schoolhouse', SCHOOLHOUSE],
  ['sold out', SOLD_OUT],
  ['ferry house', FERRY_HOUSE],
  ...fixtures
];

const WITH_ALL_SHEETS = new Set(['furnaceWithSpare', 'heatOnly', 'boilerPlusAcHouse']);

/** Whatever any part of the program says of a house. */
function said(name: string, job: Job, thermostat: Thermostat): Finding[] {
  const identification = identify(job, thermostat);
  const device =
    thermostat.choice.device === null ? null : (findDevice(job, thermostat.choice.device) ?? null);
  // Every kind of sheet in some ordinary houses; the others with one.
  const models = WITH_ALL_SHEETS.has(name) ? PLANNED : PLANNED.slice(0, 1);
  const devices = device ? [device] : CATALOGUE.filter((candidate) => models.includes(candidate.id));
  const plans = devices.map((sheet) => planFor(job, thermostat, { device: sheet }));
  const place = plannedPlace(job, thermostat, plans[0]!);
  return [
    ...identification.findings,
    ...unmatchedFindings(thermostat),
    ...job.equipment.flatMap((machine) => traceOf(machine).findings),
    ...safetyOf(thermostat, place.known, '2026-03-02T10:00:00.000Z').findings,
    ...place.matches
      .filter((match) => device === null || match.device.id === device.id)
      .flatMap((match) => match.findings),
    ...place.buying.findings,
    ...plans.flatMap((plan) => plan.waiting.map(({ question }) => question)),
    ...plans.flatMap((plan) => [...plan.today, ...plan.options.flatMap((option) => option.findings)])
  ];
}
const PLANNED = [
  'de-fellgate',
  'de-pair',
  'de-sipper',
  'de-twobridge',
  'de-farspeak',
  'de-onebar',
  'de-cutlink'
];

const byHouse = new Map<string, readonly Finding[]>();
for (const [name, job] of jobs)
  byHouse.set(name, [
    ...recordFindings(job),
    ...job.thermostats.flatMap((thermostat) => said(name, job, thermostat))
  ]);

for (const [name, pair] of Object.entries(HAND_PAIRS)) byHouse.set(name, prove(pair).findings);
/** No board that is modelled has a relay that breaks its own circuit: what would be said of one is shown of a circuit that was made up. */
const { world } = HAND_PAIRS.whole.worlds[0]!;
const still = simulate(HAND_PAIRS.whole.after, world, 'heat1');
if (still.ok)
  byHouse.set(
    'a relay that breaks its own circuit',
    harmFindings({ ...still.result, chattering: [still.result.supplies[0]!.part] })
  );

describe('the codes of findings', () => {
  it.each(FINDING_CODES)('%s is raised in one house and not in another', (code: FindingCode) => {
    const raising = [...byHouse].filter(([, findings]) => findings.some((finding) => finding.code === code));
    expect(raising.length, `no house raises ${code}`).toBeGreaterThan(0);
    expect(raising.length, `every house raises ${code}`).toBeLessThan(byHouse.size);
  });

  it('have a sentence for every finding of every house, with nothing left open in it', () => {
    for (const [house, findings] of byHouse)
      for (const finding of findings) {
        const text = findingText(finding);
        expect(text, `${house}: ${finding.code}`).toMatch(/^[“A-Za-z0-9][^]*[.?)]$/);
        expect(text, `${house}: ${finding.code}`).not.toMatch(/undefined|null|NaN|\[object| {2}/);
      }
  });
});
