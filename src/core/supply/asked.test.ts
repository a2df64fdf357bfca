/** What closes a situation or stands over it: ends and marks that nobody knows, stages that no wire uses, what is dead. */
import { describe, expect, it } from 'vitest';
import type { Finding } from '../findings/finding';
import { house, type HouseSketch } from '../houses/builder';
import { situationOf } from './situation';

const air = { 'conductor-build': 'thin', 'heat-from': 'registers', flue: 'burner', 'outdoor-unit': 'rests' };
const of = (sketch: HouseSketch) => {
  const { job, thermostat } = house(sketch);
  return situationOf(job, thermostat);
};
const ac = (more: Partial<HouseSketch> = {}): HouseSketch => ({
  strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU C C'],
  board: ['R', 'C', 'W', 'Y', 'G'],
  observed: air,
  equipment: { kind: 'furnace', fuel: 'gas' },
  ...more
});
const facts = (findings: readonly Finding[], code: Finding['code']) =>
  findings.filter((finding) => finding.code === code).map((finding) => finding.params);

describe('a second stage at the board', () => {
  const stages = (more: Partial<HouseSketch>) => facts(of(ac(more)).conditions, 'stage-not-used');
  const board = ['R', 'C', 'W', 'W2', 'Y', 'Y2', 'G'];

  it('that no wire uses is named, with the wires that a cable would need', () => {
    expect(stages({ board })).toEqual([
      { stage: 'heat', mark: 'W2', machine: 'furnace', wires: 6 },
      { stage: 'cooling', mark: 'Y2', machine: 'furnace', wires: 6 }
    ]);
    const noC = ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU coiled coiled'];
    expect(stages({ board: ['R', 'C', 'W', 'W2', 'Y', 'G'], strands: noC })).toEqual([
      { stage: 'heat', mark: 'W2', machine: 'furnace', wires: 6 }
    ]);
  });

  it('is not named where a wire or a jumper is on it, nor on a heat pump, nor of cooling where nothing cools', () => {
    expect(stages({ board, links: ['equipment W W2', 'equipment Y Y2'] })).toEqual([]);
    const used = ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BN W2 W2', 'OG Y2 Y2'];
    expect(stages({ board, strands: used })).toEqual([]);
    const heatOnly = { ...air, 'outdoor-unit': 'none' };
    expect(
      stages({ board: ['R', 'C', 'W', 'Y2'], strands: ['RD R R', 'WH W W'], observed: heatOnly })
    ).toEqual([]);
    const pump = {
      board: ['R', 'C', 'Y', 'G', 'O', 'W2'],
      strands: ['RD R R', 'YE Y Y', 'GN G G', 'OG O O'],
      observed: { ...air, flue: 'none', 'outdoor-unit': 'runs' },
      equipment: { kind: 'air-handler', fuel: 'electricity' } as const
    };
    expect(stages(pump)).toEqual([]);
  });
});

describe('the wires that a cable would need for a second stage', () => {
  const heating = { ...air, 'outdoor-unit': 'none' };
  const wires = (strands: string[], board = ['R', 'C', 'W', 'W2']) =>
    facts(of(ac({ board, strands, observed: heating })).conditions, 'stage-not-used');

  it('are those that are landed at both ends, one for it, and one for a common', () => {
    const used = ['RD R R', 'WH W W'];
    const stage = { stage: 'heat', mark: 'W2', machine: 'furnace' };
    expect(wires(used)).toEqual([{ ...stage, wires: 4 }]);
    expect(wires([...used, 'GN G loose', 'BN coiled C'])).toEqual([{ ...stage, wires: 4 }]);
  });

  it('are not asked for where one screw joins the stage to another', () => {
    expect(wires(['RD R R', 'WH W W'], ['R', 'C', 'W', 'W2/AUX'])).toEqual([]);
  });
});

