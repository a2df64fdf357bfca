/** What is open about a place: raised by what is missing, and by nothing else. */
import { describe, expect, it } from 'vitest';
import { house, type House, type HouseSketch } from '../houses/builder';
import { ref } from '../findings/refs';
import { identify } from '../identify/identify';
import { wiringOf } from '../wiring/from-job';
import { findDevice } from './catalogue';
import { knownOf, openOf } from './open';
import { matchAll, matchDevice } from './match';
import { bestFirst, briefFindings, ownFindings } from './matched';

const whole: HouseSketch = {
  strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU C C'],
  board: ['R', 'C', 'W', 'Y', 'G'],
  stated: 'furnace-ac',
  observed: { 'measured-volts': 27, 'outdoor-unit': 'rests', 'heat-from': 'registers' }
};
const made = (sketch: Partial<HouseSketch>) => house({ ...whole, ...sketch });
const match = ({ job, thermostat }: House, model = 'de-fellgate') =>
  matchDevice(job, thermostat, findDevice(job, model)!);
const codes = (where: House) => match(where).open.map(({ code }) => code);

describe('what is open about a place', () => {
  it('is nothing where all is read and settled: there it may fit without a caution', () => {
    expect(codes(made({}))).toEqual([]);
    expect(match(made({}))).toMatchObject({ known: 'read', verdict: 'go' });
  });

  it.each([
    [
      'a wire that was not followed',
      { strands: [...whole.strands.slice(0, 4), 'BU C unseen'] },
      'end-not-read'
    ],
    [
      'a wire that was seen at the machine only',
      { strands: [...whole.strands, 'BN unseen W'] },
      'end-not-read'
    ],
    [
      'a wire on a screw that nobody can read',
      { strands: [...whole.strands, 'BN W2 QX'], board: [...whole.board!, 'QX'] },
      'screw-not-read'
    ]
  ] as const)('%s: it fits so far at most', (_, sketch, code) => {
    expect(codes(made(sketch))).toEqual([code]);
    expect(match(made(sketch))).toMatchObject({ known: 'so-far', verdict: 'care' });
  });

  it('names the wires and the screws, and rests on them', () => {
    const sketch = {
      strands: [...whole.strands.slice(0, 3), 'GN G unseen', 'BN W2 QX', 'OG Y2 QX', 'PK AUX QY'],
      board: [...whole.board!, 'QX', 'QY']
    };
    const said = match(made(sketch)).open.map(({ params, because }) => ({ params, because }));
    expect(said).toEqual([
      { params: { what: 'open', conductors: ['green'] }, because: [ref.conductor('co-4')] },
      {
        params: { machine: 'furnace', mark: 'QX' },
        because: [ref.machine('eq-1'), ref.conductor('co-5'), ref.conductor('co-6')]
      },
      {
        params: { machine: 'furnace', mark: 'QY' },
        because: [ref.machine('eq-1'), ref.conductor('co-7')]
      }
    ]);
  });

  it('are not wires that were seen to lead nowhere, nor those that are free at the wall', () => {
    const idle = [...whole.strands, 'BN W2 loose', 'BK coiled QX', 'OG coiled W'];
    expect(codes(made({ strands: idle, board: [...whole.board!, 'QX'] }))).toEqual([]);
  });

  it('is what the wires drive, where no system is believable', () => {
    const { job, thermostat } = made({});
    const identification = identify(job, thermostat);
    const open = openOf({
      identification,
      wiring: wiringOf(job, thermostat),
      worlds: [],
      thermostat: thermostat.id
    });
    expect(open).toMatchObject([
      { code: 'system-unknown', params: { what: 'ask' }, because: [ref.thermostat(thermostat.id)] }
    ]);
    expect(knownOf(open)).toBe('nothing');
  });

  it('are not spares, wherever they end, nor a screw that no wire is on', () => {
    const spare = [...whole.strands, 'BN coiled unseen', 'BK loose unseen'];
    expect(codes(made({ strands: spare, board: [...whole.board!, 'QX'] }))).toEqual([]);
  });

  it('is that nothing is known, where no wire is written down or the system is anybody’s guess', () => {
    expect(match(made({ strands: [] }))).toMatchObject({ known: 'nothing', verdict: 'care' });
    const nothing = house({ strands: [], board: [], observed: {} });
    expect(codes(nothing)).toContain('end-not-read');
    for (const { verdict, known } of matchAll(nothing.job, nothing.thermostat)) {
      expect(verdict).not.toBe('go');
      expect(known).toBe('nothing');
    }
    expect(matchAll(nothing.job, nothing.thermostat).flatMap(briefFindings)).toEqual([]);
  });

  it('is that the system is not settled, once, not with every device', () => {
    const undecided = house({
      strands: ['RD R R', 'WH W W'],
      board: ['R', 'W'],
      observed: { 'conductor-build': 'thin', 'measured-volts': 27 }
    });
    const found = match(undecided);
    expect(found.open.map(({ code }) => code)).toContain('system-unsettled');
    expect(ownFindings(found).some(({ code }) => code === 'system-unsettled')).toBe(false);
    expect(found.verdict).toBe('care');
  });
});

describe('the list of thermostats', () => {
  const four = made({ strands: whole.strands.slice(0, 4) });

  it('has those without a caution of their own before the others, and what does not fit last', () => {
    const half = made({ strands: [...whole.strands.slice(0, 3), 'GN G unseen', 'BU C C'] });
    const order = bestFirst(matchAll(half.job, half.thermostat)).map((found) =>
      found.verdict === 'no' ? 2 : ownFindings(found).some(({ level }) => level === 'warn') ? 1 : 0
    );
    expect(order).toEqual([...order].sort());
    expect(new Set(order)).toEqual(new Set([0, 2]));
    const none = matchAll(four.job, four.thermostat);
    const best = bestFirst(none).findIndex((found) => found.verdict !== 'go');
    expect(best).toBe(none.filter((found) => found.verdict === 'go').length);
  });

  it('leaves settings for later, but not one that cannot be made yet', () => {
    expect(briefFindings(match(four)).map(({ code }) => code)).toEqual(['needs-common']);
    const electric = made({ strands: ['RD R R', 'WH W W', 'GN G G'], stated: 'electric-furnace' });
    const cautions = ownFindings(match(electric)).filter(({ level }) => level === 'warn');
    expect(briefFindings(match(electric))).toEqual(expect.arrayContaining(cautions));
  });
});
