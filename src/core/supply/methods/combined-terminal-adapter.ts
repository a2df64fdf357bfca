import { ref } from '../../findings/refs';
import { finding } from '../../findings/finding';
import { marksMean } from '../../trade/terminals';
import { sheetTerminal } from '../../wiring/graph';
import { callPair, commonAtBothPlates, isFinding } from '../requirements';
import { swapThermostat } from '../swap-thermostat';
import { ADAPTER_PIECES, adapterRules, PAIR_VARIANTS, rolesOf, withAdapter } from '../two-calls';
import { refused, type Method } from '../types';

/** A thermostat with a combined terminal: one of Y and G becomes the common, the other carries both calls to an adapter. */
export const combinedTerminalAdapter: Method = {
  id: 'combined-terminal-adapter',
  title: 'Combined terminal with an adapter',
  how: 'The thermostat puts Y and G on one wire; an adapter at the equipment takes them apart, and the wire that is freed becomes the C wire.',
  standing: 'added',
  variants: () => PAIR_VARIANTS,
  offer(situation, variant) {
    const { device } = situation;
    if (!marksMean(device.marks, 'K'))
      return refused(
        finding('stop', 'device-has-no-combined', { model: device.model }, [ref.device(device.id)])
      );
    const board = commonAtBothPlates(situation);
    if (isFinding(board)) return refused(board);
    const pair = callPair(situation, board);
    if (isFinding(pair)) return refused(pair);
    const roles = rolesOf(pair, variant);
    const { wiring, findings } = swapThermostat(situation);
    return {
      after: withAdapter(wiring, board, roles, {
        commonEnd: sheetTerminal(device, 'C'),
        callsEnd: sheetTerminal(device, 'K')
      }),
      findings: [...findings, ...adapterRules(situation, roles)],
      loses: [],
      parts: [
        {
          id: 'adapter',
          name: `Adapter of the ${device.model}, in its box`,
          quantity: 1,
          unit: 'piece',
          cost: 0
        },
        ADAPTER_PIECES
      ],
      extraMinutes: 10
    };
  }
};
