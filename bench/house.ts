/** What a setback does with each kind of heat, over the simulated year, and how long a house takes to study. */
import { thermalModel } from '$core/house/building';
import { heatSourceOf, type SourceFacts } from '$core/house/heat-source';
import { savingOf } from '$core/house/saving';
import { WEATHER_PLACES, yearOf } from '$core/house/weather';
import { EMPTY_SURVEY } from '$core/job/survey-schema';
import { secondsPer } from './measure';
import type { Part } from './part';

const SOURCES: readonly (readonly [name: string, facts: Omit<SourceFacts, 'efficiency' | 'pricePerKWh'>])[] =
  [
    ['gas furnace', { family: 'furnace', fuel: 'gas', strips: false }],
    ['oil boiler', { family: 'boiler', fuel: 'oil', strips: false }],
    ['electric furnace', { family: 'electric-furnace', fuel: 'electricity', strips: false }],
    ['heat pump', { family: 'heat-pump', fuel: 'electricity', strips: false }],
    ['heat pump with strips', { family: 'heat-pump', fuel: 'electricity', strips: true }],
    ['heat pump with a burner', { family: 'dual-fuel', fuel: 'electricity', strips: true }]
  ];

export const houseBench: Part = {
  name: 'house',
  run: () => {
    const model = thermalModel({
      ...EMPTY_SURVEY.building,
      floorAreaM2: 140,
      insulation: 'usual',
      draughts: 'usual',
      build: 'medium'
    });
    const hourly = yearOf(WEATHER_PLACES[0]!);
    const study = (facts: (typeof SOURCES)[number][1], setbackC: number) =>
      savingOf({
        model,
        habits: { ...EMPTY_SURVEY.habits, home: 'away-by-day', setbackC },
        hourly,
        source: heatSourceOf({ ...facts, efficiency: null, pricePerKWh: null }),
        outlay: 150
      });
    const whole = (value: number) => value.toFixed(0);
    return [
      '140 m², medium, away by day, nights cooler: energy bought less in a year by setting back from 20 °C',
      '| heat | to 18 °C, kWh | to 15 °C, kWh | least to most | dollars | cold-day recovery |',
      '|---|---|---|---|---|---|',
      ...SOURCES.map(([name, facts]) => {
        const [small, deep] = [study(facts, 18), study(facts, 15)];
        const { boughtKWh, dollars, recovery } = deep;
        return `| ${name} | ${whole(small.boughtKWh.mid)} | ${whole(boughtKWh.mid)} | ${whole(boughtKWh.low)} to ${whole(boughtKWh.high)} | ${whole(dollars.mid)} | ${recovery?.coldH ?? 0} h |`;
      }),
      '',
      `One house, all combinations of what is not known: ${(secondsPer(5, () => void study(SOURCES[4]![1], 16), 3) * 1e3).toFixed(0)} ms`
    ];
  }
};