describe('an end that nobody has read', () => {
  const closed = (sketch: HouseSketch) => facts(of(sketch).closed, 'end-not-read');
  const water = {
    'conductor-build': 'thin',
    'heat-from': 'radiators',
    'measured-volts': 26,
    'outdoor-unit': 'rests'
  };
  const two = (strands: string[]): HouseSketch => ({
    strands,
    board: ['R', 'C', 'W'],
    further: [{ name: 'air handler', marks: ['R', 'C', 'Y', 'G'], kind: 'air-handler' }],
    observed: water,
    equipment: { kind: 'boiler', fuel: 'gas' }
  });

  it('closes every way where it is a hot wire and another supply may be behind it', () => {
    expect(closed(two(['RD RH R', 'WH W W', 'BN RC unseen', 'YE Y Y@2', 'GN G G@2']))).toEqual([
      { what: 'before-moved', conductor: 'brown' }
    ]);
    const twoHot = ['RD RH R', 'BN RC unseen', 'WH W W', 'YE Y Y', 'GN G G'];
    expect(closed(ac({ strands: twoHot }))).toEqual([{ what: 'before-moved', conductor: 'brown' }]);
    // The only hot wire of two machines.
    const single = two(['RD R unseen', 'WH W W', 'YE Y Y@2', 'GN G G@2']);
    expect(closed(single)).toEqual([{ what: 'before-moved', conductor: 'red' }]);
  });

  it('is a condition where it is a call, or the only hot wire of the only machine', () => {
    expect(closed(two(['RD RH R', 'WH W unseen', 'BN RC R@2', 'YE Y Y@2', 'GN G G@2']))).toEqual([]);
    const situation = of(ac({ strands: ['RD R unseen', 'WH W W', 'YE Y Y', 'GN G G', 'BU C C'] }));
    expect(facts(situation.closed, 'end-not-read')).toEqual([]);
    expect(facts(situation.conditions, 'end-not-read')).toEqual([{ what: 'assumed', conductors: ['red'] }]);
  });

  it('closes every way beside an adapter of the old thermostat, whatever wire it is, as does a terminal of it that nobody knows', () => {
    const adapter = (marks: string[], strands: string[]): HouseSketch =>
      ac({ strands, further: [{ name: 'old adapter', kind: 'old-adapter', marks }] });
    const known = ['R', 'C', 'K', 'Y', 'G'];
    const read = ['RD R R', 'WH W W', 'YE K K@2', 'GN C C'];
    expect(of(adapter(known, read)).closed).toEqual([]);
    expect(closed(adapter(known, ['RD R R', 'WH W unseen', 'YE K K@2', 'GN C C']))).toEqual([
      { what: 'before-moved', conductor: 'white' }
    ]);
    expect(facts(of(adapter(['R', 'C', 'K', 'QX', 'G'], read)).closed, 'adapter-not-read')).toEqual([
      { name: 'old adapter' }
    ]);
  });
});

describe('a piece of an old adapter that may go to a screw which nobody can read', () => {
  const asked = (board: string[], links: string[] = []) =>
    facts(
      of(
        ac({
          strands: ['RD R R', 'WH W W', 'YE K K@2', 'GN C C'],
          board,
          links,
          further: [{ name: 'old adapter', kind: 'old-adapter', marks: ['R', 'C', 'K', 'Y', 'G'] }]
        })
      ).closed,
      'adapter-not-read'
    );

  it('closes every way: its mark is on no terminal, and one is left that nobody knows', () => {
    expect(asked(['R', 'C', 'W', 'Y', 'QX'])).toEqual([{ name: 'old adapter' }]);
  });

  it('closes none where every terminal is known, nor for K, which goes to the thermostat, nor where the piece was followed', () => {
    expect(asked(['R', 'C', 'W', 'Y'])).toEqual([]);
    expect(asked(['R', 'C', 'W', 'Y', 'G', 'QX'])).toEqual([]);
    expect(asked(['R', 'C', 'W', 'Y', 'QX'], ['equipment G@2 QX'])).toEqual([]);
  });
});

