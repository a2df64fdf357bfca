import { WITHOUT_MODEL } from '../../trade/machine-kinds';
import type { SystemParams } from '../../findings/params';
import { FAMILY_NAMES, type Family } from '../../trade/vocabulary';
import { percent, plural } from '../text';
import type { Sentences } from './sentences';

const familyList = (families: readonly Family[]) => families.map((family) => FAMILY_NAMES[family]).join(', ');

export const SYSTEM: Sentences<SystemParams> = {
  'line-voltage': () =>
    'This is mains voltage: shock and fire. Put the cover back on, leave the wires alone, and have a licensed person fit a thermostat made for line voltage.',
  'mains-controls': () =>
    'These are mains heating controls: 230 V at the room thermostat and the programmer. Leave the covers on. They are recorded under Wiring centre, and planned by what each wire does; somebody competent fits a controller with every supply off.',
  millivolt: () =>
    'A millivolt heater: under 1 V from its own flame. Never connect 24 V to it. Only a battery thermostat made for millivolt belongs here.',
  'data-conductors': () =>
    'These wires carry data between the machine and its own control. No ordinary thermostat belongs on them: stay with its own kind, or have the control board replaced.',
  'voltage-class-unsettled': (fact) => {
    switch (fact.what) {
      case 'under-one-volt':
        return 'Under 1 V: either the supply is off, or this is a millivolt heater. Never connect 24 V to it. Find out which before going on.';
      case 'between':
        return 'The meter reads a voltage between the classes: it settles nothing. Measure again with a load on (a call open and closed), once on AC and once on DC; until then connect nothing.';
      case 'two-wires':
        return 'Two wires, and nobody has measured them: a heater with a standing pilot has two wires as well, and 24 V burns it. Measure between the two at the wall before anything with a voltage is connected.';
      case 'not-settled':
        return 'The voltage class is not settled yet: look at the wires and the marks, or have it measured.';
      case 'before-buying':
        return 'Whether this is a 24 V system is not settled: buy nothing before it is.';
      case 'still-possible': {
        const still = [
          fact.line === null ? [] : `mains (${percent(fact.line)})`,
          fact.millivolt === null ? [] : `a millivolt heater (${percent(fact.millivolt)})`,
          fact.data === null ? [] : `data wires (${percent(fact.data)})`
        ].flat();
        return `The voltage is not known: still possible: ${still.join(', ')}. Touch no wire until it is settled.`;
      }
    }
  },
  'system-unknown': (fact) => {
    switch (fact.what) {
      case 'ask':
        return 'What the wires drive is not known yet. Answer the next question on System first.';
      case 'nothing-to-power':
        return 'The system is not known: there is nothing to power up.';
      case 'no-wiring-after':
        return 'There is no wiring after: no way is open.';
      case 'fits-none':
        return 'What is recorded fits no system that Ulterum knows.';
      case 'still-possible':
        return `The system is not known yet. Still possible: ${familyList(fact.families)}.`;
    }
  },
  'system-unsettled': (fact) =>
    fact.what === 'before-buying'
      ? 'What the thermostat would drive is not settled: answer the questions on System first. Buying before that is how thermostats come back.'
      : `The system is not settled. Solved for each that is still believable: ${familyList(fact.families)}.`,
  'evidence-disagrees': ({ evidence, against, family }) => {
    const met = family === null ? ' in any system' : ` with “${FAMILY_NAMES[family]}”`;
    const other = against === null ? '' : ` On the other side: ${against}`;
    return `${evidence} That is rare${met}. Look again.${other}`;
  },
  'stated-against-evidence': ({ stated, evident, probability }) =>
    `You say “${FAMILY_NAMES[stated]}”. What is recorded speaks for “${FAMILY_NAMES[evident]}” (${percent(probability)}). Your word is taken; make sure of it at the machine’s plate.`,
  'mark-ambiguous': ({ conductor, mark, readings }) =>
    `The ${conductor} wire is on ${mark}, which may be: ${readings.map(({ means, decidedBy }) => `${means} (if ${decidedBy})`).join('; or ')}. Read its other end before you go on it.`,
  'wire-not-explained': ({ riddle, conductor, wall, far, machine }) => {
    switch (riddle) {
      case 'far-mark':
        return `Nobody knows what ${far} at the ${machine} is, and the ${conductor} wire is landed on it: it does something. Look up ${far} in the diagram inside the door and say at that terminal what it means. Until then this wire stays where it is.`;
      case 'near-mark':
        return `Nobody knows what ${wall} on the old plate is. The ${conductor} wire on it ends on ${far} at the ${machine}, so it is taken for that. Check that it is the same wire at both ends.`;
      case 'ends-differ':
        return `The ${conductor} wire is on ${wall} at the wall and on ${far} at the ${machine}, and the two do not fit. With the power off, measure it from end to end: is it one and the same wire? Until that is recorded it stays where it is.`;
      case 'third-wire':
        return `The ${conductor} wire on ${far} is a third wire on a machine that heats with two. On old three-wire valves and boilers it closes what the other wire opens, and a thermostat with one heat contact cannot work it: that takes a changeover relay, or a valve of today’s kind. Follow it and say at the terminal what ${far} means; until then it stays where it is.`;
      case 'unread':
        return `Nobody knows what ${wall} on the old plate is, and nobody has seen the other end of the ${conductor} wire on it. Read at the machine which screw it is on; until then it stays where it is.`;
      case 'no-job':
        return `Nothing in such a machine is known to use ${far}, where the ${conductor} wire is landed. Follow the wire, or look up ${far} in the diagram inside the door, and say at the terminal what it means. Until then it stays where it is.`;
    }
  },
  'machine-not-modelled': ({ machine, kind }) =>
    `What ${machine} does between its terminals is not known here, so no way can be proven for it. It takes: ${WITHOUT_MODEL[kind]}. Keep the old thermostat, or have a heating technician plan it.`,
  'ends-not-matched': ({ count }) =>
    `${count} ${plural(count, 'end', 'ends')} found at the equipment ${plural(count, 'is', 'are')} not matched with the wall yet: no plan uses ${plural(count, 'it', 'them')}.`,
  'common-not-traced': ({ spot, machine }) =>
    `One finding says that ${spot} of ${machine} is common. A second one, made in another way, has to agree before anything is landed there.`,
  'common-traces-disagree': ({ spots, machine }) =>
    `The findings on the common of ${machine} disagree (${spots.join(' and ')}). Land nothing: one of them is wrong. Look again, or have a technician say.`
};
