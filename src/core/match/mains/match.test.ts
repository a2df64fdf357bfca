import { describe, expect, it } from 'vitest';
import { mainsHouse, type MainsHouse } from '../../houses/mains-houses';
import type { MainsControls } from '../../job/mains-schema';
import type { ControllerFacts } from '../../job/controller-facts';
import { CONTROLLERS } from './controllers';
import { matchControllers, type MethodMatch } from './match';

function matchOf(mains: MainsControls, id: string, method: MethodMatch['method']): MethodMatch {
  const found = matchControllers(mains)
    .find(({ facts }) => facts.id === id)
    ?.methods.find((match) => match.method === method);
  if (!found) throw new Error(`No ${id}`);
  return found;
}

const stops = (house: MainsHouse, id: string, method: MethodMatch['method'] = 'replace-both') =>
  matchOf(mainsHouse(house), id, method)
    .findings.filter(({ level }) => level === 'stop')
    .map(({ code }) => code);
const said = (house: MainsHouse, id: string, method: MethodMatch['method'] = 'replace-both') =>
  matchOf(mainsHouse(house), id, method).findings.map(({ code }) => code);

describe('what controller fits', () => {
  it('never gives heating and hot water one channel', () => {
    expect(stops('two-valve', 'ct-pennhollow-solo')).toContain('mains-channels');
    expect(stops('combination', 'ct-pennhollow-solo')).toEqual([]);
  });

  it('takes one channel for one zone beside a timer', () => {
    expect(stops('two-valve', 'ct-pennhollow-solo', 'single-channel')).toEqual([]);
    expect(stops('gravity', 'ct-pennhollow-solo', 'single-channel')).toContain('mains-gravity-constant');
  });

  it('wants hot water off for a mid-position valve only', () => {
    expect(stops('mid-position', 'ct-hollinfast-two')).toContain('mains-water-off-missing');
    expect(stops('two-valve', 'ct-hollinfast-two')).toEqual([]);
    expect(stops('mid-position', 'ct-oskerry-twin')).toEqual([]);
  });

  it('wants a setting that brings hot water with heating where it is by gravity', () => {
    expect(stops('gravity', 'ct-lorrimund-pair')).toContain('mains-gravity-mode-missing');
    expect(stops('gravity', 'ct-tarnwick-duo')).toEqual([]);
  });

  it('keeps 230 V from a boiler that wants a contact', () => {
    expect(stops('combination-volt-free', 'ct-brackenhurst-one')).toContain('mains-volt-free-needed');
    expect(stops('combination-volt-free', 'ct-pennhollow-solo')).toEqual([]);
  });

  it('says which contacts get a link, which must not, and where they are mixed', () => {
    expect(said('two-valve', 'ct-oskerry-twin')).toContain('mains-link-needed');
    expect(said('two-valve', 'ct-oskerry-twin')).not.toContain('mains-link-inside');
    expect(said('two-valve', 'ct-tarnwick-duo')).toContain('mains-link-inside');
    expect(said('two-valve', 'ct-slatewright-mix')).toContain('mains-contacts-mixed');
    expect(said('combination-volt-free', 'ct-pennhollow-solo')).not.toContain('mains-link-needed');
  });

  it('tells of numbers that do another thing on a plate of the same pattern', () => {
    const [a, turned] = ['ct-tarnwick-duo', 'ct-lorrimund-pair'].map(
      (id) => CONTROLLERS.find((facts) => facts.id === id) as ControllerFacts
    );
    expect(a?.pattern).toBe(turned?.pattern);
    expect(said('mid-position', 'ct-lorrimund-pair')).toContain('mains-order-differs');
    expect(said('mid-position', 'ct-tarnwick-duo')).not.toContain('mains-order-differs');
  });

  it('does not let one channel stand in for two room thermostats', () => {
    expect(stops('two-zones', 'ct-tarnwick-duo')).toContain('mains-several-rooms');
    expect(stops('two-zones', 'ct-tarnwick-duo', 'replace-timer')).toEqual([]);
  });

  it('says what it fits for: most that it can replace', () => {
    const fits = (id: string) =>
      matchControllers(mainsHouse('mid-position')).find(({ facts }) => facts.id === id)?.fits;
    expect(fits('ct-tarnwick-duo')).toBe('replace-both');
    expect(fits('ct-hollinfast-two')).toBe('single-channel');
  });

  it('fits nothing before the layout is known', () => {
    const mains = { ...mainsHouse('two-valve'), devices: [], wires: [], cables: [], observed: {} };
    expect(matchControllers(mains).every(({ verdict }) => verdict === 'no')).toBe(true);
  });

  it('counts what its contacts carry', () => {
    const mains = mainsHouse('two-valve');
    const weak = { ...(CONTROLLERS[0] as ControllerFacts), id: 'ct-weak', maxAmps: 0.1 } as ControllerFacts;
    expect(
      matchOf({ ...mains, controllers: [weak] }, 'ct-weak', 'replace-both').findings.map(({ code }) => code)
    ).toContain('mains-amps');
  });
});
