/** Every way of supplying the common, in a situation and for a thermostat: what it would make, what it costs, and what the circuit says of it. */
import { finding, hasStop, hasWarning, sortFindings, type Finding } from '../findings/finding';
import { ref } from '../findings/refs';
import type { DeviceFacts } from '../job/device-facts';
import { doubted } from '../explain/doubted';
import { leavesAlone } from '../explain/explain';
import { heatPumpFindings } from '../match/checks/heat-pump';
import { remembered } from '../proof/proof-memory';
import type { Proof, ProofInput, ProofNeighbour, Prover } from '../proof/types';
import type { MethodId, Verdict } from '../trade/vocabulary';
import type { Landing, Wiring } from '../wiring/graph';
import type { Loss } from '../words/losses';
import { withExchange } from './exchange';
import { METHODS } from './methods/registry';
import { withoutOldSupplies } from './repairs/remove-old-supply';
import type { Situation } from './situation';
import {
  refused,
  type Method,
  type Offer,
  type Part,
  type Standing,
  type SupplySituation,
  type Variant
} from './types';

/** A way that a method offers, before anything is proven of it. */
export interface Offered {
  readonly method: Method;
  /** Which of the method's variants this is; null where there is no choice. */
  readonly variant: Variant | null;
  readonly offer: Offer;
}

