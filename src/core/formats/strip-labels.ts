/** Labels for the wires of a wiring centre: two of each, with its number for the one end and what it does for the other. */
import type { MainsAsBuilt } from '../handover/mains/as-built';
import type { LabelText } from './labels';

export function stripLabels({ numbers, dead }: Pick<MainsAsBuilt, 'numbers' | 'dead'>): LabelText[] {
  const used = numbers.flatMap(({ mark, wires }) =>
    wires.flatMap((wire): LabelText[] => [
      { mark: wire.to.split(' ').at(-1) ?? '', small: `${wire.does} · number ${mark}`, end: 'wall' },
      { mark, small: wire.to, end: 'equipment' }
    ])
  );
  const unused = dead.flatMap(({ cable }): LabelText[] => [
    { mark: 'NOT IN USE', small: cable, end: 'wall' },
    { mark: 'NOT IN USE', small: cable, end: 'equipment' }
  ]);
  return [...used, ...unused];
}
