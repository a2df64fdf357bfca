/** Every method asked about one thermostat's place: what it would make, what it costs, and what the circuit says of it. */
import type { Loss } from '../words/losses';
import { ref } from '../findings/refs';
import { identify, type Identification } from '../identify/identify';
import { worldsOf, type WeightedWorld } from '../identify/worlds';
import type { DeviceFacts } from '../job/device-facts';
import { thermostatFindings } from '../job/record-findings';
import type { Job, Thermostat } from '../job/schema';
import { heatPump } from '../match/checks/heat-pump';
import { traceOf } from '../reading/trace-common';
import { stopFindings } from '../safety/standing';
import { finding, hasStop, hasWarning, sortFindings, type Finding } from '../findings/finding';
import type { MethodId, Verdict } from '../trade/vocabulary';
import { assumeUnseenEnds, wiringOf } from '../wiring/from-job';
import { boards, type Landing, type Wiring } from '../wiring/graph';
import { readIn } from '../wiring/meaning';
import { nowOf } from '../wiring/now';
import { METHODS } from './methods/registry';
import type { Prover } from './proof-memory';
import { withExchange } from './exchange';
import { withoutOldAdapter } from './old-adapter';
import { prove, type Proof, type ProofInput, type ProofNeighbour } from './prove';
import {
  refused,
  type Method,
  type Offer,
  type Part,
  type Standing,
  type SupplySituation,
  type Variant
} from './types';

export interface Option {
  readonly method: MethodId;
  readonly title: string;
  /** Which of the method's variants this is; null where there is no choice. */
  readonly variant: Variant | null;
  readonly how: string;
  readonly standing: Standing;
  readonly verdict: Verdict;
  readonly findings: readonly Finding[];
  readonly loses: readonly Loss[];
  readonly parts: readonly Part[];
  readonly extraMinutes: number;
  /** The wiring that it starts from, with unseen ends taken as the findings say. */
  readonly before: Wiring;
  /** The same with what has been done since: what is left to do starts here. */
  readonly now: Wiring;
  readonly after: Wiring | null;
  readonly proof: Proof | null;
}

/** What proves the options, and which other thermostats draw from the same machines meanwhile. */
export interface ProofMeans {
  readonly prover?: Prover | undefined;
  readonly neighbours?: readonly ProofNeighbour[];
}

export interface Options {
  readonly identification: Identification;
  readonly device: DeviceFacts;
  readonly before: Wiring;
  readonly options: readonly Option[];
}

export function optionsFor(
  job: Job,
  thermostat: Thermostat,
  device: DeviceFacts,
  { prover = prove, neighbours = [] }: ProofMeans = {}
): Options {
  const identification = identify(job, thermostat);
  const recorded = wiringOf(job, thermostat);
  const { wiring: filled, strands: assumed } = assumeUnseenEnds(recorded);
  const worlds = worldsOf(identification, filled);
  // The methods read the marks as the likeliest family has them; each proof reads them anew in its own world.
  const before = readIn(filled, worlds[0]?.world.family ?? null);
  const closed = gate(job, thermostat, identification, worlds);
  const conditions = [
    ...sharedConditions(identification, worlds, recorded, assumed),
    // What the sheet says that it cannot drive is nothing that copper and coils would show.
    ...heatPump.check({ identification, wiring: recorded, worlds: worlds.map((one) => one.world), device })
  ];
  const [likeliest] = worlds;
  const world = likeliest?.world ?? {
    id: 'unknown',
    family: 'unknown',
    blowerInHeat: 'g',
    blowerInCool: 'g',
    compressor: false,
    reversing: 'none',
    says: 'an unknown system'
  };
  const cleared = withoutOldAdapter(before);
  const situation: SupplySituation = {
    job,
    thermostat,
    identification,
    device,
    recorded,
    found: before,
    before: cleared.wiring,
    assumed,
    now: nowOf(before, thermostat.log).wiring,
    worlds,
    world
  };
  const asked = { closed, conditions: [...conditions, ...cleared.findings], prover, neighbours };
  const options = METHODS.flatMap((method) => {
    if (method.standing === 'left') return [leave(method, situation, closed)];
    const variants = closed.length > 0 ? [] : (method.variants?.(situation) ?? []);
    const all: readonly (Variant | null)[] = variants.length > 0 ? variants : [null];
    return all.map((variant) => optionOf(method, variant, situation, asked));
  });
  return { identification, device, before: recorded, options };
}

/** What closes every way: a record that contradicts itself, a voltage that is not settled, a system that nothing is known of. */
function gate(
  job: Job,
  thermostat: Thermostat,
  identification: Identification,
  worlds: readonly WeightedWorld[]
): Finding[] {
  const machines = job.equipment.filter((one) => thermostat.equipment.includes(one.id));
  const closed = [
    ...stopFindings(thermostat),
    ...machines.flatMap((one) => traceOf(one).findings),
    ...thermostatFindings(job, thermostat),
    ...identification.findings
  ].filter((one) => one.level === 'stop');
  if (identification.family === 'unknown' || worlds.length === 0) {
    closed.push(finding('stop', 'system-unknown', { what: 'ask' }, [ref.thermostat(thermostat.id)]));
  }
  if (thermostat.conductors.length === 0) {
    closed.push(finding('stop', 'end-not-read', { what: 'no-conductor' }, [ref.thermostat(thermostat.id)]));
  }
  return closed;
}

