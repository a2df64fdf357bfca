/** The one next step in words: short, and what to do with the hands. */
import { counted, within } from '../words/text';
import { lookText } from './look-words';
import type { NextStep } from './next-step';

export function nextStepText(step: NextStep): string {
  switch (step.what) {
    case 'stopped':
      return 'Stop: read why before you touch anything';
    case 'put-right':
      return 'Put the record right: it says something that cannot be';
    case 'wrong-already':
      return 'Something is wrong already: see what, before anything else';
    case 'way-closed':
      return 'The way you chose is closed here: see why, and choose another';
    case 'none-open':
      return 'No way of feeding this thermostat is open here: see why, or choose another';
    case 'too-much-together':
      return 'Together the thermostats ask for more than their transformer gives: see what would do';
    case 'licensed':
      return 'These steps are for a licensed person: show the list';
    case 'nothing-to-do':
      return 'Nothing has to be changed: keep the record';
    case 'power-off':
      return step.first
        ? 'Switch the power off, then take the cover off the thermostat'
        : 'Switch the power off and prove it, before the first screw';
    case 'record-wires':
      return 'Touch the letters that have a wire behind the thermostat';
    case 'read-wall':
      return `Look behind the thermostat: ${counted(step.count, 'wire is', 'wires are')} not read there yet`;
    case 'read-equipment':
      return `Go to the ${step.machine === '' ? 'equipment' : within(step.machine)}: read which screws ${counted(step.count, 'wire is', 'wires are')} on`;
    case 'look':
      return lookText(step.at);
    case 'answer':
      return step.ask;
    case 'choose-thermostat':
      return 'Choose a thermostat';
    case 'does-not-fit':
      return 'This thermostat does not fit here: choose another';
    case 'undecided':
      return `Not decided yet: see what ${counted(step.count, 'way waits', 'ways wait')} for`;
    case 'choose-way':
      return `Choose how to feed it. Best so far: ${within(step.title)}`;
    case 'do':
      return `Next of ${counted(step.left, 'step', 'steps')}: ${step.move}`;
    case 'power-up':
      return 'All steps are done: power it up, and watch for a minute';
    case 'find-out':
      return 'It does not work yet: find out why, one look at a time';
    case 'set-up':
      return 'It is lit: set it up before anything runs';
    case 'test':
      return 'Test it: every call by itself, in this order';
    case 'hand-over':
      return 'Hand it over: the sheet into the furnace door';
    case 'closed':
      return 'This job is closed: see what is still due';
    default:
      return mainsStepText(step);
  }
}

type MainsStep = Extract<NextStep, { readonly what: `mains-${string}` }>;

function mainsStepText(step: MainsStep): string {
  switch (step.what) {
    case 'mains-devices':
      return 'Write down which devices there are: timer, thermostats, valves, pump, boiler';
    case 'mains-wires':
      return step.count === 0
        ? `Write down which wire is on which ${step.hub === 'boiler' ? 'terminal of the boiler' : 'number of the wiring centre'}`
        : `Read the rest of the wires: ${counted(step.count, 'end is', 'ends are')} not read yet`;
    case 'mains-choose':
      return 'Choose a controller, and what it replaces';
    case 'mains-who':
      return 'Say who does the work: this is 230 V';
    case 'mains-work':
      return 'The steps are for somebody competent: off and proven dead first';
  }
}
