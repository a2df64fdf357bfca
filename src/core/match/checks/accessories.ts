import { finding, type Finding } from '../../trade/findings';
import { boards } from '../../wiring/graph';
import type { MatchCheck } from '../types';

/** A humidifier or the like on the machine, against what the device puts out for it. */
export const accessories: MatchCheck = {
  id: 'accessories',
  check({ device, wiring }) {
    const there = boards(wiring).flatMap((board) =>
      board.accessories
        .filter(
          (one) => one.kind === 'humidifier' || one.kind === 'dehumidifier' || one.kind === 'ventilator'
        )
        .map((one) => ({ board, one }))
    );
    return there.flatMap(({ board, one }): Finding[] => {
      const because = [board.id, device.id];
      if (device.accessoryOutputs === 'none' || device.accessoryOutputs === 'unknown') {
        const knows =
          device.accessoryOutputs === 'none' ? 'has no output' : 'has, as far as is known, no output';
        const text = `It ${knows} for the ${one.kind}: that keeps its own control, or stands still.`;
        return [finding('warn', 'accessory-output', text, because)];
      }
      if (device.accessoryOutputs === 'powered' && one.ownRelay === 'yes')
        return [
          finding(
            'warn',
            'accessory-output',
            `Its output for the ${one.kind} is powered, and the ${one.kind} has a relay of its own: join them as both sheets say, never one supply onto another.`,
            because
          )
        ];
      return [];
    });
  }
};