/** What every way rests on as long as it is not settled. */
function sharedConditions(
  identification: Identification,
  worlds: readonly WeightedWorld[],
  recorded: Wiring,
  assumed: readonly string[]
): Finding[] {
  const found: Finding[] = [];
  if (!identification.decided && worlds.length > 0) {
    const families = [...new Set(worlds.map((one) => one.world.family))];
    found.push(finding('warn', 'system-unsettled', { what: 'solved-for', families }));
  }
  if (assumed.length > 0) {
    const conductors = recorded.strands.filter((one) => assumed.includes(one.id)).map((one) => one.name);
    found.push(finding('warn', 'end-not-read', { what: 'assumed', conductors }, assumed.map(ref.conductor)));
  }
  const guessed = recorded.cables
    .filter((one) => one.lengthM === null || one.gauge === null)
    .map((one) => ref.cable(one.id));
  const noPlate = boards(recorded)
    .filter((one) => one.transformerVa === null)
    .map((one) => ref.machine(one.id));
  if (guessed.length + noPlate.length > 0) {
    const fact = { cable: guessed.length > 0, transformer: noPlate.length > 0 };
    found.push(finding('note', 'values-assumed', fact, [...guessed, ...noPlate]));
  }
  return found;
}

interface Asked extends Required<ProofMeans> {
  readonly prover: Prover;
  readonly closed: readonly Finding[];
  readonly conditions: readonly Finding[];
}

function optionOf(
  method: Method,
  variant: Variant | null,
  situation: SupplySituation,
  { closed, conditions, prover, neighbours }: Asked
): Option {
  if (closed.length > 0)
    return assemble(
      method,
      variant,
      situation,
      { after: null, findings: closed, loses: [], parts: [], extraMinutes: 0 },
      null
    );
  const offer =
    situation.device.supply === 'paired-receiver' && method.id !== 'receiver-at-equipment'
      ? refused(
          finding(
            'stop',
            'device-needs-no-common',
            { what: 'nothing-at-wall', model: situation.device.model },
            [ref.device(situation.device.id)]
          )
        )
      : finished(method.offer(situation, variant?.id ?? null), situation.job);
  const proof =
    offer.after === null
      ? null
      : prover({
          before: situation.found,
          after: offer.after,
          worlds: situation.worlds,
          needsSupply: needsSupply(method, situation.device),
          neighbours
        });
  const all = [
    ...offer.findings,
    ...(offer.after === null ? [] : conditions),
    ...(proof?.findings ?? []),
    ...(proof?.complaints ?? [])
  ];
  return assemble(method, variant, situation, { ...offer, findings: all }, proof);
}

/** What holds of every way: planned transformers come along, and no bare end is left hanging. */
function finished(offer: Offer, job: Job): Offer {
  if (offer.after === null) return offer;
  const cap = (landing: Landing): Landing => (landing.state === 'loose' ? { state: 'coiled' } : landing);
  const strands = offer.after.strands.map((one) => ({
    ...one,
    near: cap(one.near),
    far: cap(one.far)
  }));
  return withExchange({ ...offer, after: { ...offer.after, strands } }, job);
}

function needsSupply(method: Method, device: DeviceFacts): ProofInput['needsSupply'] {
  if (method.id === 'no-c-needed') return device.supply === 'self-charging' ? 'idle' : 'never';
  if (device.supply === 'battery') return 'never';
  return device.supply === 'common-or-battery' ? 'dozes' : 'always';
}

/** To leave everything alone is open always; what closes the other ways is why. */
function leave(method: Method, situation: SupplySituation, closed: readonly Finding[]): Option {
  const offer = method.offer(situation, null);
  const because = closed.flatMap((one) => one.because);
  return assemble(
    method,
    null,
    situation,
    { ...offer, findings: offer.findings.map((one) => ({ ...one, because: [...one.because, ...because] })) },
    null
  );
}

function assemble(
  method: Method,
  variant: Variant | null,
  situation: SupplySituation,
  offer: Offer,
  proof: Proof | null
): Option {
  const findings = sortFindings(offer.findings);
  const losses = functionLosses(findings);
  return {
    method: method.id,
    title: method.title,
    variant,
    how: method.how,
    standing: offer.standing ?? method.standing,
    verdict: verdictOf(method, findings),
    findings,
    loses: [...losses, ...offer.loses],
    parts: offer.parts,
    extraMinutes: offer.extraMinutes,
    before: situation.found,
    now: situation.now,
    after: offer.after,
    proof
  };
}

function functionLosses(findings: readonly Finding[]): Loss[] {
  return findings.flatMap((one) =>
    one.code === 'function-lost' ? [{ what: 'function', ...one.params, worlds: one.worlds ?? null }] : []
  );
}

function verdictOf(method: Method, findings: readonly Finding[]): Verdict {
  const licensed = findings.some((one) => one.code === 'call-licensed-person');
  if (method.standing === 'left') return licensed ? 'pro' : 'go';
  if (hasStop(findings)) return 'no';
  if (licensed) return 'pro';
  return hasWarning(findings) ? 'care' : 'go';
}
