/** Every code of mains controls is raised by some house, and kept quiet by another; its sentence leaves nothing unfilled. */
import { describe, expect, it } from 'vitest';
import { mainsOf, type MainsSketch } from '../houses/mains-builder';
import { MAINS_SKETCHES, mainsHouse, ROOM_AT_BOILER, type MainsHouse } from '../houses/mains-houses';
import { TWO_VALVE } from '../houses/mains-layouts';
import type { MainsFinding } from '../findings/mains';
import type { ControllerFacts } from '../job/controller-facts';
import type { MainsControls } from '../job/mains-schema';
import { CONTROLLERS } from '../match/mains/controllers';
import { planMains } from '../plan/mains/plan';
import { MAINS_CODES, mainsText } from '../words/mains-findings';

const sound = mainsHouse('two-valve');
const sketched = (change: Partial<MainsSketch>): MainsControls => mainsOf({ ...TWO_VALVE, ...change });
const wire = (change: Partial<MainsControls['wires'][number]>): MainsControls => ({
  ...sound,
  wires: sound.wires.map((wire, at) => (at === 0 ? { ...wire, ...change } : wire))
});
const device = (
  part: string,
  change: (device: MainsControls['devices'][number]) => Partial<MainsControls['devices'][number]>
): MainsControls => ({
  ...sound,
  devices: sound.devices.map((device) => (device.part === part ? { ...device, ...change(device) } : device))
});
const without = (part: string): MainsControls => {
  const gone = sound.devices.find((device) => device.part === part)?.id;
  return {
    ...sound,
    devices: sound.devices.filter(({ id }) => id !== gone),
    wires: sound.wires.filter(({ near }) => near.on?.device !== gone)
  };
};
const weak = { ...(CONTROLLERS[0] as ControllerFacts), id: 'ct-weak', maxAmps: 0.1 } as ControllerFacts;

/** The houses of the trade, and what only a broken or half-read record shows. */
const records: readonly MainsControls[] = [
  ...(Object.keys(MAINS_SKETCHES) as MainsHouse[]).map(mainsHouse),
  { ...sound, devices: [], wires: [], cables: [], observed: {} },
  without('boiler'),
  without('supply'),
  wire({ far: { state: 'unseen', on: null } }),
  wire({ far: { state: 'loose', on: null } }),
  wire({ colour: 'GN', stripe: 'YE' }),
  device('boiler', () => ({ input: 'unknown' })),
  device('timer', ({ screws }) => ({
    screws: screws.map((screw) => ({ ...screw, does: 'unknown' as const }))
  })),
  sketched({ strip: { ...TWO_VALVE.strip, 4: ['timer.heating-on', 'room.in', 'pump.neutral'] } }),
  // No wiring centre, and live goes to the thermostat first.
  mainsOf({
    ...ROOM_AT_BOILER,
    straight: [...(ROOM_AT_BOILER.straight ?? []).slice(2), ['spur.live', 'room.in']]
  }),
  sketched({ observed: { 'warm-with-water-only': 'nothing' } }),
  sketched({
    units: { ...TWO_VALVE.units, second: { part: 'supply', fuseAmps: 3 } },
    strip: { ...TWO_VALVE.strip, 2: [...(TWO_VALVE.strip[2] ?? []), 'second.neutral'], 9: ['second.live'] }
  }),
  { ...sound, controllers: [weak] },
  {
    ...sound,
    devices: [
      ...sound.devices,
      ...['a', 'b', 'c', 'd'].map((name) => ({
        ...sound.devices.find(({ part }) => part === 'room-thermostat')!,
        id: `md-${name}` as MainsControls['devices'][number]['id']
      }))
    ]
  }
];

/** Every controller in every fourth record; one that does all and one that does little in the others. */
const said = records.map((record, number) =>
  [
    ...CONTROLLERS.filter((_, at) => number % 4 === 0 || at === 0 || at === CONTROLLERS.length - 1),
    ...record.controllers
  ].flatMap(({ id }): MainsFinding[] => {
    const plan = planMains(record, { controller: id });
    return [
      ...plan.questions,
      ...plan.today,
      ...plan.matches.flatMap(({ methods }) => methods.flatMap(({ findings }) => findings)),
      ...plan.ways.flatMap(({ findings }) => findings)
    ];
  })
);

describe('what is said of mains controls', () => {
  /** A circuit that cannot be solved has no house here: the record makes none. */
  const unsolved = ['mains-not-proven'];
  it.each(MAINS_CODES.filter((code) => !unsolved.includes(code)))(
    '%s is said of one house and not of another',
    (code) => {
      const in_ = said.filter((findings) => findings.some((finding) => finding.code === code));
      expect(in_.length).toBeGreaterThan(0);
      // What every change of mains wiring is told is said wherever there is a way.
      if (code !== 'mains-local-code' && code !== 'mains-competent-only')
        expect(in_.length).toBeLessThan(said.length);
    }
  );

  it('leaves nothing unfilled in its sentences', () => {
    const sentences = new Set(said.flat().map(mainsText));
    for (const sentence of sentences) expect(sentence).not.toMatch(/undefined|null|\[object|NaN/);
    expect(sentences.size).toBeGreaterThan(40);
  });
});
