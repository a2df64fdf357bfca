/** What the controller has to be told in this house before anything runs, each with its reason. The network comes last. */
import type { ControllerFacts } from '../../job/controller-facts';
import type { MainsControls } from '../../job/mains-schema';
import { hasScrew, mainsUnits } from '../../devices/mains/screws';
import type { Layout } from '../../trade/mains';
import type { MainsUnit, Wiring } from '../../wiring/graph';
import { joinedIn } from '../../wiring/joined';

export interface MainsSetting {
  readonly id: string;
  readonly name: string;
  readonly value: string;
  readonly reason: string;
  /** When it was made; null where it is still to do. */
  readonly made: string | null;
}

export function settingsFor(
  wiring: Wiring,
  layout: Layout,
  facts: ControllerFacts,
  mains: MainsControls
): MainsSetting[] {
  const controller = mainsUnits(wiring).find(({ part }) => part === 'controller');
  const joined = joinedIn(wiring);
  const used = (does: 'water-on' | 'heating-on') =>
    controller?.screws.some((screw) => screw.means[0] === does && joined.with(screw.id).length > 1) ?? false;
  const all: Omit<MainsSetting, 'made'>[] = [
    {
      id: 'channels',
      name: 'Channels in use',
      value: used('water-on') ? (used('heating-on') ? 'heating and hot water' : 'hot water') : 'heating only',
      reason: used('water-on')
        ? 'Wires are on both of its outputs.'
        : 'No wire is on a hot-water output here.'
    },
    ...(facts.gravityMode
      ? [
          {
            id: 'gravity-mode',
            name: 'Heating brings hot water with it',
            value: layout === 'gravity-water' ? 'on' : 'off',
            reason:
              layout === 'gravity-water'
                ? 'Hot water by gravity: heating cannot run without the boiler that the hot-water output starts.'
                : 'Each way has a valve or a boiler contact of its own.'
          }
        ]
      : []),
    {
      id: 'cycle-rate',
      name: 'Cycles per hour',
      value: '3',
      reason: 'Water in radiators: three starts an hour are usual.'
    },
    ...wallPartSettings(controller, facts),
    {
      id: 'frost-limit',
      name: 'Lowest temperature',
      value: '5 °C',
      reason: 'Pipes: the room never gets colder, whatever the schedule says.'
    },
    { id: 'clock', name: 'Clock', value: 'date and time', reason: 'The schedule hangs on it.' },
    { id: 'schedule', name: 'Schedule', value: 'as the house lives', reason: 'After the tests.' },
    { id: 'network', name: 'Network', value: 'joined', reason: 'Last, when everything works by hand.' }
  ];
  return all.map((setting) => ({ ...setting, made: mains.settings[setting.id] ?? null }));
}

function wallPartSettings(
  controller: MainsUnit | undefined,
  facts: ControllerFacts
): Omit<MainsSetting, 'made'>[] {
  return controller && hasScrew(controller, 'low-a') && facts.wallPart === 'wired-low-voltage'
    ? [
        {
          id: 'wall-part-feed',
          name: 'Wall part',
          value: 'wired',
          reason: 'It is fed over two wires of the old thermostat’s cable.'
        }
      ]
    : facts.wallPart === 'wireless'
      ? [
          {
            id: 'pairing',
            name: 'Pair wall part and box',
            value: 'paired',
            reason: 'They speak by radio: pair them beside each other, before the wall part goes up.'
          }
        ]
      : [];
}
