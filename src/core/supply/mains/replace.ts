/**
 * The controller in the timer's place: every wire by what it does, never by its number. Joints of spare screws stay joints; volt-free contacts get
 * live on their commons, and only those.
 */
import { mainsUnits } from '../../devices/mains/screws';
import { mainsFinding, type MainsFinding } from '../../findings/mains';
import type { ControllerFacts } from '../../job/controller-facts';
import { joinedIn } from '../../wiring/joined';
import { landed, printedMark, type MainsUnit, type TerminalId, type Wiring } from '../../wiring/graph';
import type { MainsFunction } from '../../trade/mains';
import { CONNECTOR_ID } from '../../trade/mains-hub';
import {
  controllerUnit,
  doesAt,
  endsOn,
  firstScrew,
  newUnit,
  withEnd,
  withLink,
  withoutUnit,
  withUnit
} from './edits';

const COILED = { state: 'coiled' } as const;

export interface Replaced {
  readonly wiring: Wiring;
  readonly controller: MainsUnit;
  readonly findings: readonly MainsFinding[];
}

export function inPlaceOf(now: Wiring, timer: MainsUnit, facts: ControllerFacts): Replaced {
  const controller = controllerUnit(facts, timer.at, timer.heatingBringsWater && facts.gravityMode);
  const ends = endsOn(now, timer);
  const joints = jointScrews(timer, ends, controller);
  const connector = newUnit(CONNECTOR_ID, 'wiring-centre', {
    at: timer.at,
    name: 'connector',
    screws: joints.map((_, at) => [`J${at + 1}`, 'joint'] as const)
  });
  const placeFor = (terminal: TerminalId): TerminalId | null => {
    const joint = joints.indexOf(terminal);
    return joint >= 0 ? (connector.screws[joint]?.id ?? null) : targetOf(now, timer, controller, terminal);
  };
  let wiring = withUnit(now, controller);
  if (joints.length > 0) wiring = withUnit(wiring, connector);
  for (const { strand, end, terminal } of ends) {
    const to = placeFor(terminal);
    wiring = withEnd(wiring, strand.id, end, to === null ? COILED : landed(to));
  }
  wiring = withJointLinks(withoutUnit(wiring, timer.id), now, timer, joints, placeFor);
  wiring = withLinks(wiring, controller, facts);
  return {
    wiring,
    controller,
    findings: [
      mainsFinding('note', 'mains-device-goes', { device: timer.name }, [timer.id]),
      ...joints.map((terminal) =>
        mainsFinding('warn', 'mains-joint-kept', { screw: `${timer.name} ${printedMark(now, terminal)}` }, [
          timer.id
        ])
      )
    ]
  };
}

/** A link of the old plate between a spare screw and another carries their joint on: it comes along. */
function withJointLinks(
  wiring: Wiring,
  now: Wiring,
  timer: MainsUnit,
  joints: readonly TerminalId[],
  placeFor: (terminal: TerminalId) => TerminalId | null
): Wiring {
  const own = new Set(timer.screws.map((screw) => screw.id));
  return now.links
    .filter(({ a, b }) => own.has(a) && own.has(b) && [a, b].some((end) => joints.includes(end)))
    .reduce((made, { a, b }) => {
      const [first, second] = [placeFor(a), placeFor(b)];
      return first === null || second === null ? made : withLink(made, timer.at, first, second);
    }, wiring);
}

/** Screws whose joint has to be kept: those that only join, and earths where the controller has nowhere to park them. */
function jointScrews(timer: MainsUnit, ends: ReturnType<typeof endsOn>, controller: MainsUnit): TerminalId[] {
  const used = new Set(ends.map(({ terminal }) => terminal));
  const parks = firstScrew(controller, 'earth') !== null;
  return timer.screws
    .filter((screw) => {
      const does = doesAt(timer, screw.id);
      return used.has(screw.id) && (does === 'joint' || (does === 'earth' && !parks));
    })
    .map((screw) => screw.id);
}

/** The screw of the controller that does what this screw of the timer did; null where the wire has no use any more. */
function targetOf(
  now: Wiring,
  timer: MainsUnit,
  controller: MainsUnit,
  terminal: TerminalId
): TerminalId | null {
  const does = doesAt(timer, terminal);
  const own = firstScrew(controller, does);
  if (own !== null) return own;
  // Two timers differ in how their contacts are fed: a wire that brought live to a common is live still.
  const isCommon: readonly MainsFunction[] = ['heating-common', 'water-common'];
  if (isCommon.includes(does) && isLive(now, terminal)) return firstScrew(controller, 'live');
  return null;
}

function isLive(wiring: Wiring, terminal: TerminalId): boolean {
  const joined = joinedIn(wiring);
  return mainsUnits(wiring)
    .filter((unit) => unit.part === 'supply')
    .some((unit) => {
      const live = firstScrew(unit, 'live');
      return live !== null && joined.same(live, terminal);
    });
}

/** Live to the common of each volt-free contact that is used, unless something brings a voltage of its own there: a boiler's contact. */
function withLinks(wiring: Wiring, controller: MainsUnit, facts: ControllerFacts): Wiring {
  const live = firstScrew(controller, 'live');
  if (live === null) return wiring;
  const joined = joinedIn(wiring);
  const used = (does: MainsFunction) => {
    const screw = firstScrew(controller, does);
    return screw !== null && joined.with(screw).length > 1;
  };
  const channels = [
    { contact: facts.heatingContact, common: 'heating-common', outs: ['heating-on', 'heating-off'] },
    { contact: facts.waterContact, common: 'water-common', outs: ['water-on', 'water-off'] }
  ] as const;
  return channels.reduce((made, { contact, common, outs }) => {
    const screw = firstScrew(controller, common);
    if (contact !== 'volt-free' || screw === null || used(common) || !outs.some(used)) return made;
    return withLink(made, controller.at, live, screw);
  }, wiring);
}
