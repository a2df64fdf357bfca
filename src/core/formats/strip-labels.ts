/** Labels for the wires of mains controls: two of each, with its number in the wiring centre (or the terminal that it goes to) for the one end and what it does for the other. */
import type { MainsAsBuilt } from '../handover/mains/as-built';
import type { LabelText } from './labels';

export function stripLabels({
  hub,
  numbers,
  dead
}: Pick<MainsAsBuilt, 'hub' | 'numbers' | 'dead'>): LabelText[] {
  const used = numbers.flatMap(({ of, unit, mark, wires }) =>
    wires.flatMap((wire): LabelText[] => [
      {
        mark: wire.to.split(' ').at(-1) ?? '',
        small: `${wire.does} · ${hub === 'wiring-centre' && of !== 'device' ? `number ${mark}` : `${unit} ${mark}`}`,
        end: 'wall'
      },
      { mark, small: wire.to, end: 'equipment' }
    ])
  );
  const unused = dead.flatMap(({ cable }): LabelText[] => [
    { mark: 'NOT IN USE', small: cable, end: 'wall' },
    { mark: 'NOT IN USE', small: cable, end: 'equipment' }
  ]);
  return [...used, ...unused];
}
