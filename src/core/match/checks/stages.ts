import { ref } from '../../findings/refs';
import { isHeatPump } from '../../devices/roles';
import { finding, type Finding } from '../../findings/finding';
import { boards, hasMark } from '../../wiring/graph';
import type { MatchCheck } from '../types';

/** Stages that the board has, whether or not the old thermostat used them. W2 of a heat pump is its auxiliary heat, not a stage. */
export const stages: MatchCheck = {
  id: 'stages',
  check({ device, wiring, worlds }) {
    const staged = worlds.filter(({ family }) => !isHeatPump(family) && family !== 'boiler');
    if (staged.length === 0) return [];
    const found: Finding[] = [];
    const board = boards(wiring).find((candidate) => hasMark(candidate, 'W2') || hasMark(candidate, 'Y2'));
    if (!board) return [];
    const because = [ref.machine(board.id), ref.device(device.id)];
    if (hasMark(board, 'W2') && device.heatStages < 2) {
      found.push(finding('warn', 'too-few-stages', { stage: 'heat', model: device.model }, because));
    }
    if (hasMark(board, 'Y2') && staged.some(({ compressor }) => compressor) && device.coolStages < 2) {
      found.push(finding('warn', 'too-few-stages', { stage: 'compressor', model: device.model }, because));
    }
    return found;
  }
};