describe('an unread end that may be on a screw which nobody can read', () => {
  const riddles = (board: string[], strands: string[]) =>
    of(ac({ board, strands })).riddles.map(({ finding }) => [finding.level, finding.code, finding.params]);
  const others = ['WH W W', 'YE Y Y', 'GN G loose'];
  const unread = ['RD R unseen', ...others];

  it('is asked about where the machine has no screw of its mark, as it would be were it seen there', () => {
    expect(riddles(['QX', 'C', 'W', 'Y', 'G'], unread)).toEqual([
      ['stop', 'end-not-read', { what: 'on-mark', conductor: 'red', mark: 'R' }]
    ]);
    expect(riddles(['QX', 'C', 'W', 'Y', 'G'], ['RD R QX', ...others])).toMatchObject([
      ['stop', 'wire-not-explained', { conductor: 'red' }]
    ]);
  });

  it('is taken to be on its mark where that is there, where every screw is known, or where another wire is on the unknown one', () => {
    expect(riddles(['R', 'QX', 'C', 'W', 'Y', 'G'], unread)).toEqual([]);
    expect(riddles(['C', 'W', 'Y', 'G'], unread)).toEqual([]);
    expect(riddles(['QX', 'C', 'W', 'Y', 'G'], [...unread, 'BN coiled QX'])).toEqual([]);
  });
});

describe('an unread C that may come from either of two machines', () => {
  const riddles = (strands: string[], further: HouseSketch['further'] = [], isTold = false) => {
    const { job, thermostat } = house(ac({ strands, further }));
    const [machine] = job.equipment;
    const cables = thermostat.cables.map((cable) => (isTold ? { ...cable, far: machine!.id } : cable));
    return situationOf(job, { ...thermostat, cables }).riddles.map(({ finding }) => finding.params);
  };
  const second: HouseSketch['further'] = [
    { name: 'air handler', marks: ['R', 'C', 'Y', 'G'], kind: 'air-handler' }
  ];
  const unread = ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU C unseen'];

  it('is asked about; a call that is unread is not, nor a C where there is one machine', () => {
    expect(riddles(unread, second)).toEqual([{ what: 'on-c', conductor: 'blue' }]);
    expect(riddles(['RD R R', 'WH W unseen', 'YE Y Y', 'GN G G', 'BU C C'], second)).toEqual([]);
    expect(riddles(unread)).toEqual([]);
  });

  it('is not asked about where there is one machine, wherever its cable is said to go', () => {
    const { job, thermostat } = house(ac({ strands: unread }));
    const untold = thermostat.cables.map((cable) => ({ ...cable, far: null }));
    expect(situationOf(job, { ...thermostat, cables: untold }).riddles).toEqual([]);
  });

  it('is taken to be where its cable goes', () => {
    expect(riddles(unread, second, true)).toEqual([]);
  });
});

describe('what is asked', () => {
  it('stands as a condition where the plate’s mark alone is not known, and closes nothing', () => {
    const made = of(ac({ strands: ['RD R R', 'WH M4 W', 'YE Y Y', 'GN G G', 'BU C C'] }));
    expect(facts(made.conditions, 'wire-not-explained')).toMatchObject([
      { riddle: 'near-mark', wall: 'M4', far: 'W' }
    ]);
    expect(made.closed).toEqual([]);
    expect(facts(of(ac()).conditions, 'wire-not-explained')).toEqual([]);
  });

  it('keeps what hangs on the answer from being called dead, and what is dead besides is called so', () => {
    const asked = of(
      ac({ strands: ['RD R R', 'WH W QX', 'YE Y Y', 'GN G G'], board: ['R', 'C', 'QX', 'Y', 'G'] })
    );
    expect(asked.today).toEqual([]);
    const dead = of(ac({ strands: ['RD R R', 'WH W loose', 'YE Y Y', 'GN G G'] }));
    expect(dead.today.map((finding) => [finding.code, finding.today])).toEqual([['dead-today', true]]);
  });

  it('closes every way where no wire is recorded, or no system believed, each with its reason', () => {
    expect(facts(of({ strands: [] }).closed, 'end-not-read')).toEqual([{ what: 'no-conductor' }]);
    expect(facts(of({ strands: ['RD unseen unseen'] }).closed, 'system-unknown')).toEqual([{ what: 'ask' }]);
    const kind = of(ac({ equipment: { kind: 'hydro-air' } }));
    expect(facts(kind.closed, 'machine-not-modelled')).toEqual([{ machine: 'furnace', kind: 'hydro-air' }]);
  });

  it('is made once for a record, and anew for another', () => {
    const { job, thermostat } = house(ac());
    expect(situationOf(job, thermostat)).toBe(situationOf(job, thermostat));
    expect(situationOf({ ...job }, thermostat)).not.toBe(situationOf(job, thermostat));
  });
});