export interface Option {
  readonly method: MethodId;
  readonly title: string;
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

/** What every method and each of its variants offers. Where the gate is closed, each is refused for the same reasons. */
export function offersIn(situation: Situation, device: DeviceFacts): Offered[] {
  const asked: SupplySituation = { ...situation, device };
  return METHODS.flatMap((method): Offered[] => {
    const variants = situation.closed.length > 0 ? [] : (method.variants?.(asked) ?? []);
    const all: readonly (Variant | null)[] = variants.length > 0 ? variants : [null];
    const make = method.standing === 'left' ? left : offerOf;
    return all.map((variant) => ({ method, variant, offer: make(method, variant, asked) }));
  });
}

/** Each offer put to the circuit, with what holds of every way in this situation. */
export function provenOptions(
  situation: Situation,
  device: DeviceFacts,
  offers: readonly Offered[],
  { prover = remembered, neighbours = [] }: ProofMeans = {}
): Option[] {
  const conditions = [
    ...situation.conditions,
    // What the sheet says that it cannot drive is nothing that copper and coils would show.
    ...heatPumpFindings({ worlds: situation.worlds.map(({ world }) => world), device })
  ];
  return offers.map(({ method, variant, offer }) => {
    const { after } = offer;
    if (after === null || after === situation.found)
      return assemble({ method, variant, offer }, situation, null);
    const left = method.standing === 'left';
    const proof = prover({
      before: situation.found,
      after,
      worlds: situation.worlds,
      needsSupply: left ? 'never' : needsSupply(method, device),
      neighbours
    });
    const findings = [
      ...offer.findings,
      ...(left ? [] : conditions),
      ...(left ? doubtedIn(situation, proof.findings) : proof.findings),
      ...(left ? [] : proof.complaints)
    ];
    return assemble({ method, variant, offer: { ...offer, findings } }, situation, proof);
  });
}

function doubtedIn({ riddles, found, worlds }: Situation, findings: readonly Finding[]): readonly Finding[] {
  return doubted(
    findings,
    riddles,
    found,
    worlds.map(({ world }) => world)
  );
}

/** Ways that take C from the machine: a supply that an earlier owner left in an outlet goes with them. */
const FROM_THE_MACHINE: ReadonlySet<MethodId> = new Set([
  'existing-c',
  'spare-conductor',
  'repurpose-g',
  'combined-terminal-adapter',
  'signal-splitter',
  'add-conductor',
  'new-cable'
]);

function offerOf(method: Method, variant: Variant | null, all: SupplySituation): Offer {
  const old = FROM_THE_MACHINE.has(method.id) ? withoutOldSupplies(all.before) : null;
  const asked = old ? { ...all, before: old.wiring } : all;
  const offer = offerIn(method, variant, asked);
  if (offer.after === null) return offer;
  const findings = [...offer.findings, ...brittleCables(offer.after)];
  if (!FROM_THE_MACHINE.has(method.id)) return { ...offer, findings };
  return { ...offer, findings: [...findings, ...(old?.findings ?? []), ...behindSwitch(all)] };
}

/** A transformer behind the burner's switch or a limit: the thermostat goes dark with it, which is a reason for a supply of its own. */
function behindSwitch({ job, thermostat }: SupplySituation): Finding[] {
  return job.equipment
    .filter((machine) => thermostat.equipment.includes(machine.id) && machine.behindSwitch === 'yes')
    .map((machine) =>
      finding('warn', 'common-behind-switch', { machine: machine.name }, [ref.machine(machine.id)])
    );
}

function offerIn(method: Method, variant: Variant | null, asked: SupplySituation): Offer {
  const { closed, device, job } = asked;
  if (closed.length > 0) return refused(...closed);
  if (device.supply === 'paired-receiver' && method.id !== 'receiver-at-equipment')
    return refused(
      finding('stop', 'device-needs-no-common', { what: 'nothing-at-wall', model: device.model }, [
        ref.device(device.id)
      ])
    );
  return explained(finished(method.offer(asked, variant?.id ?? null), job), asked);
}

/** What cannot be explained is not touched: an offer that moves such a wire is none, whatever else speaks for it. */
function explained(offer: Offer, { riddles, found }: SupplySituation): Offer {
  const { after } = offer;
  if (after === null) return offer;
  const moved = riddles.filter(
    (riddle) => riddle.finding.level === 'stop' && !leavesAlone(found, after, riddle.strand)
  );
  return moved.length === 0 ? offer : refused(...moved.map((riddle) => riddle.finding));
}

/** What holds of every way: planned transformers come along, and no bare end is left hanging. */
function finished(offer: Offer, job: SupplySituation['job']): Offer {
  if (offer.after === null) return offer;
  const cap = (landing: Landing): Landing => (landing.state === 'loose' ? { state: 'coiled' } : landing);
  const strands = offer.after.strands.map((strand) => ({
    ...strand,
    near: cap(strand.near),
    far: cap(strand.far)
  }));
  return withExchange({ ...offer, after: { ...offer.after, strands } }, job);
}

/** Cables with brittle insulation that the way goes on using: every wire of them is bent at least at the wall. */
function brittleCables(after: Wiring): Finding[] {
  const used = after.cables.filter(
    (cable) =>
      cable.insulation === 'brittle' &&
      after.strands.some((strand) => strand.cable === cable.id && strand.near.state === 'landed')
  );
  if (used.length === 0) return [];
  return [
    finding(
      'warn',
      'brittle-insulation',
      { cables: used.map((cable) => cable.name) },
      used.map((cable) => ref.cable(cable.id))
    )
  ];
}

/** To leave everything alone is open always, as is to make the repairs alone; what closes the other ways is why. */
function left(method: Method, variant: Variant | null, asked: SupplySituation): Offer {
  const offer = explained(method.offer(asked, variant?.id ?? null), asked);
  const because = asked.closed.flatMap((finding) => finding.because);
  return {
    ...offer,
    findings: [
      ...offer.findings.map((finding) => ({ ...finding, because: [...finding.because, ...because] })),
      ...asked.riddles.map((riddle): Finding => ({ ...riddle.finding, level: 'warn' }))
    ]
  };
}

function needsSupply(method: Method, device: DeviceFacts): ProofInput['needsSupply'] {
  if (method.id === 'no-c-needed') return device.supply === 'self-charging' ? 'idle' : 'never';
  if (device.supply === 'battery') return 'never';
  return device.supply === 'common-or-battery' ? 'dozes' : 'always';
}

function assemble({ method, variant, offer }: Offered, situation: Situation, proof: Proof | null): Option {
  const findings = sortFindings(offer.findings);
  return {
    method: method.id,
    title: method.title,
    variant,
    how: method.how,
    standing: offer.standing ?? method.standing,
    // What cannot even be drawn is refused, whatever was said of it.
    verdict: offer.after === null ? 'no' : verdictOf(method, findings),
    findings,
    loses: [...functionLosses(findings), ...offer.loses],
    parts: offer.parts,
    extraMinutes: offer.extraMinutes,
    before: situation.found,
    now: situation.now,
    after: offer.after,
    proof
  };
}

function functionLosses(findings: readonly Finding[]): Loss[] {
  return findings.flatMap((finding): Loss[] => {
    if (finding.code === 'function-lost')
      return [{ what: 'function', ...finding.params, worlds: finding.worlds ?? null }];
    if (finding.code === 'dead-before')
      return [{ what: 'stays-dead', ...finding.params, worlds: finding.worlds ?? null }];
    return [];
  });
}

function verdictOf(method: Method, findings: readonly Finding[]): Verdict {
  const licensed = findings.some((candidate) => candidate.code === 'call-licensed-person');
  if (method.standing === 'left' && licensed) return 'pro';
  if (hasStop(findings)) return 'no';
  if (licensed) return 'pro';
  // What is not known of a house is no reason against leaving it alone; what is moved for a repair is.
  if (method.standing === 'left')
    return findings.some((candidate) => candidate.code === 'repair') ? 'care' : 'go';
  return hasWarning(findings) ? 'care' : 'go';
}
