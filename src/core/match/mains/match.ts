/** What controller fits which layout, and why not. Which method it is for matters: one channel can stand in for a room thermostat beside a timer. */
import { mainsFinding, sortMains, type MainsFinding } from '../../findings/mains';
import { identifyLayout, type LayoutIdentification } from '../../identify/mains/layout';
import type { ControllerFacts } from '../../job/controller-facts';
import type { MainsControls, MainsDevice } from '../../job/mains-schema';
import {
  HOUSE_VOLTS,
  MAINS_FUNCTION_NAMES,
  MAINS_VA,
  type Layout,
  type MainsFunction,
  type MainsMethod
} from '../../trade/mains';
import type { Verdict } from '../../trade/vocabulary';
import { CONTROLLERS } from './controllers';

export interface MainsMatch {
  readonly facts: ControllerFacts;
  /** Of what it fits for. */
  readonly verdict: Exclude<Verdict, 'pro'>;
  /** The first of the methods, from most that is replaced to least, that it is fit for; null where it is fit for none. */
  readonly fits: MethodMatch['method'] | null;
  /** For each method, what speaks against it and what has to be known. */
  readonly methods: readonly MethodMatch[];
}

export interface MethodMatch {
  readonly method: Exclude<MainsMethod, 'keep'>;
  readonly verdict: Exclude<Verdict, 'pro'>;
  readonly findings: readonly MainsFinding[];
}

export function controllersFor(mains: MainsControls): readonly ControllerFacts[] {
  return [...CONTROLLERS, ...mains.controllers];
}

export function matchControllers(mains: MainsControls): MainsMatch[] {
  const identified = identifyLayout(mains);
  return controllersFor(mains).map((facts) => matchOne(mains, identified, facts));
}

const METHODS = ['replace-both', 'replace-timer', 'single-channel'] as const;

export function matchOne(
  mains: MainsControls,
  identified: LayoutIdentification,
  facts: ControllerFacts
): MainsMatch {
  const methods = METHODS.map((method): MethodMatch => {
    const findings = sortMains(checksFor(mains, identified, facts, method));
    const verdict = findings.some(({ level }) => level === 'stop')
      ? 'no'
      : findings.some(({ level }) => level === 'warn')
        ? 'care'
        : 'go';
    return { method, verdict, findings };
  });
  const fits = methods.find(({ verdict }) => verdict !== 'no') ?? null;
  return { facts, verdict: fits?.verdict ?? 'no', fits: fits?.method ?? null, methods };
}

/** Channels that a layout takes when timer and thermostat are replaced. */
export function channelsOf(layout: Layout): 1 | 2 {
  return layout === 'combination' || layout === 'heating-only' ? 1 : 2;
}

export const does = (facts: ControllerFacts, wanted: MainsFunction) =>
  facts.plate.some((screw) => screw.does === wanted);

function checksFor(
  mains: MainsControls,
  { layout, decided }: LayoutIdentification,
  facts: ControllerFacts,
  method: MethodMatch['method']
): MainsFinding[] {
  if (!decided) return [mainsFinding('stop', 'mains-layout-needed', {})];
  return [
    ...houseChecks(mains, method),
    ...channelChecks(layout, facts, method),
    ...contactChecks(mains, facts, method),
    ...plateChecks(mains, facts, method),
    ...ampChecks(mains, facts)
  ];
}

function ofPart(mains: MainsControls, part: MainsDevice['part']): MainsDevice[] {
  return mains.devices.filter((device) => device.part === part);
}

function houseChecks(mains: MainsControls, method: MethodMatch['method']): MainsFinding[] {
  const [timers, rooms] = [ofPart(mains, 'timer'), ofPart(mains, 'room-thermostat')];
  const findings: MainsFinding[] = [];
  if (method !== 'single-channel' && timers.length === 0)
    findings.push(mainsFinding('stop', 'mains-no-timer', {}));
  if (method === 'replace-timer' && rooms.length === 0)
    findings.push(mainsFinding('stop', 'mains-no-room-thermostat', {}));
  if (method === 'single-channel' && rooms.length === 0)
    findings.push(mainsFinding('stop', 'mains-no-room-thermostat', {}));
  if (method === 'replace-both' && rooms.length === 0)
    findings.push(mainsFinding('note', 'mains-no-room-thermostat', {}));
  if (method === 'replace-both' && rooms.length > 1)
    findings.push(mainsFinding('stop', 'mains-several-rooms', { rooms: rooms.length }));
  if (method === 'single-channel' && timers.length > 0)
    findings.push(mainsFinding('note', 'mains-timer-heating-unused', {}));
  return findings;
}

