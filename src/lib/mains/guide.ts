/** The stations and the next step of mains heating controls. Loaded where such controls are recorded: no other page carries it. */
import { identifyLayout } from '$core/identify/mains/layout';
import type { MainsControls } from '$core/job/mains-schema';
import { LAYOUT_NAMES, MAINS_METHOD_NAMES } from '$core/trade/mains';
import { hubOf } from '$core/trade/mains-hub';
import { counted } from '$core/words/text';
import type { Station } from '../frame/station';

import { nextMains } from '$core/plan/mains/next';

function mainsStations(mains: MainsControls, closed: boolean): Station[] {
  const { wires, devices, choice, log, tests, seen } = mains;
  const unread = wires.filter(({ near, far }) => near.state === 'unseen' || far.state === 'unseen').length;
  const layout = identifyLayout(mains);
  const steps = log.filter(({ undoes }) => undoes === null).length;
  return [
    {
      id: 'strip',
      name: hubOf(devices) === 'boiler' ? 'Wires at the boiler' : 'Wiring centre',
      says:
        wires.length === 0
          ? counted(devices.length, 'device', 'devices')
          : unread > 0
            ? `${counted(unread, 'wire', 'wires')} not read`
            : counted(wires.length, 'wire', 'wires'),
      done: wires.length > 0 && unread === 0
    },
    {
      id: 'layout',
      name: 'Layout',
      says: LAYOUT_NAMES[layout.layout],
      done: layout.decided
    },
    {
      id: 'controller',
      name: 'Controller',
      says: choice.method === null ? 'none chosen' : MAINS_METHOD_NAMES[choice.method].toLowerCase(),
      done: choice.method !== null
    },
    { id: 'work', name: 'Steps', says: steps === 0 ? 'none done' : `${steps} done`, done: false },
    {
      id: 'trial',
      name: 'Set up and test',
      says: tests.length === 0 ? 'after the steps' : counted(tests.length, 'result', 'results'),
      done: tests.length > 0 && tests.every(({ result }) => result === 'good')
    },
    {
      id: 'fault',
      name: 'Find out why',
      says: Object.keys(seen).length === 0 ? 'if it does not work' : `${Object.keys(seen).length} seen`,
      done: false
    },
    { id: 'built', name: 'Hand over', says: closed ? 'closed' : 'sheet, files', done: closed }
  ];
}

export const MAINS_GUIDE = { nextMains, mainsStations };
export type MainsGuide = typeof MAINS_GUIDE;
