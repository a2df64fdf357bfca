/** Files of version 1, made before the record changed: they open, name the same systems, and are planned without losing anything. */
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { identify } from '../identify/identify';
import { applyMoves } from '../plan/moves';
import { planFor } from '../plan/plan';
import { sortedWiring } from '../wiring/graph';
import { readJob, writeJob } from './job-json';

const DIR = 'src/core/formats/fixtures/v1';

interface Expected {
  readonly thermostat: string;
  readonly family: string;
  readonly voltageClass: string;
}

const expected = JSON.parse(readFileSync(`${DIR}/expected.json`, 'utf8')) as Record<string, Expected[]>;
const names = readdirSync(DIR).filter((candidate) => candidate !== 'expected.json');

function opened(name: string) {
  const read = readJob(readFileSync(`${DIR}/${name}`, 'utf8'));
  if (!read.ok) throw new Error(`${name}: ${JSON.stringify(read.faults)}`);
  return read;
}

describe('a file of version 1', () => {
  it.each(names)('%s opens, and its version-2 form reads back as the same job', (name) => {
    const read = opened(name);
    expect(read.from).toBe(1);
    const again = readJob(writeJob(read.job));
    expect(again.ok && again.job).toEqual(read.job);
    expect(again.ok && again.from).toBe(2);
  });

  it.each(names)('%s names the same systems, and its moves lead where its plan says', (name) => {
    const { job } = opened(name);
    const now = job.thermostats.map((thermostat) => {
      const { family, voltageClass } = identify(job, thermostat);
      const plan = planFor(job, thermostat);
      if (plan.wiringAfter && plan.moves.length > 0)
        expect(sortedWiring(applyMoves(plan.wiringNow, plan.moves))).toEqual(sortedWiring(plan.wiringAfter));
      return { thermostat: thermostat.id as string, family, voltageClass };
    });
    expect(now).toEqual(expected[name.replace('.json', '')]);
  });
});
