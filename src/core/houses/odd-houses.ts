/** Houses that are odd in one respect each: what is said of them is said of no ordinary house. */
import { makeId } from '../job/ids';
import type { DeviceFacts } from '../job/device-facts';
import type { Equipment, Job, Thermostat } from '../job/schema';
import { CATALOGUE } from '../match/catalogue';
import { STOP_QUESTIONS } from '../safety/stops';
import { house, type House, type HouseSketch } from './builder';

const AT = '2026-03-02T08:00:00.000Z';
const sketch: HouseSketch = {
  strands: ['RD R R', 'WH W W', 'YE Y Y', 'GN G G', 'BU C C'],
  board: ['R', 'C', 'W', 'Y', 'G'],
  plate: ['R', 'C', 'W', 'Y', 'G'],
  observed: { 'outdoor-unit': 'rests', flue: 'burner', 'heat-from': 'registers', 'conductor-build': 'thin' }
};

interface Oddity {
  readonly sketch?: Partial<HouseSketch>;
  readonly place?: Partial<Thermostat>;
  readonly machine?: Partial<Equipment>;
  readonly survey?: Partial<Job['survey']>;
  /** The thermostat that is chosen, with what its sheet says otherwise than that of the catalogue. */
  readonly device?: Partial<DeviceFacts> & { readonly of: string };
}

function odd({ sketch: more, place, machine, survey, device }: Oddity): House {
  const base = house({ ...sketch, ...more });
  const facts = CATALOGUE.find((candidate) => candidate.id === device?.of);
  const { of: _, ...sheet } = device ?? { of: '' };
  const own = facts ? { ...facts, ...sheet, id: makeId('device', 'own') } : null;
  const thermostat: Thermostat = {
    ...base.thermostat,
    ...place,
    choice: { ...base.thermostat.choice, device: own?.id ?? null }
  };
  const job: Job = {
    ...base.job,
    equipment: base.job.equipment.map((known) => ({ ...known, ...machine })),
    thermostats: [thermostat],
    devices: own ? [own] : [],
    survey: { ...base.job.survey, ...survey }
  };
  return { job, thermostat };
}

const signal = (dbm: number): Partial<Thermostat> => ({
  signal: [1, 2, 3].map(() => ({ dbm, at: AT, source: 'typed' as const }))
});
const allNo = Object.fromEntries(
  STOP_QUESTIONS.map(({ id }) => [id, { answer: 'no' as const, at: AT, resolved: null }])
);
const off = (proof: 'meter' | 'display-dark', at = AT) => ({
  'eq-1': { cut: 'breaker' as const, proof, at },
  'outdoor-unit': { cut: 'disconnect' as const, proof: 'meter' as const, at }
});
const traced = (...spots: readonly string[]): Partial<Equipment> => ({
  trace: spots.map((spot, index) => ({
    way: index === 0 ? 'followed' : 'diagram',
    spot,
    at: AT,
    note: ''
  }))
});
const noC: Partial<HouseSketch> = { strands: sketch.strands.slice(0, 4), board: ['R', 'W', 'Y', 'G'] };
const building = house(sketch).job.survey.building;
const habits = house(sketch).job.survey.habits;

