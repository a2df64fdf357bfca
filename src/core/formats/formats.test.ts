import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { COLOUR_CODES } from '../trade/colours';
import { END_STATES } from '../trade/vocabulary';
import { makeId } from '../job/ids';
import type { Conductor, ConductorEnd, Job, Thermostat } from '../job/schema';
import { screwsFrom } from '../job/screws';
import { furnaceWithSpare, heatPumpHouse, HOUSES } from '../houses/houses';
import { readConductors, writeConductors } from './conductors-csv';
import { faultText } from '../job/faults';
import { readJob, writeJob } from './job-json';
import { jobJsonSchema } from './json-schema';

/** Plates on which two screws carry one print, one has none, and one has a space in it. */
const PRINTS = ['R', 'O/B', '+', 'Q7', 'W', 'W', '', '24V COM'];
const base = furnaceWithSpare();
const thermostat: Thermostat = { ...base.thermostat, screws: screwsFrom(PRINTS) };
const house: Job = {
  ...base.job,
  equipment: base.job.equipment.map((machine) => ({ ...machine, screws: screwsFrom(PRINTS) })),
  thermostats: [thermostat]
};

const anyEnd = (at: Thermostat['id'] | Thermostat['equipment'][number]): fc.Arbitrary<ConductorEnd> =>
  fc.oneof(
    fc
      .constantFrom(...END_STATES.filter((candidate) => candidate !== 'landed'))
      .map((state) => ({ state, on: [] })),
    fc
      .constantFrom(...screwsFrom(PRINTS).map((screw) => screw.id))
      .map((screw) => ({ state: 'landed' as const, on: [{ at, screw }] }))
  );

const anyConductor = (index: number): fc.Arbitrary<Conductor> =>
  fc.record({
    id: fc.constant(makeId('conductor', String(index + 1))),
    cable: fc.constant(thermostat.cables[0]!.id),
    colour: fc.option(fc.constantFrom(...COLOUR_CODES)),
    stripe: fc.option(fc.constantFrom(...COLOUR_CODES)),
    position: fc.option(fc.integer({ min: 1, max: 200 })),
    label: fc.oneof(
      fc.string({ maxLength: 20 }),
      fc.constantFrom('=SUM(A1)', "'=x", '-1', 'a,"b"', 'zwei\nZeilen', '@home', ' lead')
    ),
    near: anyEnd(thermostat.id),
    far: anyEnd(thermostat.equipment[0]!),
    splices: fc.constant([]),
    continuity: fc.constantFrom('untested' as const, 'proven' as const, 'broken' as const)
  });

const anyThermostat: fc.Arbitrary<Thermostat> = fc
  .nat(12)
  .chain((count) => fc.tuple(...Array.from({ length: count }, (_, index) => anyConductor(index))))
  .map((conductors) => ({ ...thermostat, conductors }));

describe('the job file', () => {
  it('comes back as it was written', () => {
    fc.assert(
      fc.property(anyThermostat, fc.string({ maxLength: 50 }), (recorded, note) => {
        const job = { ...house, note, thermostats: [recorded] };
        expect(readJob(writeJob(job))).toEqual({ ok: true, job, from: 2 });
      }),
      { numRuns: 80 }
    );
    for (const make of Object.values(HOUSES))
      expect(readJob(writeJob(make().job))).toEqual({ ok: true, job: make().job, from: 2 });
  });

  const faultsOf = (text: string) => {
    const read = readJob(text);
    return read.ok ? [] : read.faults.map(faultText);
  };
  const changed = (change: (raw: ReturnType<typeof heatPumpHouse>['job']) => void) => {
    const raw = JSON.parse(writeJob(heatPumpHouse().job)) as ReturnType<typeof heatPumpHouse>['job'];
    change(raw);
    return faultsOf(JSON.stringify(raw));
  };

  it('names what is broken, foreign or newer', () => {
    expect(faultsOf('{"format": ')[0]).toMatch(/^the file: expected JSON, found text that breaks off/);
    expect(faultsOf('[]')).toEqual(['the file: expected a job, found a list']);
    expect(faultsOf('{"name":"x"}')).toEqual([
      'format: expected "ulterum-job", found nothing: this is another kind of file'
    ]);
    expect(changed((raw) => Object.assign(raw, { version: 99 }))).toEqual([
      'version: expected 2 or older, found 99: the file was written by a newer Ulterum'
    ]);
  });

  it('names every fault by its path and what was expected', () => {
    const faults = changed((raw) => {
      Object.assign(raw.thermostats[0]!.conductors[2]!, { colour: 'mauve' });
      Object.assign(raw.equipment[0]!, { transformerVa: -40, surprise: true });
    });
    expect(faults).toContain(
      'thermostats[0].conductors[2].colour: expected a colour code such as RD, WH or BU, found "mauve"'
    );
    expect(faults).toContain('equipment[0].transformerVa: expected a number above 0, found -40');
    expect(faults).toContain('equipment[0].surprise: expected no such key, found "surprise"');
  });

  it('is not read when it is too large', () => {
    expect(faultsOf(' '.repeat(20_000_001))[0]).toMatch(/at most 20 MB/);
  });

  it('has a JSON Schema that names its parts', () => {
    const schema = JSON.stringify(jobJsonSchema());
    for (const word of [
      'thermostats',
      'conductors',
      'splices',
      'continuity',
      'ulterum-job',
      'screws',
      'near'
    ])
      expect(schema).toContain(word);
    expect(JSON.stringify(jobJsonSchema(1))).toContain('"wall"');
    expect(jobJsonSchema(3)).toBeNull();
  });
});

