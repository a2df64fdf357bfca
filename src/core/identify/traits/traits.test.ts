/** Each trait: a house that decides it, one that leaves it open, and one in which it means nothing. */
import { describe, expect, it } from 'vitest';
import { house, type House } from '../../houses/builder';
import { boilerHouse, furnaceWithSpare, heatPumpHouse, heatOnly } from '../../houses/houses';
import { identify } from '../identify';
import { TRAIT_IDS, type TraitId } from './types';

const traitOf = ({ job, thermostat }: House, id: TraitId) =>
  identify(job, thermostat).traits.find((trait) => trait.id === id);

const warmAir = { 'conductor-build': 'thin', 'heat-from': 'registers', flue: 'burner' } as const;
const cooled = { ...warmAir, 'outdoor-unit': 'rests' } as const;
const pump = {
  'conductor-build': 'thin',
  'heat-from': 'registers',
  'outdoor-unit': 'runs',
  flue: 'none'
} as const;
const four = ['RD R R', 'WH W W', 'YE Y Y', 'GN G G'];
const hidden = ['RD R unseen', 'YE Y unseen', 'GN G unseen', 'BU C unseen', 'OG O unseen', 'WH AUX unseen'];

interface Case {
  readonly decides: () => House;
  readonly as: string;
  readonly open: () => House;
}

const cases: Readonly<Record<TraitId, Case>> = {
  'heat-stages': {
    decides: () =>
      house({
        strands: four,
        board: ['R', 'C', 'W1', 'W2', 'Y', 'G'],
        observed: cooled,
        equipment: { heatStages: 2 }
      }),
    as: '2',
    open: () => house({ strands: ['RD R unseen', 'WH W unseen'], observed: warmAir })
  },
  'cool-stages': {
    decides: () =>
      house({
        strands: four,
        board: ['R', 'C', 'W', 'Y1', 'Y2', 'G'],
        observed: cooled,
        equipment: { coolStages: 2 }
      }),
    as: '2',
    open: () => house({ strands: hidden, observed: pump })
  },
  'reversing-valve': {
    decides: () =>
      house({
        strands: ['RD R R', 'YE Y Y', 'GN G G', 'BU C C', 'DB B B'],
        board: ['R', 'C', 'Y', 'G', 'B'],
        observed: { ...pump, 'valve-diagram': 'heating' }
      }),
    as: 'B',
    open: () =>
      house({
        strands: ['RD R R', 'YE Y Y', 'GN G G', 'BU C C', 'OG O/B O/B'],
        board: ['R', 'C', 'Y', 'G', 'O/B'],
        observed: pump
      })
  },
  supplies: {
    decides: () =>
      house({
        strands: ['RD RH R', 'WH W W', 'BU RC R@2', 'YE Y Y@2', 'GN G G@2'],
        board: ['R', 'C', 'W'],
        further: [{ name: 'air handler', marks: ['R', 'C', 'Y', 'G'] }],
        observed: { 'conductor-build': 'thin', 'heat-from': 'radiators', 'outdoor-unit': 'rests' }
      }),
    as: '2',
    open: () =>
      house({
        strands: ['RD unseen unseen', 'BU unseen unseen', 'WH unseen unseen', 'YE unseen unseen'],
        observed: { 'conductor-build': 'thin', 'heat-from': 'radiators', 'outdoor-unit': 'rests' }
      })
  },
  'blower-in-heat': {
    decides: furnaceWithSpare,
    as: 'board',
    open: () =>
      house({
        strands: ['RD R R', 'WH W W', 'GN G G'],
        board: ['R', 'C', 'W', 'G'],
        observed: { ...warmAir, flue: 'none', breakers: 'large', 'outdoor-unit': 'none' }
      })
  }
};

describe.each(TRAIT_IDS)('%s', (id) => {
  it('is decided where the record shows it, with the clues named', () => {
    const trait = traitOf(cases[id].decides(), id);
    expect(trait?.decided).toBe(cases[id].as);
  });

  it('stays open, and says what would settle it, where nothing shows it', () => {
    const trait = traitOf(cases[id].open(), id);
    expect(trait).toMatchObject({ decided: null });
    expect(trait?.settle).not.toBe('');
    expect(trait?.values.reduce((sum, value) => sum + value.probability, 0)).toBeCloseTo(1, 9);
  });
});

it('gives no trait to a system for which it means nothing', () => {
  expect(traitOf(boilerHouse(), 'blower-in-heat')).toBeUndefined();
  expect(traitOf(heatOnly(), 'reversing-valve')).toBeUndefined();
  expect(traitOf(heatPumpHouse(), 'reversing-valve')).toMatchObject({ decided: 'O' });
});

it('believes the diagram of a machine more than the usual', () => {
  const electric = (seen: string) =>
    house({
      strands: ['RD R R', 'WH W W', 'GN G G'],
      board: ['R', 'C', 'W', 'G'],
      observed: {
        ...warmAir,
        flue: 'none',
        breakers: 'large',
        'outdoor-unit': 'none',
        'blower-diagram': seen
      }
    });
  expect(traitOf(electric('board'), 'blower-in-heat')?.decided).toBe('board');
  expect(traitOf(electric('g'), 'blower-in-heat')?.decided).toBe('g');
});
