/**
 * What makes a sound house odd. Some change the house, and what is written down of it with it; some change only what is written down: an end
 * that nobody read, a mark that nobody knows, an answer that is wrong.
 */
import type { Link } from '../job/schema';
import type { Chance } from '../trade/random';
import type { ScrewRole } from '../trade/roles';
import type { House } from './builder';
import { linkId, screwOn, withConductor, withJob, withPrint, withThermostat } from './changed';

interface Pair {
  readonly truth: House;
  readonly record: House;
}

export interface Oddity {
  readonly id: string;
  /** Null where the house has nothing that could be odd in this way. */
  make(pair: Pair, chance: Chance): Pair | null;
}

const both = (pair: Pair, change: (house: House) => House | null): Pair | null => {
  const [truth, record] = [change(pair.truth), change(pair.record)];
  return truth && record ? { truth, record } : null;
};
const written = ({ truth, record }: Pair, change: (house: House) => House | null): Pair | null => {
  const changed = change(record);
  return changed && { truth, record: changed };
};

const landedAt = (house: House) =>
  house.thermostat.conductors.filter(
    (conductor) => conductor.near.state === 'landed' && conductor.far.state === 'landed'
  );

function drawn(house: House, chance: Chance) {
  const all = landedAt(house);
  return all.length === 0 ? null : chance.pick(all);
}

function link(house: House, a: string, b: string, at: 'wall' | 'equipment'): House | null {
  const where = at === 'wall' ? house.thermostat : house.job.equipment[0];
  const screw = (mark: string) => where?.screws.find((candidate) => candidate.mark === mark);
  const [first, second] = [screw(a), screw(b)];
  if (!where || !first || !second) return null;
  const made: Link = {
    id: linkId(`${a}-${b}`.toLowerCase()),
    at: where.id,
    a: { at: where.id, screw: first.id },
    b: { at: where.id, screw: second.id },
    kind: 'wire'
  };
  if (house.thermostat.links.some((known) => known.id === made.id)) return null;
  return withThermostat(house, { links: [...house.thermostat.links, made] });
}

const ROLES: Readonly<Record<string, ScrewRole>> = {
  R: 'hot',
  C: 'common',
  W: 'heat1',
  W2: 'heat2',
  Y: 'compressor1',
  G: 'fan',
  O: 'reversing-cool'
};

