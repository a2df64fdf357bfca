/** The one next step where mains controls are recorded, from the record alone: what a plan would say stands on the pages. */
import { identifyLayout } from '../../identify/mains/layout';
import type { MainsControls } from '../../job/mains-schema';
import { hubOf } from '../../trade/mains-hub';
import type { NextStep } from '../next-step';

export function nextMains(mains: MainsControls, closed: boolean): NextStep {
  if (closed) return { station: 'built', what: 'closed' };
  const { devices, wires, competence, choice, log, tests } = mains;
  if (tests.some(({ result }) => result === 'bad')) return { station: 'fault', what: 'find-out' };
  if (!devices.some(({ part }) => part === 'boiler')) return { station: 'strip', what: 'mains-devices' };
  const unread = wires.filter(({ near, far }) => [near, far].some(({ state }) => state === 'unseen')).length;
  if (wires.length === 0 || unread > 0)
    return { station: 'strip', what: 'mains-wires', count: unread, hub: hubOf(devices) };
  const layout = identifyLayout(mains);
  const [look] = layout.next;
  if (!layout.decided && look) return { station: 'layout', what: 'answer', ask: look.question.ask };
  if (choice.method === null) return { station: 'controller', what: 'mains-choose' };
  if (choice.method !== 'keep' && competence.who === 'unsaid') return { station: 'strip', what: 'mains-who' };
  if (choice.method !== 'keep' && !log.some(({ act }) => act.action === 'power-on'))
    return { station: 'work', what: 'mains-work' };
  return tests.length === 0 ? { station: 'trial', what: 'test' } : { station: 'built', what: 'hand-over' };
}
