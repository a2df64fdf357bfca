/** What the hands need for a move, and how much insulation comes off. */
import type { Wiring } from '../wiring/graph';
import type { Draft } from './move-types';

const SCREWDRIVER = 'small flat screwdriver';
const STRIPPER = 'wire stripper';
const LABELS = 'tape and pen for labels';
const METER = 'meter';

/** Carried whatever is done. */
const ALWAYS = ['torch', LABELS] as const;

export function toolsFor(draft: Draft, wiring: Wiring): readonly string[] {
  switch (draft.action) {
    case 'lift':
      return [LABELS, SCREWDRIVER];
    case 'land':
      return [STRIPPER, SCREWDRIVER];
    case 'link':
      return isClip(draft) ? [] : [STRIPPER, SCREWDRIVER, 'short piece of 18 AWG'];
    case 'unlink':
      return isClip(draft) ? [] : [SCREWDRIVER];
    case 'cap':
      return ['tape or a wire nut'];
    case 'splice':
      return [STRIPPER, 'lever connector or wire nut'];
    case 'pull':
      return ['tape', 'pull line'];
    case 'check':
    case 'power-off':
      return [METER];
    case 'mount':
      return toolsToMount(draft, wiring);
    case 'power-on':
      return [];
  }
}

/** What is put in or taken out without a wire; a link that is only seen to is in the device. */
function isClip({ change }: Draft): boolean {
  if (change === null) return true;
  return change?.kind === 'link-on' || change?.kind === 'link-off' ? change.link.kind !== 'wire' : false;
}

function toolsToMount({ change, what }: Draft, wiring: Wiring): readonly string[] {
  // What a licensed person puts in, they bring the tools for.
  if (change?.kind === 'transformer') return [];
  if (change?.kind === 'device-off') return ['screwdriver'];
  const kind = wiring.devices.find((device) => device.id === what)?.kind;
  if (kind === 'new-thermostat') return ['level', 'screwdriver', 'drill and anchors'];
  return kind === 'adapter' || kind === 'receiver' ? ['screwdriver'] : [];
}

/** Straight, no nick, and no bare copper outside the terminal: so much comes off where an end is landed. */
export function stripFor(draft: Draft): string | null {
  const { action } = draft;
  if (action === 'link' && isClip(draft)) return null;
  return action === 'land' || action === 'link' || action === 'splice' ? '6 to 10 mm (1/4 to 3/8 in)' : null;
}

/** All that has to be in the bag for these moves. */
export function bagFor(moves: readonly { readonly tools: readonly string[] }[]): string[] {
  return [...new Set([...ALWAYS, ...moves.flatMap((move) => move.tools)])];
}
