/**
 * Switches between a machine's transformer and its hot terminal. The door switch of a warm-air machine takes the whole low voltage away
 * when the door is off; a condensate float switch takes R away when the pan is full.
 */
import type { Board } from '../../wiring/graph';

const withDoor: ReadonlySet<Board['machine']> = new Set(['furnace', 'air-handler']);

const HOT: ReadonlySet<string> = new Set(['R', 'RH', 'RC']);

export interface FeedSwitches {
  readonly beforeFuse: boolean;
  readonly afterFuse: boolean;
}

export function switchesInFeed(board: Board): FeedSwitches {
  const pumped =
    board.accessories.some((accessory) => accessory.kind === 'condensate-pump') ||
    board.others.some(
      ({ kind, terminal }) =>
        kind === 'float-switch' &&
        board.screws.some((screw) => screw.id === terminal && HOT.has(screw.means[0] ?? ''))
    );
  return {
    beforeFuse: withDoor.has(board.machine),
    afterFuse: pumped
  };
}