export const ODDITIES: readonly Oddity[] = [
  {
    id: 'far end loose',
    make: (pair, chance) => {
      const found = drawn(pair.truth, chance);
      return (
        found && both(pair, (house) => withConductor(house, found.id, { far: { state: 'loose', on: [] } }))
      );
    }
  },
  {
    id: 'far ends swapped',
    make: (pair, chance) => {
      const [first, second] = [drawn(pair.truth, chance), drawn(pair.truth, chance)];
      if (!first || !second || first.id === second.id) return null;
      return both(pair, (house) =>
        withConductor(withConductor(house, first.id, { far: second.far }), second.id, { far: first.far })
      );
    }
  },
  {
    id: 'far end on another screw',
    make: (pair, chance) => {
      const found = drawn(pair.truth, chance);
      const screws = pair.truth.job.equipment[0]?.screws ?? [];
      if (!found || screws.length === 0) return null;
      const to = chance.pick(screws);
      const at = pair.truth.job.equipment[0]!.id;
      return both(pair, (house) =>
        withConductor(house, found.id, { far: { state: 'landed', on: [{ at, screw: to.id }] } })
      );
    }
  },
  {
    id: 'jumper from Y to G left',
    make: (pair) => both(pair, (house) => link(house, 'Y', 'G', 'equipment'))
  },
  { id: 'jumper from RH to RC', make: (pair) => both(pair, (house) => link(house, 'RH', 'RC', 'wall')) },
  {
    id: 'fan wire given to C',
    make: (pair, chance) => {
      const fan = landedAt(pair.truth).find((conductor) =>
        pair.truth.job.equipment.some((machine) =>
          machine.screws.some((screw) => screw.mark === 'G' && screw.id === conductor.far.on[0]?.screw)
        )
      );
      if (!fan) return null;
      const linked = chance.happens(0.5);
      return both(pair, (house) => {
        const common = screwOn(house, 0, 'C');
        const wall = house.thermostat.screws.find((screw) => screw.mark === 'C');
        if (!common) return null;
        const near = wall
          ? { state: 'landed' as const, on: [{ at: house.thermostat.id, screw: wall.id }] }
          : { state: 'coiled' as const, on: [] };
        const moved = withConductor(house, fan.id, { near, far: { state: 'landed', on: [common] } });
        return linked ? (link(moved, 'Y', 'G', 'equipment') ?? moved) : moved;
      });
    }
  },
  {
    id: 'a spare that is landed below on C',
    make: (pair) => {
      const spare = pair.truth.thermostat.conductors.find(
        (conductor) => conductor.near.state === 'coiled' && conductor.far.state === 'coiled'
      );
      if (!spare) return null;
      return both(pair, (house) => {
        const common = screwOn(house, 0, 'C');
        return common && withConductor(house, spare.id, { far: { state: 'landed', on: [common] } });
      });
    }
  },
  {
    id: 'a small transformer',
    make: (pair) =>
      both(pair, (house) =>
        withJob(house, {
          equipment: house.job.equipment.map((machine, at) =>
            at === 0 ? { ...machine, transformerVa: 20 } : machine
          )
        })
      )
  },
  {
    id: 'a relay and a lamp on R',
    make: (pair) =>
      both(pair, (house) => {
        const hot = screwOn(house, 0, 'R');
        if (!hot) return null;
        const others = (['relay', 'lamp'] as const).map((kind) => ({ screw: hot.screw, what: kind, kind }));
        return withJob(house, {
          equipment: house.job.equipment.map((machine, at) => (at === 0 ? { ...machine, others } : machine))
        });
      })
  },
  {
    id: 'a mark that nobody knows',
    make: (pair, chance) => {
      const found = drawn(pair.record, chance);
      const on = found?.far.on[0];
      const machine = pair.record.job.equipment.find((candidate) => candidate.id === on?.at);
      const screw = machine?.screws.find((candidate) => candidate.id === on?.screw);
      const role = screw ? ROLES[screw.mark] : undefined;
      if (!on || !screw || role === undefined) return null;
      return {
        truth: withPrint(pair.truth, on, 'QX', role),
        record: withPrint(pair.record, on, 'QX', null)
      };
    }
  },
  {
    id: 'a mark on the plate that nobody knows',
    make: (pair, chance) => {
      const found = drawn(pair.record, chance);
      const on = found?.near.on[0];
      const screw = pair.record.thermostat.screws.find((candidate) => candidate.id === on?.screw);
      const role = screw ? ROLES[screw.mark] : undefined;
      if (!on || !screw || role === undefined) return null;
      return {
        truth: withPrint(pair.truth, on, 'M4', role),
        record: withPrint(pair.record, on, 'M4', null)
      };
    }
  },
  {
    id: 'an end that nobody read',
    make: (pair, chance) => {
      const found = drawn(pair.record, chance);
      return (
        found &&
        written(pair, (house) => withConductor(house, found.id, { far: { state: 'unseen', on: [] } }))
      );
    }
  },
  {
    id: 'no end read at the machine',
    make: (pair) =>
      written(pair, (house) =>
        withThermostat(house, {
          conductors: house.thermostat.conductors.map((conductor) => ({
            ...conductor,
            far: { state: 'unseen', on: [] }
          }))
        })
      )
  },
  {
    id: 'no plate read',
    make: (pair) =>
      written(pair, (house) =>
        withJob(house, {
          equipment: house.job.equipment.map((machine) => ({
            ...machine,
            transformerVa: null,
            fuseAmps: null,
            kind: 'unknown',
            fuel: 'unknown'
          }))
        })
      )
  },
  {
    id: 'nothing answered',
    make: (pair) => written(pair, (house) => withThermostat(house, { observed: {} }))
  },
  {
    id: 'a wrong answer',
    make: (pair, chance) =>
      written(pair, (house) =>
        withThermostat(house, {
          observed: {
            ...house.thermostat.observed,
            ...chance.pick<Readonly<Record<string, string>>>([
              { flue: 'burner' },
              { flue: 'none' },
              { 'outdoor-unit': 'none' },
              { 'outdoor-unit': 'rests' },
              { 'heat-from': 'radiators' },
              { 'heat-from': 'registers' }
            ])
          }
        })
      )
  },
  {
    id: 'volts between the classes',
    make: (pair) =>
      written(pair, (house) =>
        withThermostat(house, { observed: { ...house.thermostat.observed, 'measured-volts': 11 } })
      )
  },
  {
    id: 'the family stated wrongly',
    make: (pair, chance) =>
      written(pair, (house) =>
        withThermostat(house, {
          statedFamily: chance.pick(['furnace', 'furnace-ac', 'heat-pump', 'boiler', 'electric-furnace'])
        })
      )
  }
];
