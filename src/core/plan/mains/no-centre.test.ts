/** Houses in which cables go straight from device to device. */
import { describe, expect, it } from 'vitest';
import { looksIn } from '../../diagnose/mains/looks';
import { mainsOf, type MainsSketch } from '../../houses/mains-builder';
import { mainsHouse, ROOM_AT_BOILER, ROOM_ON_CONTACT } from '../../houses/mains-houses';
import { COMBINATION } from '../../houses/mains-layouts';
import type { MainsControls } from '../../job/mains-schema';
import { joinedIn } from '../../wiring/joined';
import { mainsText } from '../../words/mains-findings';
import { planMains, type MainsWay } from './plan';

const plans = (mains: MainsControls, controller: string) => planMains(mains, { controller });
function wayIn(mains: MainsControls, controller: string, method: MainsWay['method']): MainsWay {
  const way = plans(mains, controller).ways.find((candidate) => candidate.method === method);
  if (!way) throw new Error(`No ${method}`);
  return way;
}
const codes = ({ findings }: MainsWay) => findings.map(({ code }) => code);

describe('a room thermostat straight at the boiler', () => {
  const way = wayIn(mainsHouse('room-at-boiler'), 'ct-pennhollow-solo', 'single-channel');
  const joined = joinedIn(way.after);

  it('gives way to one channel that is fed at the boiler and switches its input', () => {
    expect(way.verdict).toBe('pro');
    expect(joined.same('controller.2', 'md-spur.L')).toBe(true);
    expect(joined.same('controller.5', 'md-boiler.SL')).toBe(true);
    expect(way.after.links.map(({ a, b }) => [a, b])).toEqual([['controller.2', 'controller.4']]);
    expect(way.table?.rows.every(({ amiss }) => amiss.length === 0)).toBe(true);
  });

  it('says which terminals of the boiler get a second wire, and what of its case stays shut', () => {
    const shared = way.findings.find(({ code }) => code === 'mains-terminal-shared');
    expect(shared?.params).toMatchObject({ screws: ['L', 'N', 'E'] });
    expect(shared && mainsText(shared)).toContain('licensed for gas');
    const centre = wayIn(mainsHouse('no-timer'), 'ct-pennhollow-solo', 'single-channel');
    expect(codes(centre)).not.toContain('mains-terminal-shared');
  });

  it('is led through at the boiler, and nowhere at a wiring centre', () => {
    const texts = way.moves.map(({ text }) => text);
    expect(texts.some((text) => /wiring centre/i.test(text))).toBe(false);
    expect(texts).toContain(
      'Boiler, the cover of its terminals off and nothing else of its case: live to neutral. It reads nothing.'
    );
    expect(
      texts.some((text) => text.startsWith('Fix the back plate of the Pennhollow Solo beside the boiler.'))
    ).toBe(true);
  });

  it('never says of a cable that it is dead and that it carries low voltage', () => {
    const wired = wayIn(mainsHouse('room-at-boiler'), 'ct-pennhollow-solo-w', 'single-channel');
    expect(codes(wired)).toContain('mains-cable-reused');
    expect(codes(wired)).not.toContain('mains-cable-dead');
    expect(codes(way)).toContain('mains-cable-dead');
  });
});

describe('a boiler’s contact that the thermostat closes, without a wiring centre', () => {
  const way = wayIn(mainsHouse('contact-at-boiler'), 'ct-pennhollow-solo', 'single-channel');

  it('is closed by the controller, over a cable that has no mains in it', () => {
    expect(way.verdict).toBe('pro');
    expect(way.after.links).toEqual([]);
    const joined = joinedIn(way.after);
    const cablesAt = (terminal: string) =>
      way.after.strands
        .filter(({ near, far }) =>
          [near, far].some((end) => end.state === 'landed' && end.terminal === terminal)
        )
        .map(({ cable }) => cable);
    expect(joined.same('controller.4', 'md-boiler.T1')).toBe(true);
    expect(joined.same('controller.5', 'md-boiler.T2')).toBe(true);
    expect(new Set([...cablesAt('controller.4'), ...cablesAt('controller.5')])).toEqual(
      new Set(['ca-contact'])
    );
    expect(cablesAt('controller.2')).toEqual(['ca-controller']);
  });

  it('is never measured to the neutral of the mains', () => {
    const { found, inputs } = plans(mainsHouse('contact-at-boiler'), 'ct-pennhollow-solo');
    const asks = looksIn(found, inputs).map(({ ask }) => ask);
    expect(asks.some((ask) => ask.includes('terminal L live'))).toBe(true);
    expect(asks.some((ask) => /terminal T[12] live/.test(ask))).toBe(false);
    // Nor at the numbers of a wiring centre that lead to it.
    const centre = plans(mainsHouse('room-on-contact'), 'ct-pennhollow-solo');
    const numbers = looksIn(centre.found, centre.inputs).map(({ ask }) => ask);
    expect(numbers.some((ask) => ask.includes('number 1 live'))).toBe(true);
    expect(numbers.some((ask) => /number [45] live/.test(ask))).toBe(false);
  });
});

describe('where nothing short can join what the thermostat stood between', () => {
  const straight = (
    units: MainsSketch['units'],
    wires: NonNullable<MainsSketch['straight']>
  ): MainsControls => mainsOf({ units: { ...ROOM_AT_BOILER.units, ...units }, strip: {}, straight: wires });

  /** Live goes to the thermostat first: at the boiler there is none. */
  const liveAtRoom = straight({}, [
    ['spur.live', 'room.in'],
    ['spur.neutral', 'boiler.neutral'],
    ['spur.earth', 'boiler.earth'],
    ['room.out', 'boiler.switched-live']
  ]);
  /** The timer in one room, the thermostat's wires from there and to the boiler. */
  const timerBefore = straight({ room: ROOM_ON_CONTACT.units['room']!, timer: COMBINATION.units['timer']! }, [
    ['spur.live', 'boiler.live'],
    ['timer.live', 'boiler.live'],
    ['room.out', 'boiler.switched-live'],
    ['spur.neutral', 'boiler.neutral'],
    ['timer.neutral', 'boiler.neutral'],
    ['spur.earth', 'boiler.earth'],
    ['timer.earth', 'boiler.earth'],
    ['room.in', 'timer.heating-on']
  ]);

  it('offers no channel where the supply does not come', () => {
    const way = wayIn(liveAtRoom, 'ct-pennhollow-solo', 'single-channel');
    expect(way.verdict).toBe('no');
    expect(codes(way)).toEqual(['mains-no-meeting']);
  });

  it('never links two terminals of different devices', () => {
    const way = wayIn(timerBefore, 'ct-tarnwick-duo', 'replace-both');
    expect(way.verdict).toBe('no');
    expect(codes(way)).toEqual(['mains-no-meeting']);
    expect(wayIn(timerBefore, 'ct-tarnwick-duo', 'replace-timer').verdict).toBe('pro');
  });
});
