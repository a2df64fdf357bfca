/** The methods: what is replaced, and what becomes of the room thermostat and its cable. */
import { mainsFinding, type MainsFinding } from '../../findings/mains';
import { unitOf } from './edits';
import { inPlaceOf } from './replace';
import { roomsOf, roomVariants, withoutRoom } from './room-thermostat';
import { singleChannel } from './single-channel';
import type { MainsChange, MainsMethodRule, MainsVariant } from './types';
import { withWallPart } from './wall-part';

const PLAIN: MainsVariant = { id: 'plain', room: null, join: null, cable: null };

const replaceBoth: MainsMethodRule = {
  id: 'replace-both',
  variants: (now, facts) => {
    if (!unitOf(now, 'timer')) return [];
    return roomsOf(now).length === 0 ? [PLAIN] : roomVariants(now, facts, true);
  },
  apply: (now, facts, variant) => {
    const timer = unitOf(now, 'timer');
    if (!timer) return { refused: mainsFinding('stop', 'mains-no-timer', {}) };
    const room = roomsOf(now).find(({ id }) => id === variant.room);
    if (!room) {
      const { wiring, findings } = inPlaceOf(now, timer, facts);
      return { after: wiring, dead: [], findings };
    }
    // A boiler's contact that the thermostat closed by itself, without a timer in the line, is the controller's from now on.
    const gone = withoutRoom(now, room, variant);
    if ('refused' in gone) return gone;
    const replaced = inPlaceOf(gone.wiring, timer, facts);
    const walled = withWallPart(
      { ...gone, wiring: replaced.wiring },
      room,
      facts,
      replaced.controller,
      variant
    );
    return {
      after: walled.wiring,
      dead: walled.dead,
      findings: [...gone.findings, ...replaced.findings, ...walled.findings]
    };
  }
};

const replaceTimer: MainsMethodRule = {
  id: 'replace-timer',
  variants: (now) => (unitOf(now, 'timer') && roomsOf(now).length > 0 ? [PLAIN] : []),
  apply: (now, facts): MainsChange | { readonly refused: MainsFinding } => {
    const timer = unitOf(now, 'timer');
    if (!timer) return { refused: mainsFinding('stop', 'mains-no-timer', {}) };
    const { wiring, findings } = inPlaceOf(now, timer, facts);
    return { after: wiring, dead: [], findings };
  }
};

const keep: MainsMethodRule = {
  id: 'keep',
  variants: () => [PLAIN],
  apply: (now) => ({ after: now, dead: [], findings: [] })
};

/** In the order in which they are told. */
export const MAINS_METHOD_RULES: readonly MainsMethodRule[] = [
  replaceBoth,
  replaceTimer,
  singleChannel,
  keep
];
