/** What a proof is made of, and what it shows. */
import type { CallResult } from '../circuit/simulate';
import type { MachineWorld, World } from '../devices/world';
import type { Finding } from '../findings/finding';
import type { WeightedWorld } from '../identify/worlds';
import type { Call } from '../trade/calls';
import type { LoadId } from '../trade/vocabulary';
import type { Wiring } from '../wiring/graph';
import type { Neighbour } from '../wiring/joint';

/** A call with nominal values. */
export interface NominalRow {
  readonly call: Call;
  readonly before: readonly LoadId[];
  /** Loads that run in every case solved. */
  readonly after: readonly LoadId[];
  /** Loads that run in any of them. */
  readonly ever: readonly LoadId[];
  readonly lost: readonly LoadId[];
  readonly gained: readonly LoadId[];
  readonly voltsBefore: number | null;
  /** The lowest over the cases solved. */
  readonly voltsAfter: number | null;
  readonly fedAfter: boolean | null;
  /** The most that it gets, where that is more than its window allows; else null. */
  readonly voltsOver: number | null;
  /** The most that any one transformer gives, VA, over the cases solved. */
  readonly vaBefore: number;
  readonly vaAfter: number;
  /** The highest share of its rating that any transformer carries. */
  readonly loadShare: number;
  /** The fuse behind a transformer that is used nearest to its rating, amps; null where there is none. */
  readonly fuse: { readonly amps: number; readonly rating: number; readonly open: boolean } | null;
}

export interface ProofRow extends NominalRow {
  /** The lowest and the highest in the corners of all tolerances; null where nominal values fail already. */
  readonly voltsLow: number | null;
  readonly voltsHigh: number | null;
  /** The most that any transformer gives there, amps; null as above. */
  readonly ampsMost: number | null;
}

export interface WorldProof {
  readonly world: World;
  readonly weight: number;
  readonly rows: readonly ProofRow[];
  readonly before: readonly CallResult[];
  /** The plain case of each call, for the printed rows. */
  readonly after: readonly CallResult[];
}

export interface Proof {
  readonly worlds: readonly WorldProof[];
  readonly findings: readonly Finding[];
  /** What the device may report though nothing is wrong, in the likeliest world; nothing where something is. */
  readonly complaints: readonly Finding[];
  /** Operating points that it rests on; those that several proofs of a wiring share are solved once. */
  readonly solves: number;
}

export interface ProofInput {
  readonly before: Wiring;
  readonly after: Wiring;
  readonly worlds: readonly WeightedWorld[];
  /** Whether the device dies or dozes without a common, charges itself while nothing is called, or does not care. */
  readonly needsSupply: 'always' | 'dozes' | 'idle' | 'never';
  /** The calls to be solved, where they are others than those that the wires of `before` can make. */
  readonly calls?: readonly Call[];
  /** Other thermostats on the same machines, as they are or will be: they draw from the same transformer. */
  readonly neighbours?: readonly ProofNeighbour[];
}

/** Another thermostat on the same machines, with how its own devices are, by their ids in the joint graph. */
export interface ProofNeighbour extends Neighbour {
  readonly worlds: Readonly<Record<string, MachineWorld>>;
}

/** What proves an option: solved anew, or remembered. */
export type Prover = (input: ProofInput) => Proof;
