/** Houses that a record of marks could not hold: recorded, read back, landed on, solved and planned. */
import { describe, expect, it } from 'vitest';
import { running } from '../circuit/expected';
import { readJob, writeJob } from '../formats/job-json';
import { findDevice } from '../match/catalogue';
import { makersOwnPrints, panelOfFive, twoCables, twoTs, withHumidifier } from '../houses/screw-houses';
import { house, type House } from '../houses/builder';
import { recordFindings } from '../job/record-findings';
import { screwName, screwsAt } from '../job/screws';
import { planFor } from '../plan/plan';
import { powerPlan } from '../plan/powered';
import type { Call } from '../trade/calls';
import { wiringOf } from '../wiring/from-job';
import { deviceAtEnd, landedMark, landedTerminal, meansAt, placeOfEnd, printedMark } from '../wiring/graph';
import { readIn } from '../wiring/meaning';

const all: [string, () => House][] = Object.entries({
  twoTs,
  panelOfFive,
  makersOwnPrints,
  twoCables,
  withHumidifier
});
const wired = (make: () => House) => {
  const { job, thermostat } = make();
  return wiringOf(job, thermostat);
};
const planned = (make: () => House, model = 'de-fellgate') => {
  const { job, thermostat } = make();
  return planFor(job, thermostat, { device: findDevice(job, model) ?? null });
};
const runs = (make: () => House, call: Call) => {
  const powered = powerPlan(planned(make), 'found', call);
  expect(powered.findings).toEqual([]);
  return running(powered.calls[0]!.result.loads).sort();
};

describe('a house whose terminals are screws', () => {
  it.each(all)('%s is written and read back as it was, and nothing in it is called impossible', (_, make) => {
    const { job } = make();
    const read = readJob(writeJob(job));
    expect(read.ok && read.job).toEqual(job);
    expect(recordFindings(job).filter((finding) => finding.level === 'stop')).toEqual([]);
  });

  it.each(all)('%s has each end of each wire on the screw that was named', (_, make) => {
    const { job, thermostat } = make();
    const wiring = wiringOf(job, thermostat);
    for (const conductor of thermostat.conductors)
      for (const side of ['near', 'far'] as const) {
        const [on] = conductor[side].on;
        const strand = wiring.strands.find((candidate) => candidate.id === conductor.id)!;
        const terminal = landedTerminal(strand[side])!;
        const named = screwName(screwsAt(job, on!.at), on!.screw);
        expect(printedMark(wiring, terminal), `${conductor.id} ${side}`).toBe(named);
      }
  });
});

describe('the only T that can be read on a board', () => {
  const sides = (...walls: string[]) => {
    const strands = walls.map((wall) => `WH ${wall} T`);
    const { job, thermostat } = house({ strands, board: ['QX', 'T', 'C'], stated: 'boiler' });
    const wiring = readIn(wiringOf(job, thermostat), 'boiler');
    return meansAt(wiring, landedTerminal(wiring.strands[0]!.far));
  };

  it('is the side that its wire has at the wall, and may be either where the wall does not say', () => {
    expect(sides('R')).toEqual(['T1']);
    expect(sides('W')).toEqual(['T2']);
    expect(sides('X')).toEqual(['T']);
    // A red and a white one on it: one of them was read wrongly.
    expect(sides('R', 'W')).toEqual([]);
  });
});

describe('two screws that both say T', () => {
  it('are the two sides of one contact: heat closes them, and nothing else runs', () => {
    const wiring = wired(twoTs);
    expect(wiring.strands.map((strand) => landedMark(wiring, strand.far))).toEqual(['T1', 'T2']);
    expect(runs(twoTs, 'heat1')).toContain('boiler');
    expect(runs(twoTs, 'idle')).toEqual([]);
  });
});

