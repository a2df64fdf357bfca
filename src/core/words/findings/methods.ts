import type { MethodParams } from '../../findings/params';
import { FAMILY_NAMES } from '../../trade/vocabulary';
import type { Sentences } from './sentences';

export const METHODS: Sentences<MethodParams> = {
  'no-common-found': ({ what }) =>
    what === 'cable'
      ? 'No wire of the thermostat cable is on C at the equipment.'
      : 'At the wall it needs a C wire, and none is landed at both ends.',
  'common-one-ended': (fact) =>
    fact.what === 'carries-none'
      ? `The ${fact.conductor} wire is on C at the wall but on nothing at the equipment: it is no C wire yet.`
      : `The ${fact.conductor} wire is on ${fact.mark} at the wall and on nothing at the equipment: it carries nothing today. Its far end is landed on C.`,
  'end-not-read': (fact) => {
    switch (fact.what) {
      case 'on-c':
        return `The ${fact.conductor} wire is on C at the wall; nobody has seen its other end. Read it at the equipment: landed at the wall proves nothing about the other end.`;
      case 'on-mark':
        return `The ${fact.conductor} wire is on ${fact.mark} at the wall; nobody has seen its other end. Read it before it is moved.`;
      case 'wall-unreadable':
        return `The ${fact.conductor} wire is on ${fact.mark} at the wall, which nobody can read, and its other end was not seen. Find that end before anything is moved.`;
      case 'before-moved':
        return `Nobody has seen the equipment end of the ${fact.conductor} wire. Read it before it is moved.`;
      case 'new-cable':
        return 'Nobody has seen the equipment end of every wire: read them before the old cable comes out.';
      case 'no-conductor':
        return 'No wire is recorded yet: read the wall first.';
      case 'open':
        return fact.conductors.length > 3
          ? `Nobody has seen both ends of ${fact.conductors.length} wires. Read them first.`
          : `Nobody has seen both ends of: ${fact.conductors.join(', ')}. Read them first.`;
      case 'assumed':
        return `Nobody has seen the equipment end of: ${fact.conductors.join(', ')}. The proof takes each to be on the same mark; read them before anything is moved.`;
    }
  },
  'stage-not-used': ({ stage, mark, machine, wires }) =>
    `The ${machine} has a second ${stage} stage (${mark}) that no wire uses. A cable with ${wires} wires would use it.`,
  'no-spare': ({ what }) =>
    what === 'none-left'
      ? 'No wire would be left over for what comes later.'
      : what === 'elsewhere'
        ? 'The spare wires are in a cable that ends at another machine than the one that has the common.'
        : 'No wire is free at both ends. Look once more into the wall and round the sheath at the equipment.',
  'spare-one-ended': ({ conductor }) =>
    `The ${conductor} wire is free at the wall; nobody has found it at the equipment. Find it there (same cable, same colour) and this way may open.`,
  'continuity-not-proven': ({ conductor }) =>
    `With the power off, prove that the ${conductor} wire is one and the same at both ends: join it to another at one end and measure at the other.`,
  'continuity-broken': ({ conductor }) =>
    `The ${conductor} wire measured open: it is broken somewhere on the way.`,
  'board-mark-missing': ({ machine, read }) => {
    if (machine === null) return 'No machine is recorded: read the equipment end first.';
    return !read
      ? `Nobody has looked at the board of ${machine} yet: open its door, power off, and write down which letters its screws have. Is one of them C?`
      : `No terminal marked C is recorded at ${machine}. Look again at its board; if it has none, trace the transformer’s other side (Wires, “Find the common”): nothing is landed on what was not read.`;
  },
  'screw-not-read': ({ machine, mark }) =>
    `Nobody knows what ${mark === '' ? 'the screw without a mark' : mark} at ${machine} is for. Look it up in the diagram inside the door, and say at that terminal what it means.`,
  'fan-conductor-missing': (fact) =>
    fact.what === 'none'
      ? 'No wire is on G at both ends: there is none to turn into the C wire.'
      : `No wire is on ${fact.mark} at both ends: both Y and G are needed to put two calls on one wire.`,
  'not-for-this-family': ({ family, sure }) =>
    `Never take G away from electric heat or a heat pump; this ${sure ? 'is' : 'may be'}: ${FAMILY_NAMES[family]}.`,
  'local-code': () =>
    'Some local codes and makers do not allow the fan wire to be used so: theirs is the last word.',
  'no-outlet': () => 'There is no outlet in reach of the thermostat.',
  'outlet-not-known': () => 'Make sure that an outlet is in reach that no switch turns off.',
  'rails-not-separable': ({ what, model }) =>
    `The ${model} ${what === 'one-r' ? 'has one R only' : 'joins RH and RC inside'}: a second supply asks for RH and RC with a jumper that comes out.`,
  'cord-not-in-wall': ({ hidden }) =>
    hidden
      ? 'The supply’s own flexible cord may not run inside the wall in most codes: only cable that is listed for it, from a low-voltage box of its own beside the outlet. Look for mains cables before the wall is opened.'
      : 'The cord runs down the face of the wall or in a raceway. Inside a wall only listed low-voltage cable may run, in most codes.',
  'cable-stapled': ({ cables }) =>
    `${cables.join(', ')}: stapled in the wall. It cannot serve as a leader, and pulling hard tears it.`,
  'brittle-insulation': ({ cables }) =>
    `${cables.join(', ')}: the insulation cracks when it is bent. Move each wire as little as you can, put a sleeve over it wherever copper shows, and leave no bare spot that can touch another.`,
  'cable-path-unknown': () =>
    'Pull gently at the cable at both ends first: if it does not give, it is stapled, and this way is closed.',
  'hidden-splice': (fact) =>
    fact.what === 'on-the-way'
      ? 'There is a joint on the way: the old cable may part there when it is pulled. Tie a pull line to it as well.'
      : `The ${fact.conductor} wire changes colour on the way: a hidden joint. Only a continuity check tells the ends apart.`,
  'device-needs-supply': ({ model }) => `The ${model} needs a constant supply.`,
  repair: (fact) => {
    switch (fact.what) {
      case 'land-loose-end':
        return `Put right with it: the ${fact.conductor} wire is loose at the ${fact.machine} and is landed on ${fact.mark} there, once it is proven to be the same wire.`;
      case 'move-wrong-end':
        return `Put right with it: the ${fact.conductor} wire is on ${fact.wall} at the wall and on ${fact.from} at the equipment. Its equipment end moves to ${fact.to}.`;
      case 'add-y-g-link':
        return `Put right with it: the fan wire was given away, so cooling runs without air. A jumper joins Y to G at the ${fact.machine}.`;
      case 'remove-y-g-link':
        return `Put right with it: a jumper from Y to G at the ${fact.machine} is left over, so the fan alone starts the compressor. It comes out.`;
      case 'restore-fan':
        return `Put right with it: the fan gets its own wire again, and the jumper from Y to G at the ${fact.machine} comes out.`;
      case 'part-supplies':
        return `Put right with it: a jumper between ${fact.a} and ${fact.b} at the ${fact.end} ties two supplies. It comes out.`;
      case 'replace-broken':
        return `Put right with it: the ${fact.conductor} wire was measured open. The spare ${fact.spare} wire takes its place at both ends.`;
      case 'remove-old-supply':
        return `Put right with it: ${fact.name} is no longer needed. It is unplugged, and its cord goes.`;
    }
  },
  'leaving-it-harms': ({ mending }) => {
    const harmed = 'To leave it as it is would leave it being harmed';
    if (mending === 'here') return `${harmed}: make at least the repair.`;
    return mending === 'after-the-question'
      ? `${harmed}. It can be put right once the question about its wires is answered; until then keep it switched off, or have a heating technician look at it.`
      : `${harmed}, and no repair is known here: have a heating technician look at it.`;
  },
  'keep-the-old': () => 'The old thermostat goes on working as it does today.',
  'call-licensed-person': ({ what }) =>
    what === 'leave'
      ? 'Leave the wires alone and have a licensed person look at it.'
      : 'The new transformer is joined to the mains: that takes a licensed person in most places, and a junction box with a cover.',
  'terminal-moved': (fact) => {
    switch (fact.what) {
      case 'other-common':
        return `The ${fact.conductor} wire is the common of another transformer: it stays off, since two commons on one terminal tie the supplies.`;
      case 'nothing-behind':
        return `The ${fact.conductor} wire is fixed at the wall but on nothing at the equipment: it stays off, wrapped back.`;
      case 'by-function':
        return `The ${fact.conductor} wire was on ${fact.wall} at the wall and is on ${fact.far} at the equipment: it goes to ${fact.to}.`;
    }
  },
  'second-supply-off': ({ what }) =>
    what === 'plug'
      ? 'From then on the thermostat has a supply of its own: pull the plug as well before anybody works on it.'
      : 'From then on two supplies reach the thermostat: both are cut before anybody works on it.',
  'device-has-no-combined': ({ model }) =>
    `The ${model} has no combined terminal: its maker has no adapter for it.`,
  'device-has-no-receiver': ({ model }) => `The ${model} is wired at the wall; it has no receiver.`,
  'adapter-mounting': () =>
    'The adapter is screwed to bare metal inside the machine, clear of insulation and of anything hot or moving.',
  'adapter-ends-agree': ({ common, shared }) =>
    `Both ends have to agree: the ${common} wire is the C wire at both, the ${shared} wire carries both calls.`,
  'adapter-not-for-this': (fact) => {
    switch (fact.what) {
      case 'two-transformers':
        return 'Not with two transformers at the wall: the adapter takes R and C of one, unless its maker says otherwise.';
      case 'two-heat-stages':
        return 'Not where two heat stages are in use, unless the maker of the adapter says so.';
      case 'heat-pump':
        return 'On a heat pump only where the maker of the adapter allows it: ask its sheet.';
      case 'sheet':
        return `By its sheet, the ${fact.model} ${fact.adapters === 'own' ? 'takes only the adapter that comes in its box' : 'takes no adapter'}.`;
      case 'sheet-silent':
        return `The sheet of the ${fact.model} says nothing of adapters and splitters, and silent is not allowed: ask its maker first.`;
    }
  },
  'room-behind-plate': () =>
    'The splitter needs room behind the plate, and its leads keep their polarity: Y to Y, G to G.',
  'more-joints': () =>
    'More joints than any other way: tug each, and keep the sheet of the module with the machine.',
  'radio-must-reach': () =>
    'Try the radio before anything is fixed: hold the wall part where it will hang, with the machine’s door closed.',
  'cable-too-few': ({ conductors, used }) => `A cable of ${conductors} wires is too few: ${used} are in use.`,
  'common-behind-switch': ({ machine }) =>
    `The transformer of the ${machine} hangs behind the burner’s switch or a limit: the C wire dies with it, and the thermostat goes dark. A supply of its own stays on.`,
  'adapter-not-read': ({ name }) =>
    `Nobody knows every terminal of ${name}: read what is printed beside each, and which wire is on it, before anything is moved.`,
  'old-adapter-in-line': ({ name }) =>
    `The ${name} is between the wires and the board. It belongs to the old thermostat and comes out; its wires go to the board’s own terminals. Only the new thermostat’s own sheet can say that it may stay.`,
  'transformer-exchange': ({ machine, va, takenVa, plannedVa }) =>
    `The transformer of ${machine} (${va ?? `taken as ${takenVa}`} VA) is replaced by one of ${plannedVa} VA, Class 2, by a licensed person: its other side is mains. Its fuse and its place have to suit it.`
};