describe('the wire list', () => {
  it('comes back as it was written, formulas, quotes and line breaks in labels included', () => {
    fc.assert(
      fc.property(anyThermostat, (drawn) => {
        expect(readConductors(writeConductors(house, drawn), house, drawn)).toEqual({
          ok: true,
          conductors: drawn.conductors,
          screws: []
        });
      }),
      { numRuns: 150 }
    );
  });

  it('keeps a spreadsheet from running a label', () => {
    const [first, ...rest] = base.thermostat.conductors;
    const text = writeConductors(base.job, {
      ...base.thermostat,
      conductors: [{ ...first!, label: '=1+1' }, ...rest]
    });
    expect(text).toContain(",'=1+1,");
  });

  it('takes a list in another order of columns, with new wires', () => {
    const read = readConductors(
      'wall_terminal,id,cable,colour,stripe,label,wall,equipment,equipment_terminal,continuity\nr,,cable,rd,,,,Landed,r,\n',
      base.job,
      { ...base.thermostat, conductors: [] }
    );
    expect(read).toMatchObject({
      ok: true,
      conductors: [{ id: 'co-1', colour: 'RD', near: { state: 'landed', on: [{ screw: 'sc-r' }] } }]
    });
  });

  it('brings in a terminal that nobody has written down yet, and refuses one of a machine that is not there', () => {
    const head = 'id,cable,colour,stripe,label,wall,wall_terminal,equipment,equipment_terminal,continuity';
    const read = readConductors(`${head}\n,,RD,,,,R,,AUX,\n,,WH,,,,W,,AUX#2,\n`, base.job, {
      ...base.thermostat,
      conductors: []
    });
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    expect(read.screws.map((screw) => `${screw.at} ${screw.screw.id} ${screw.screw.mark}`)).toEqual([
      'eq-1 sc-aux AUX',
      'eq-1 sc-aux-2 AUX'
    ]);
    const far = readConductors(`${head}\n,,RD,,,,R,,eq-9/R,\n`, base.job, base.thermostat);
    expect(far.ok ? [] : far.faults.map(faultText)).toEqual([
      'line 2, column equipment_terminal: expected one of eq-1, found "eq-9/R"'
    ]);
  });

  it('names its faults by line and column, and gives back nothing', () => {
    const [header] = writeConductors(house, thermostat).split('\r\n');
    const read = readConductors(
      `${header}\nco-1,cable,pink,,,,landed,R,landed,R,proven\nco-2,nowhere,RD,,twelve,,upside,R,landed,,proven\n`,
      house,
      thermostat
    );
    expect(read.ok ? [] : read.faults.map((fault) => fault.path)).toEqual([
      'line 2, column colour',
      'line 3, column cable',
      'line 3, column position',
      'line 3, column wall',
      'line 3, column equipment_terminal'
    ]);
    const missing = readConductors('id,cable\n', house, thermostat);
    expect(missing.ok ? [] : missing.faults[0]).toMatchObject({
      path: 'line 1',
      expected: 'the column colour'
    });
    expect(readConductors('', house, thermostat).ok).toBe(false);
  });
});