describe('a panel with five W', () => {
  it('starts the boiler by the zone that is called, through the screw that it is on', () => {
    const wiring = wired(panelOfFive);
    const [, call] = wiring.strands;
    expect(printedMark(wiring, landedTerminal(call!.far)!)).toBe('W#3');
    expect(runs(panelOfFive, 'heat1')).toEqual(expect.arrayContaining(['boiler', 'zone-valve']));
    expect(runs(panelOfFive, 'idle')).toEqual([]);
  });

  it('is planned without a wire moving to another zone’s screw', () => {
    const plan = planned(panelOfFive);
    const was = plan.wiringFound.strands.find((strand) => strand.id === 'co-2')!;
    const is = plan.wiringAfter!.strands.find((strand) => strand.id === 'co-2')!;
    expect(plan.taken).toBe('existing-c');
    expect(is.far).toEqual(was.far);
  });
});

describe('prints of the maker’s own', () => {
  it('mean what the trade reads in them, and what somebody stated of the screw without one', () => {
    const wiring = readIn(wired(makersOwnPrints), 'heat-pump');
    const meant = wiring.strands.map((strand) => meansAt(wiring, landedTerminal(strand.far)));
    expect(meant).toEqual([['R'], expect.arrayContaining(['AUX']), ['Y1'], ['G'], ['O'], ['C']]);
  });

  it('are solved by that: the blower runs from the screw that nothing is printed beside', () => {
    expect(runs(makersOwnPrints, 'fan')).toEqual(['blower']);
    expect(runs(makersOwnPrints, 'aux')).toEqual(expect.arrayContaining(['strips', 'blower']));
  });

  it('close every way where nobody has said what the unmarked screw is for', () => {
    const { job, thermostat } = makersOwnPrints();
    const equipment = job.equipment.map((machine) => ({
      ...machine,
      screws: machine.screws.map((screw) => ({ ...screw, role: null }))
    }));
    const plan = planFor({ ...job, equipment }, thermostat, {
      device: findDevice(job, 'de-fellgate') ?? null
    });
    const common = plan.options.find((option) => option.method === 'existing-c');
    expect(common?.verdict).toBe('no');
    expect(common?.findings.map((finding) => finding.code)).toContain('wire-not-explained');
  });
});

describe('two cables that end at different machines', () => {
  it('are known by their ends: each wire is at the machine that its cable joins', () => {
    const wiring = wired(twoCables);
    const places = wiring.strands.map((strand) => placeOfEnd(wiring, strand, 'far'));
    expect(new Set(places.slice(0, 2)).size).toBe(1);
    expect(new Set(places.slice(2)).size).toBe(1);
    expect(places[0]).not.toBe(places[2]);
    expect(deviceAtEnd(wiring, wiring.strands[3]!.far)?.name).toBe('air handler');
  });

  it('run each its own machine', () => {
    expect(runs(twoCables, 'heat1')).toEqual(expect.arrayContaining(['boiler']));
    expect(runs(twoCables, 'cool1')).toEqual(['blower', 'compressor']);
  });

  it('have moves that say at which machine one is', () => {
    const { moves } = planned(twoCables, 'de-cutlink');
    const at = new Set(moves.filter((move) => move.end === 'equipment').map((move) => move.place));
    expect([...at]).toEqual(expect.arrayContaining(['boiler', 'air handler']));
  });
});

describe('a humidifier that is called with heat', () => {
  it('runs with the burner, by itself, and not with heat alone', () => {
    expect(runs(withHumidifier, 'heat1+humidify' as Call)).toEqual(['blower', 'burner', 'humidifier']);
    expect(runs(withHumidifier, 'humidify')).toEqual(['humidifier']);
    expect(runs(withHumidifier, 'heat1')).toEqual(['blower', 'burner']);
  });

  it('is a row of the proof, with what the two draw together', () => {
    const plan = planned(withHumidifier, 'de-moistly');
    const option = plan.options.find((plannedOption) => plannedOption.method === plan.taken)!;
    const rows = option.proof!.worlds[0]!.rows;
    const va = (call: string) => rows.find((row) => row.call === call)!.vaAfter;
    expect(rows.map((row) => row.call)).toContain('heat1+fan+humidify');
    expect(va('heat1+fan+humidify')).toBeGreaterThan(va('heat1'));
  });
});
