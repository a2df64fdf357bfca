/** Beliefs as worlds: every way the equipment may still be, for the proof to solve. What is not settled counts at its worst. */
import { isHeatPump } from '../devices/roles';
import type { MachineWorld, World } from '../devices/world';
import { FAMILY_NAMES, type Family } from '../trade/vocabulary';
import { boards, hasMark, landedMark, type Board, type Wiring } from '../wiring/graph';
import type { Identification } from './identify';
import { traitShare } from './traits/registry';
import type { Trait, TraitId } from './traits/types';

/** A family less likely than this is left out of the proof. */
export const BELIEVABLE = 0.05;

export interface WeightedWorld {
  readonly world: World;
  readonly weight: number;
}

/**
 * Believable families, each with the board behaviours that nobody can see from outside: what somebody states first, then the likeliest.
 * `weight`: what the evidence gives it, a probability.
 */
export function worldsOf(identification: Identification, wiring: Wiring): WeightedWorld[] {
  const isStated = ({ world }: WeightedWorld) =>
    identification.stated && world.family === identification.family;
  return believableFamilies(identification)
    .flatMap(({ family, weight }) => {
      const worlds = worldsOfFamily(family, identification.traits, wiring);
      return worlds.map((world) => ({
        world: withMachines(world.world, wiring),
        weight: weight * world.weight
      }));
    })
    .sort((a, b) => Number(isStated(b)) - Number(isStated(a)) || b.weight - a.weight);
}

/**
 * Where conductors go to more than one machine, each has a world of its own as far as its kind and its strip tell: a boiler beside an air
 * handler that only cools.
 */
function withMachines(world: World, wiring: Wiring): World {
  const all = boards(wiring);
  if (all.length < 2) return world;
  const of = all.flatMap((board): [string, MachineWorld][] => {
    const own = machineWorld(board, world);
    return own ? [[board.id, own]] : [];
  });
  return of.length === 0 ? world : { ...world, of: Object.fromEntries(of) };
}

const HEAT_MARKS = ['W1', 'W2', 'T2', 'TT', 'AUX'];
const AIR: ReadonlySet<Family> = new Set(['furnace', 'furnace-ac', 'boiler-plus-ac']);

function machineWorld(board: Board, world: World): MachineWorld | null {
  const { blowerInHeat, blowerInCool } = world;
  const heats = HEAT_MARKS.some((mark) => hasMark(board, mark));
  const cools = ['Y1', 'G'].some((mark) => hasMark(board, mark));
  if (cools && !heats && AIR.has(world.family))
    return { family: 'cooling-only', blowerInHeat, blowerInCool, compressor: true, reversing: 'none' };
  if (world.family === 'boiler-plus-ac' && !cools)
    return { family: 'boiler', blowerInHeat, blowerInCool, compressor: false, reversing: 'none' };
  return null;
}

function believableFamilies(identification: Identification): { family: Family; weight: number }[] {
  const [top] = identification.candidates;
  const stated = identification.stated ? identification.family : null;
  const believed = identification.candidates.filter(
    ({ family, probability }) =>
      family !== 'unknown' &&
      family !== stated &&
      (probability >= BELIEVABLE || (stated === null && family === top?.family))
  );
  // What somebody states is no reason to leave out what the evidence still believes.
  const others = believed.map(({ family, probability }) => ({ family, weight: probability }));
  return stated === null ? others : [{ family: stated, weight: identification.probability }, ...others];
}

/** One world per board behaviour that is still believable: how the blower starts in heating, how the valve is energised. */
function worldsOfFamily(family: Family, traits: readonly Trait[], wiring: Wiring): WeightedWorld[] {
  const says = withArticle(FAMILY_NAMES[family]);
  const compressor = hasCompressor(family, wiring);
  const blowers = family === 'electric-furnace' ? believable(traits, 'blower-in-heat', ['g', 'board']) : null;
  const valves = isHeatPump(family) ? believable(traits, 'reversing-valve', ['O', 'B']) : null;
  if (blowers)
    return blowers.map(({ value, share }) => ({
      weight: share,
      world: {
        id: `${family}/blower-by-${value}`,
        family,
        blowerInHeat: value,
        blowerInCool: 'g',
        compressor,
        reversing: 'none',
        says: value === 'g' ? `${says} whose blower runs on G alone` : `${says} whose board runs the blower`
      }
    }));
  if (valves)
    return valves.map(({ value, share }) => ({
      weight: share,
      world: {
        id: valves.length === 1 ? family : `${family}/valve-${value.toLowerCase()}`,
        family,
        blowerInHeat: 'g',
        blowerInCool: 'g',
        compressor,
        reversing: value,
        says: valves.length === 1 ? says : `${says} whose valve works on ${value}`
      }
    }));
  return [
    {
      weight: 1,
      world: {
        id: family,
        family,
        blowerInHeat: 'board',
        blowerInCool: 'g',
        compressor,
        reversing: 'none',
        says
      }
    }
  ];
}

/** The values of a trait that are still believable, with their shares made to add up. */
function believable<T extends string>(
  traits: readonly Trait[],
  id: TraitId,
  values: readonly T[]
): { value: T; share: number }[] {
  const shares = values.map((value) => ({ value, share: traitShare(traits, id, value) }));
  const known = shares.some((share) => share.share > 0)
    ? shares
    : shares.map((share) => ({ ...share, share: 1 }));
  const kept = known.filter((world) => world.share >= BELIEVABLE);
  const total = kept.reduce((sum, value) => sum + value.share, 0);
  return kept.map((value) => ({ ...value, share: value.share / total }));
}

/** A wire on Y at the machine starts a compressor, if there is one: in a family of air it counts, whatever else speaks against it. */
function hasCompressor(family: Family, wiring: Wiring): boolean {
  if (family !== 'electric-furnace' && family !== 'furnace')
    return ['furnace-ac', 'heat-pump', 'dual-fuel', 'boiler-plus-ac', 'cooling-only'].includes(family);
  return wiring.strands.some((strand) => landedMark(wiring, strand.far) === 'Y1');
}

function withArticle(noun: string): string {
  return `${/^[aeiou]/.test(noun) ? 'an' : 'a'} ${noun}`;
}
