/** Files of version 1, made before the record changed: they open, and give what they gave then. */
import { lossText, type Loss } from '../words/losses';
import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { identify } from '../identify/identify';
import { matchAll } from '../match/match';
import { moveKey } from '../plan/moves';
import { planFor } from '../plan/plan';
import { readJob, writeJob } from './job-json';

const DIR = 'src/core/formats/fixtures/v1';

interface Expected {
  readonly thermostat: string;
  readonly family: string;
  readonly probability: number;
  readonly voltageClass: string;
  readonly match: Readonly<Record<string, string>>;
  readonly recommended: string;
  readonly taken: string;
  readonly options: readonly {
    readonly method: string;
    readonly variant: string | null;
    readonly verdict: string;
    readonly codes: readonly string[];
    readonly loses: readonly string[];
  }[];
  readonly moves: readonly { readonly key: string; readonly place: string; readonly text: string }[];
}

const readExpected = (name: string) =>
  JSON.parse(readFileSync(`${DIR}/${name}`, 'utf8')) as Record<string, Expected[]>;
/**
 * What is judged otherwise since: a found end on Y2 shows that the board has a Y2 (`odd-photos-and-ends`); two wires that nobody has measured
 * may belong to a heater with a standing pilot (`family-contact-heater-incomplete`); what a family that is stated or likely leaves possible
 * stays in the proof, so that a loss names other systems than it did (the others).
 */
const since = readExpected('expected-since.json');
const expected = { ...readExpected('expected.json'), ...since };
const names = readdirSync(DIR).filter((one) => !one.startsWith('expected'));

/** A loss in the words of version 1: what is compared is what is lost, not how it is said today. */
function formerly(loss: Loss): string {
  if (loss.what === 'function') return lossText(loss);
  if (loss.what === 'spare') return `the ${loss.conductor} conductor is no longer a spare`;
  const words: Partial<Record<Loss['what'], string>> = {
    'two-spares': 'two spare conductors',
    cells: 'cells have to be changed, about once a year',
    'wall-part-cells': 'the part on the wall lives on cells, which have to be changed',
    'read-part-cells': 'the part that one reads and sets lives on cells, which have to be changed'
  };
  return words[loss.what] ?? lossText(loss);
}

function isOwnLink({ action, what }: { readonly action: string; readonly what: string }): boolean {
  return (action === 'unlink' && what.endsWith('-clip')) || (action === 'link' && what.startsWith('de-'));
}

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

  it.each(names)('%s gives the same system, match and ways', (name) => {
    const { job } = opened(name);
    const now = job.thermostats.map((thermostat) => {
      const plan = planFor(job, thermostat);
      const found = identify(job, thermostat);
      return {
        thermostat: thermostat.id,
        family: found.family,
        voltageClass: found.voltageClass,
        match: Object.fromEntries(matchAll(job, thermostat).map((match) => [match.device.id, match.verdict])),
        recommended: plan.recommended,
        taken: plan.taken,
        options: plan.options.map((option) => [option.method, option.variant?.id ?? null, option.verdict])
      };
    });
    const then = (expected[name.replace('.json', '')] ?? []).map((one) => ({
      thermostat: one.thermostat,
      family: one.family,
      voltageClass: one.voltageClass,
      match: one.match,
      recommended: one.recommended,
      taken: one.taken,
      options: one.options.map((option) => [option.method, option.variant, option.verdict])
    }));
    expect(now).toEqual(then);
  });

  it.each(names)('%s gives the same losses and moves', (name) => {
    const { job } = opened(name);
    const now = job.thermostats.map((thermostat) => {
      const plan = planFor(job, thermostat);
      return {
        loses: plan.options.map((option) => option.loses.map(formerly)),
        // Since then, what becomes of the thermostat's own link is a line of its own where it comes out or is set inside.
        moves: plan.moves
          .filter((move) => !isOwnLink(move))
          .map((move) => ({ key: moveKey(move), place: move.place, text: move.text }))
      };
    });
    const then = (expected[name.replace('.json', '')] ?? []).map((one) => ({
      loses: one.options.map((option) => option.loses),
      // A link between the old plate's own screws goes with the plate.
      moves: one.moves.filter((move) => !move.key.startsWith('unlink wall'))
    }));
    expect(now).toEqual(then);
  });
});
