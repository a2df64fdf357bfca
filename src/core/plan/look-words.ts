/** What is worth looking at next, in words: what to do with the hands, and where. */
import { plural } from '../words/text';
import type { LookAt } from './looks';

export function lookText(at: LookAt): string {
  switch (at.what) {
    case 'spares': {
      const count = at.conductors.length;
      return `${count} ${plural(count, 'wire is', 'wires are')} free in the wall, and nobody has looked for ${plural(count, 'it', 'them')} at the machine: go and see whether ${plural(count, 'it is', 'they are')} free there too.`;
    }
    case 'ends':
      return `Read the equipment end of ${at.conductors.length} ${plural(at.conductors.length, 'wire', 'wires')} that nobody has seen.`;
    case 'outlet':
      return 'Look for an outlet near the thermostat.';
    case 'path':
      return 'Pull gently at the cable at both ends: does it give, or is it stapled?';
    case 'mark':
      return `Look up ${at.mark === '' ? 'the screw without a mark' : at.mark} in the diagram inside the door of the ${at.machine}.`;
    case 'same-wire':
      return 'With the power off, measure the wires whose two ends do not fit from end to end.';
    case 'question':
      return at.ask;
  }
}

/** The same in a word or two. */
export function lookShort(at: LookAt): string {
  switch (at.what) {
    case 'spares':
      return 'the wires in the wall';
    case 'ends':
      return 'the unread ends';
    case 'outlet':
      return 'an outlet';
    case 'path':
      return 'does the cable give?';
    case 'mark':
      return at.mark === '' ? 'the screw without a mark' : `what ${at.mark} is`;
    case 'same-wire':
      return 'one wire or two?';
    case 'question':
      return 'what the system is';
  }
}