export const ODD_HOUSES = {
  'all in order': () =>
    odd({
      sketch: { plate: ['R'], strands: ['RD R R'], board: ['R'], observed: {} },
      place: { ...signal(-50), stops: allNo, off: off('meter') },
      device: { of: 'de-onebar', supply: 'common-or-battery' }
    }),
  'nothing read': () =>
    odd({ sketch: { strands: [], board: [], plate: [], observed: {} }, device: { of: 'de-onebar' } }),
  'common traced once': () => odd({ sketch: noC, machine: traced('left lug') }),
  'common traced to two spots': () => odd({ sketch: noC, machine: traced('left lug', 'right lug') }),
  'broken spare': () =>
    odd({ sketch: { ...noC, strands: [...noC.strands!, 'BU coiled coiled'], continuity: 'broken' } }),
  'spare seen at the wall only': () =>
    odd({ sketch: { strands: [...sketch.strands.slice(0, 4), 'BU coiled unseen'] } }),
  'a supply that was off since tomorrow': () =>
    odd({ place: { off: { 'eq-1': { cut: 'both', proof: 'both', at: '2030-03-01T10:00:00.000Z' } } } }),
  'a supply that nobody can switch off': () =>
    odd({ place: { off: { 'eq-1': { cut: 'cannot', proof: 'none', at: '2026-03-01T10:00:00.000Z' } } } }),
  'it has to work with a speaker': () =>
    odd({ survey: { worksWith: ['thistle'] }, device: { of: 'de-onebar' } }),
  'insulation that cracks': () =>
    odd({ sketch: { strands: [...sketch.strands.slice(0, 4), 'BU coiled coiled'], insulation: 'brittle' } }),
  'colour changes on the way': () => {
    const { job, thermostat } = odd({
      sketch: { strands: [...sketch.strands.slice(0, 4), 'BU coiled coiled'] }
    });
    const conductors = thermostat.conductors.map((conductor, index) =>
      index < 4
        ? conductor
        : {
            ...conductor,
            splices: [{ id: makeId('splice', '1'), colourBeyond: 'BN' as const, seen: false, place: '' }]
          }
    );
    const changed = { ...thermostat, conductors };
    return { job: { ...job, thermostats: [changed] }, thermostat: changed };
  },
  'frail people in the cold': () =>
    odd({ survey: { frail: 'yes', pipesCanFreeze: 'yes', workDay: '2026-01-15', lowestC: 20 } }),
  'a very long way': () =>
    odd({ place: { path: { stretches: [{ name: 'barn', lengthM: 300, held: 'free' }], more: 10 } } }),
  'stapled way': () =>
    odd({ place: { path: { stretches: [{ name: 'stair', lengthM: 8, held: 'stapled' }], more: 0 } } }),
  'a palace': () => odd({ survey: { building: { ...building, floorAreaM2: 4000, heatingKw: 1 } } }),
  'jumper twice': () => odd({ sketch: { links: ['wall R C', 'wall R C'] } }),
  'mark that nobody explains': () =>
    odd({ sketch: { strands: [...sketch.strands, 'OG QX QX'], board: [...sketch.board!, 'QX'] } }),
  'air handler on the boiler’s water': () => odd({ machine: { kind: 'hydro-air' } }),
  'an answer that the question has not': () =>
    odd({ place: { observed: { ...sketch.observed, flue: 'yes' } } }),
  'volts between the classes': () =>
    odd({ place: { observed: { ...sketch.observed, 'measured-volts': 12 } } }),
  'two wires that nobody measured': () =>
    odd({ sketch: { strands: ['RD R R', 'WH W W'], board: ['R', 'W'], plate: ['R', 'W'], observed: {} } }),
  'an old adapter with a mark that nobody knows': () =>
    odd({
      sketch: {
        strands: ['RD R R', 'WH W W', 'YE K K@2', 'GN C C'],
        further: [{ name: 'old adapter', kind: 'old-adapter', marks: ['R', 'C', 'K', 'QX', 'G'] }]
      }
    }),
  'a transformer behind the burner’s switch': () => odd({ machine: { behindSwitch: 'yes' } }),
  mercury: () => odd({ place: { mercury: 'yes' } }),
  'no connection': () => odd({ survey: { internet: 'none' } }),
  'proven off yesterday': () => odd({ place: { off: off('meter', '2026-03-01T01:00:00.000Z') } }),
  'display dark': () => odd({ place: { off: off('display-dark') } }),
  'old one broken': () => odd({ survey: { oldOneWorks: 'no' } }),
  'always home': () => odd({ survey: { habits: { ...habits, home: 'always', night: 'as-by-day' } } }),
  'dear thermostat': () =>
    odd({
      survey: { habits: { ...habits, home: 'away-by-day', setbackC: 19 } },
      device: { of: 'de-fellgate', price: 4000 }
    }),
  'weak signal': () => odd({ place: signal(-80) }),
  'middling signal': () => odd({ place: signal(-68) }),
  'smell of gas': () =>
    odd({
      place: { stops: { ...allNo, [STOP_QUESTIONS[0]!.id]: { answer: 'yes', at: AT, resolved: null } } }
    }),
  'two under one screw': () => odd({ sketch: { strands: [...sketch.strands, 'OG W coiled'] } }),
  'too many links': () => odd({ sketch: { links: Array.from({ length: 101 }, () => 'equipment Y G') } }),
  'bigger transformer planned': () => odd({ machine: { plannedVa: 75 } }),
  'no plate read': () => odd({ machine: { transformerVa: null }, device: { of: 'de-fellgate', drawVa: 5 } }),
  'length not known': () => odd({ sketch: { lengthM: null } }),
  'narrow window': () => odd({ device: { of: 'de-fellgate', voltsMin: 22, voltsMax: 28 } }),
  'window too low': () => odd({ device: { of: 'de-fellgate', voltsMin: 10, voltsMax: 24 } }),
  'long cable on a small transformer': () =>
    odd({
      sketch: { lengthM: 150 },
      machine: { transformerVa: 20 },
      device: { of: 'de-fellgate', drawVa: 5 }
    })
} as const satisfies Readonly<Record<string, () => House>>;
