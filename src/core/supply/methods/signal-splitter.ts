import { ref } from '../../findings/refs';
import type { DeviceFacts } from '../../job/device-facts';
import { finding, type Finding } from '../../findings/finding';
import {
  screwsOfMarks,
  sheetTerminal,
  terminalId,
  wallPlace,
  type Splitter,
  type WireLink
} from '../../wiring/graph';
import { callPair, commonAtBothPlates, isFinding } from '../requirements';
import { swapThermostat } from '../swap-thermostat';
import { ADAPTER_PIECES, adapterRules, PAIR_VARIANTS, rolesOf, withAdapter } from '../two-calls';
import { refused, type Method } from '../types';

const SPLITTER_ID = 'splitter';

/** For any thermostat: two diodes behind the plate put Y and G on one conductor, a module at the equipment takes them apart. */
export const signalSplitter: Method = {
  id: 'signal-splitter',
  title: 'Splitter behind the plate',
  how: 'Two diodes behind the plate put Y and G on one wire; a module at the equipment takes them apart, and the wire that is freed becomes the C wire.',
  standing: 'added',
  variants: () => PAIR_VARIANTS,
  offer(situation, variant) {
    const { device } = situation;
    const refusal = splitterRefused(device);
    if (refusal) return refused(refusal);
    const board = commonAtBothPlates(situation);
    if (isFinding(board)) return refused(board);
    const pair = callPair(situation, board);
    if (isFinding(pair)) return refused(pair);
    const roles = rolesOf(pair, variant);
    const { wiring, findings } = swapThermostat(situation);
    const splitter: Splitter = {
      kind: 'splitter',
      id: SPLITTER_ID,
      at: wallPlace(wiring),
      name: 'splitter',
      screws: screwsOfMarks(SPLITTER_ID, ['Y', 'G', 'K'])
    };
    const leads = ['Y', 'G'].map((mark): WireLink => ({
      id: `ln-splitter-${mark.toLowerCase()}`,
      at: wallPlace(wiring),
      a: sheetTerminal(device, mark),
      b: terminalId(SPLITTER_ID, mark),
      kind: 'wire'
    }));
    const split = { ...wiring, devices: [...wiring.devices, splitter], links: [...wiring.links, ...leads] };
    return {
      after: withAdapter(split, board, roles, {
        commonEnd: sheetTerminal(device, 'C'),
        callsEnd: terminalId(SPLITTER_ID, 'K')
      }),
      findings: [
        ...findings,
        ...adapterRules(situation, roles),
        finding('note', 'room-behind-plate', {}),
        finding('warn', 'more-joints', {}),
        ...silentSheet(device)
      ],
      loses: [],
      parts: [
        {
          id: 'splitter',
          name: 'Splitter with its module for the equipment',
          quantity: 1,
          unit: 'set',
          cost: 29
        },
        ADAPTER_PIECES
      ],
      extraMinutes: 15
    };
  }
};

/** A sheet that says nothing of such modules does not allow them. */
function silentSheet({ adapters, model, id }: DeviceFacts): Finding[] {
  if (adapters !== 'unknown') return [];
  return [finding('warn', 'adapter-not-for-this', { what: 'sheet-silent', model }, [ref.device(id)])];
}

/** Its maker's word wins: some devices feel for what hangs on their terminals, and take diodes for a fault. */
function splitterRefused(device: DeviceFacts): Finding | null {
  const { adapters, model } = device;
  if (adapters !== 'none' && adapters !== 'own') return null;
  return finding('stop', 'adapter-not-for-this', { what: 'sheet', model, adapters }, [ref.device(device.id)]);
}
