import { ref } from '../../findings/refs';
import { finding, type Finding } from '../../findings/finding';
import { boards } from '../../wiring/graph';
import type { MatchCheck } from '../types';

/** A humidifier or the like on the machine, against what the device puts out for it. */
export const accessories: MatchCheck = {
  id: 'accessories',
  check({ device, wiring }) {
    const there = boards(wiring).flatMap((board) =>
      board.accessories
        .filter(
          (accessory) =>
            accessory.kind === 'humidifier' ||
            accessory.kind === 'dehumidifier' ||
            accessory.kind === 'ventilator'
        )
        .map((accessory) => ({ board, accessory }))
    );
    return there.flatMap(({ board, accessory }): Finding[] => {
      const because = [ref.machine(board.id), ref.device(device.id)];
      if (device.accessoryOutputs === 'none' || device.accessoryOutputs === 'unknown') {
        const what = device.accessoryOutputs === 'none' ? 'none' : 'none-known';
        return [finding('warn', 'accessory-output', { what, accessory: accessory.kind }, because)];
      }
      if (device.accessoryOutputs === 'powered' && accessory.ownRelay === 'yes')
        return [finding('warn', 'accessory-output', { what: 'powered', accessory: accessory.kind }, because)];
      return [];
    });
  }
};
