/**
 * Switches between a machine's transformer and its hot terminal. The door switch of a warm-air machine takes the whole low voltage away
 * when the door is off; a condensate float switch takes R away when the pan is full.
 */
import type { Board } from '../../wiring/graph';

const withDoor: ReadonlySet<Board['machine']> = new Set(['furnace', 'air-handler']);

export interface FeedSwitches {
  readonly beforeFuse: boolean;
  readonly afterFuse: boolean;
}

export function switchesInFeed(board: Board): FeedSwitches {
  const pumped = board.accessories.some((accessory) => accessory.kind === 'condensate-pump');
  return {
    beforeFuse: withDoor.has(board.machine),
    afterFuse: pumped
  };
}