function channelChecks(
  layout: Layout,
  facts: ControllerFacts,
  method: MethodMatch['method']
): MainsFinding[] {
  if (method === 'single-channel')
    return layout === 'gravity-water' ? [mainsFinding('stop', 'mains-gravity-constant', {})] : [];
  const needed = channelsOf(layout);
  const findings: MainsFinding[] = [];
  if (facts.channels < needed) {
    findings.push(mainsFinding('stop', 'mains-channels', { needed, channels: facts.channels }));
    findings.push(mainsFinding('note', 'mains-never-both', {}));
  }
  if (layout === 'mid-position')
    findings.push(
      does(facts, 'water-off')
        ? mainsFinding('note', 'mains-water-off-needed', {})
        : mainsFinding('stop', 'mains-water-off-missing', {})
    );
  if (layout === 'gravity-water' && !facts.gravityMode)
    findings.push(mainsFinding('stop', 'mains-gravity-mode-missing', {}));
  return findings;
}

function contactChecks(
  mains: MainsControls,
  facts: ControllerFacts,
  method: MethodMatch['method']
): MainsFinding[] {
  const boiler = ofPart(mains, 'boiler').find(({ input }) => input !== 'switched-live');
  const findings: MainsFinding[] = [];
  if (method === 'single-channel' && boiler && ofPart(mains, 'timer').length > 0)
    findings.push(mainsFinding('stop', 'mains-timer-in-line', {}, [boiler.id]));
  if (boiler && boiler.input !== 'unknown' && facts.heatingContact === 'linked')
    findings.push(mainsFinding('stop', 'mains-volt-free-needed', { contact: 'linked' }, [boiler.id]));
  if (boiler?.input === 'unknown')
    findings.push(mainsFinding('stop', 'mains-boiler-input-unread', { device: boiler.name }, [boiler.id]));
  const used: readonly ('heating' | 'water')[] =
    method === 'single-channel' || facts.channels === 1 ? ['heating'] : ['heating', 'water'];
  const contactOf = (channel: 'heating' | 'water') =>
    channel === 'heating' ? facts.heatingContact : facts.waterContact;
  const free = used.filter((channel) => contactOf(channel) === 'volt-free');
  const linked = used.filter((channel) => contactOf(channel) === 'linked');
  if (free.length > 0 && !boiler)
    findings.push(mainsFinding('note', 'mains-link-needed', { channels: free.length }));
  for (const channel of linked) findings.push(mainsFinding('note', 'mains-link-inside', { channel }));
  if (free.length > 0 && linked.length > 0) findings.push(mainsFinding('warn', 'mains-contacts-mixed', {}));
  return findings;
}

function plateChecks(
  mains: MainsControls,
  facts: ControllerFacts,
  method: MethodMatch['method']
): MainsFinding[] {
  const findings: MainsFinding[] = [];
  const [timer] = ofPart(mains, 'timer');
  if (timer && method !== 'single-channel') {
    const moved = timer.screws.flatMap((screw) => {
      const same = facts.plate.find((candidate) => candidate.mark !== '' && candidate.mark === screw.mark);
      return same && same.does !== screw.does && screw.does !== 'unknown'
        ? [
            `${screw.mark} is “${MAINS_FUNCTION_NAMES[screw.does]}” on the old plate, “${MAINS_FUNCTION_NAMES[same.does]}” on the new`
          ]
        : [];
    });
    if (moved.length > 0) findings.push(mainsFinding('warn', 'mains-order-differs', { moved }, [timer.id]));
  }
  findings.push(
    facts.earthPark
      ? mainsFinding('note', 'mains-earth-parked', {})
      : mainsFinding('note', 'mains-earth-nowhere', {})
  );
  if (facts.wallPart === 'wired-low-voltage' && method !== 'replace-timer')
    findings.push(mainsFinding('warn', 'mains-wall-part-cable', {}));
  return findings;
}

/** Everything that a contact may have to carry at once. */
function ampChecks(mains: MainsControls, facts: ControllerFacts): MainsFinding[] {
  const va =
    ofPart(mains, 'boiler').length * MAINS_VA.boiler +
    ofPart(mains, 'pump').length * MAINS_VA.pump +
    (ofPart(mains, 'two-port-valve').length + ofPart(mains, 'mid-position-valve').length) * MAINS_VA.valve;
  const drawn = va / HOUSE_VOLTS;
  return drawn > facts.maxAmps ? [mainsFinding('stop', 'mains-amps', { most: facts.maxAmps, drawn })] : [];
}
