import { describe, expect, it } from 'vitest';
import { mainsHouse } from '../../houses/mains-houses';
import { emptyMains } from '../../job/mains-edits';
import type { LogEntry } from '../../job/log-schema';
import type { MainsControls } from '../../job/mains-schema';
import { nextStepText } from '../next-step-words';
import { nextMains } from './next';

const sound = mainsHouse('two-valve');
const AT = '2026-11-27T09:00:00.000Z';
const next = (mains: MainsControls, closed = false) => {
  const { station, what } = nextMains(mains, closed);
  return `${station} ${what}`;
};
const test = (result: MainsControls['tests'][number]['result']) => ({
  row: 'idle',
  result,
  at: AT,
  until: null,
  note: ''
});
const taken: MainsControls = {
  ...sound,
  choice: { controller: 'ct-tarnwick-duo' as never, method: 'replace-both', variant: null }
};
const named: MainsControls = { ...taken, competence: { who: 'licensed', name: '', at: AT } };
const powered: MainsControls = {
  ...named,
  log: [
    {
      id: 'lg-1' as LogEntry['id'],
      at: AT,
      act: { action: 'power-on', end: 'equipment', what: 'md-spur', from: '', to: '' },
      change: null,
      undoes: null
    }
  ]
};

describe('the next step of mains controls', () => {
  it.each([
    ['nothing recorded: the devices', emptyMains(), 'strip mains-devices'],
    ['no wire: the strip', { ...sound, wires: [] }, 'strip mains-wires'],
    [
      'an end unread: the strip',
      {
        ...sound,
        wires: sound.wires.map((wire) => ({ ...wire, far: { state: 'unseen' as const, on: null } }))
      },
      'strip mains-wires'
    ],
    [
      'a layout that is open: its question',
      {
        ...mainsHouse('combination'),
        devices: mainsHouse('combination').devices.map((device) => ({
          ...device,
          combination: 'unknown' as const
        })),
        observed: {}
      },
      'layout answer'
    ],
    ['all read: a controller', sound, 'controller mains-choose'],
    ['a way taken: who does it', taken, 'strip mains-who'],
    ['somebody named: the steps', named, 'work mains-work'],
    ['powered: the tests', powered, 'trial test'],
    ['a bad test: why', { ...powered, tests: [test('bad')] }, 'fault find-out'],
    ['tested: hand over', { ...powered, tests: [test('good')] }, 'built hand-over'],
    [
      'left as it is: the tests, and nobody to name',
      { ...sound, choice: { controller: null, method: 'keep' as const, variant: 'plain' } },
      'trial test'
    ]
  ] as const)('%s', (_, mains, expected) => {
    expect(next(mains as MainsControls)).toBe(expected);
    expect(nextStepText(nextMains(mains as MainsControls, false)).length).toBeGreaterThan(10);
  });

  it('is over with a closed job', () => {
    expect(next(sound, true)).toBe('built closed');
  });
});
