import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { COLOUR_CODES } from '../trade/colours';
import { END_STATES } from '../trade/vocabulary';
import { makeId } from '../job/ids';
import type { Conductor, ConductorEnd, Thermostat } from '../job/schema';
import { furnaceWithSpare, heatPumpHouse, HOUSES } from '../houses/houses';
import { readConductors, writeConductors } from './conductors-csv';
import { faultText } from '../job/faults';
import { readJob, writeJob } from './job-json';
import { jobJsonSchema } from './json-schema';

const thermostat = furnaceWithSpare().thermostat;

const anyEnd = (at: Thermostat['id'] | Thermostat['equipment'][number]): fc.Arbitrary<ConductorEnd> =>
  fc.oneof(
    fc.constantFrom(...END_STATES.filter((one) => one !== 'landed')).map((state) => ({ state, on: [] })),
    fc.constantFrom('R', 'O/B', '+', 'Q7').map((mark) => ({ state: 'landed' as const, on: [{ at, mark }] }))
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
    wall: anyEnd(thermostat.id),
    equipment: anyEnd(thermostat.equipment[0]!),
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
      fc.property(anyThermostat, fc.string({ maxLength: 50 }), (one, note) => {
        const job = { ...furnaceWithSpare().job, note, thermostats: [one] };
        expect(readJob(writeJob(job))).toEqual({ ok: true, job });
      }),
      { numRuns: 80 }
    );
    for (const make of Object.values(HOUSES))
      expect(readJob(writeJob(make().job))).toEqual({ ok: true, job: make().job });
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
      'version: expected 1 or older, found 99: the file was written by a newer Ulterum'
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
    expect(faultsOf(' '.repeat(2_000_001))[0]).toMatch(/at most 2 MB/);
  });

  it('has a JSON Schema that names its parts', () => {
    const schema = JSON.stringify(jobJsonSchema());
    for (const word of ['thermostats', 'conductors', 'splices', 'continuity', 'ulterum-job'])
      expect(schema).toContain(word);
  });
});

describe('the conductor list', () => {
  it('comes back as it was written, formulas, quotes and line breaks in labels included', () => {
    fc.assert(
      fc.property(anyThermostat, (one) => {
        expect(readConductors(writeConductors(one), one)).toEqual({ ok: true, conductors: one.conductors });
      }),
      { numRuns: 150 }
    );
  });

  it('keeps a spreadsheet from running a label', () => {
    const [first, ...rest] = thermostat.conductors;
    const text = writeConductors({ ...thermostat, conductors: [{ ...first!, label: '=1+1' }, ...rest] });
    expect(text).toContain(",'=1+1,");
  });

  it('takes a list in another order of columns, with new conductors', () => {
    const read = readConductors(
      'wall_terminal,id,cable,colour,stripe,label,wall,equipment,equipment_terminal,continuity\nr,,cable,rd,,,,Landed,r,\n',
      { ...thermostat, conductors: [] }
    );
    expect(read).toMatchObject({
      ok: true,
      conductors: [{ id: 'co-1', colour: 'RD', wall: { state: 'landed', on: [{ mark: 'R' }] } }]
    });
  });

  it('names its faults by line and column, and gives back nothing', () => {
    const [header] = writeConductors(thermostat).split('\r\n');
    const read = readConductors(
      `${header}\nco-1,cable,pink,,,,landed,R,landed,R,proven\nco-2,nowhere,RD,,twelve,,upside,R,landed,,proven\n`,
      thermostat
    );
    expect(read.ok ? [] : read.faults.map((one) => one.path)).toEqual([
      'line 2, column colour',
      'line 3, column cable',
      'line 3, column position',
      'line 3, column wall',
      'line 3, column equipment_terminal'
    ]);
    const missing = readConductors('id,cable\n', thermostat);
    expect(missing.ok ? [] : missing.faults[0]).toMatchObject({
      path: 'line 1',
      expected: 'the column colour'
    });
    expect(readConductors('', thermostat).ok).toBe(false);
  });
});
