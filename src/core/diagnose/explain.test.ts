import { describe, expect, it } from 'vitest';
import { powerUp } from '../circuit/simulate';
import { netlistOf } from '../circuit/netlist';
import { CATALOGUE } from '../match/catalogue';
import { boardOf, strandOf, thermostatOf, wiringFrom, worldOf } from '../houses/hand-wired';
import type { Call } from '../trade/calls';
import type { Wiring } from '../wiring/graph';
import { explain } from './explain';
import { faultsOf } from './faults/registry';

const world = worldOf('furnace-ac');
const device = (id: string) => CATALOGUE.find((candidate) => candidate.id === id)!;

const whole: Wiring = wiringFrom({
  devices: [
    thermostatOf(device('de-fellgate'), 'th'),
    boardOf('eq', ['R', 'C', 'W', 'Y', 'G'], { name: 'the furnace' })
  ],
  strands: [
    strandOf('r', ['th', 'RC'], ['eq', 'R']),
    strandOf('w', ['th', 'W'], ['eq', 'W']),
    strandOf('y', ['th', 'Y'], ['eq', 'Y']),
    strandOf('g', ['th', 'G'], ['eq', 'G']),
    strandOf('c', ['th', 'C'], ['eq', 'C'])
  ],
  links: [{ id: 'clip', at: 'wall', a: 'th.RH', b: 'th.RC', kind: 'clip' }]
});

function words(call: Call, ...faults: string[]) {
  return wordsOf(whole, call, faults);
}

function wordsOf(whole: Wiring, call: Call, faults: readonly string[]) {
  const all = faultsOf(whole, netlistOf(whole, world)!);
  const wiring = faults.reduce((before, id) => {
    const fault = all.find((candidate) => candidate.id === id);
    if (!fault) throw new Error(`No fault ${id}: ${all.map((fault) => fault.id).join(', ')}`);
    return fault.apply(before);
  }, whole);
  const made = powerUp(wiring, world, call);
  if (!made.ok) throw new Error(made.why);
  const { headline, reasons } = explain({ wiring, world, result: made.result, meter: made.meter });
  return [headline, ...reasons];
}

describe('in words', () => {
  it('says what works where all is well', () => {
    expect(words('heat1')).toEqual(['Heat works: burner, blower.']);
    expect(words('idle')).toEqual(['Nothing is called.']);
  });

  it('names the terminal that nothing drives', () => {
    expect(words('cool1', 'conductor-loose:g:near')).toEqual([
      'Compressor runs, blower does not.',
      'Blower: nothing drives G.'
    ]);
  });

  it('tells an open coil from a wire that is off', () => {
    expect(words('cool1', 'coil-open:eq:coil-G')[1]).toBe('Blower: its coil is open.');
  });

  it('tells a missing common from a missing hot side', () => {
    expect(words('idle', 'conductor-broken:c')).toContain(
      'The display is dark: its hot side is there, and no common reaches it.'
    );
    expect(words('idle', 'conductor-loose:r:far')).toContain('The display is dark: no hot side reaches it.');
  });

  it('names the machine without power, and the fuse that has opened', () => {
    expect(words('heat1', 'supply-off:eq:secondary')).toContain(
      'Burner: the furnace has no voltage between R and common.'
    );
    expect(words('cool1', 'short-to-common:y')).toContain('Compressor: the fuse of the furnace has opened.');
  });

  it('names what runs uncalled', () => {
    expect(words('fan', 'conductors-swapped:y:g:near')).toContain(
      'Compressor runs though nobody called for it.'
    );
  });

  it('gives the volts of a coil that gets too little', () => {
    const [, reason] = words('heat1', 'conductors-swapped:g:c:near', 'link-missing:clip');
    expect(reason).toMatch(/^Burner: /);
    // The released fan relay leaves a display of 3 VA enough; one that draws 12 gets too little in series with it.
    const hungry = thermostatOf({ ...device('de-fellgate'), drawVa: 12 }, 'th');
    const wiring = {
      ...whole,
      devices: whole.devices.map((device) => (device.id === 'th' ? hungry : device))
    };
    expect(wordsOf(wiring, 'idle', ['conductors-swapped:g:c:near']).join(' ')).toMatch(
      /gets \d+\.\d V at its electronics: outside/
    );
  });
});
