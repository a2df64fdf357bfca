import type { MatchParams } from '../../findings/params';
import type { Sentences } from './sentences';

const hotWires = (conductors: readonly string[]) =>
  `Hot wires: ${conductors.join(', ')}. Nobody has seen where each comes from: they may come from two transformers.`;

export const MATCH: Sentences<MatchParams> = {
  'needs-common': (fact) => {
    switch (fact.what) {
      case 'asleep':
        return `On batteries the ${fact.model} works with its radio asleep.`;
      case 'none-landed':
        return 'It needs a C wire (common), and none is landed at both ends: see the ways under C wire.';
      case 'better-with':
        return 'It can run on batteries, but is fully awake only with a C wire: see the ways under C wire.';
    }
  },
  'supply-not-proven': ({ what, model }) =>
    what === 'match'
      ? 'Without a C wire it charges itself through an idle call circuit. How boards take that is not proven here: a C wire is the better way.'
      : `The ${model} draws through an idle call. Some boards take that for a call or chatter: ask its maker about this board, and listen to the relays after power-up.`,
  'missing-terminal': (fact) => {
    switch (fact.what) {
      case 'mark':
        return `The ${fact.conductor} wire is on ${fact.mark} (${fact.means}): the ${fact.model} gives it no place.`;
      case 'role':
        return `It has no terminal for ${fact.role}, which the ${fact.conductor} wire carries today.`;
      case 'role-in-some':
        return `It has no terminal for ${fact.role}, which the ${fact.conductor} wire may carry: settle the system first.`;
      case 'stays-off':
        return `The ${fact.model} has no terminal for what the ${fact.conductor} wire does (${fact.mark} at the equipment): it stays off, wrapped back.`;
    }
  },
  'too-few-stages': ({ stage, model }) =>
    stage === 'heat'
      ? `The board has a second heat stage (W2); the ${model} drives only one.`
      : `The board has a second compressor stage (Y2); the ${model} drives only one.`,
  'no-heat-pump': ({ sure, model }) =>
    sure
      ? `The ${model} cannot drive a heat pump.`
      : `The ${model} cannot drive a heat pump, and this may still be one: settle the system first.`,
  'link-must-suit-supplies': (fact) => {
    switch (fact.what) {
      case 'joined-inside':
        return `Two machines each bring a hot wire of their own. The ${fact.model} joins them inside: two transformers would feed each other.`;
      case 'may-be-joined':
        return `${hotWires(fact.conductors)} The ${fact.model} joins them inside: two transformers would feed each other. Read both ends before it is bought.`;
      case 'may-have-to-be-out':
        return `${hotWires(fact.conductors)} Then the jumper between RH and RC must be out. Read both ends first.`;
      case 'must-be-out':
        return 'Two machines each bring a hot wire of their own: the jumper between RH and RC must be out.';
      case 'cut-for-good':
        return 'The jumper between RH and RC has to be cut for good.';
    }
  },
  'link-to-be-cut': () =>
    'Two machines each bring a hot wire of their own: its jumper between RH and RC is cut, for good.',
  'wrong-voltage-class': ({ model, voltageClass }) =>
    voltageClass === 'line'
      ? `The ${model} is made for 24 V. On mains it burns, and so may the wall.`
      : `The ${model} is made for 24 V; a millivolt heater works on less than one volt.`,
  'device-has-no-common': (fact) =>
    fact.what === 'none'
      ? `The ${fact.model} has no C terminal.`
      : 'Its sheet says that it needs a C wire, yet names no C terminal: check the entry.',
  'device-needs-no-common': (fact) => {
    switch (fact.what) {
      case 'batteries':
        return 'It runs on batteries and needs no C wire.';
      case 'paired':
        return 'Its wired part is at the equipment, where a common is; the part on the wall runs on batteries and speaks by radio.';
      case 'nothing-at-wall':
        return `The wired part of the ${fact.model} is at the equipment: nothing of it is fed at the wall.`;
    }
  },
  'accessory-output': ({ what, accessory }) => {
    switch (what) {
      case 'none':
        return `It has no output for the ${accessory}: that keeps its own control, or does nothing.`;
      case 'none-known':
        return `It has, as far as is known, no output for the ${accessory}: that keeps its own control, or does nothing.`;
      case 'powered':
        return `Its output for the ${accessory} is powered, and the ${accessory} has a relay of its own: join them as both sheets say, never one supply onto another.`;
    }
  },
  'set-up': (fact) => {
    switch (fact.what) {
      case 'one-supply-joined':
        return 'Set that one supply feeds both its sides: it joins RH and RC inside.';
      case 'one-supply-clip':
        return 'One supply: its jumper between RH and RC stays in, unless the way of supplying it says otherwise.';
      case 'fan-open':
        return 'Who runs the blower in heating is not settled: set that the thermostat does (“electric”), which is the safe side.';
      case 'fan-board':
        return 'Set that the machine runs the blower in heating by itself.';
      case 'fan-thermostat':
        return 'Set that the thermostat calls the blower with heat (“electric”).';
      case 'system':
        return fact.systems.length > 1
          ? `Its kind of system cannot be set yet: ${fact.systems.join(', or ')}.`
          : `Set its kind of system to ${fact.systems[0] ?? ''}.`;
      case 'valve':
        return fact.valve === null
          ? 'Its reversing valve is set to O or B: which, the plate of the machine says. Set wrongly, it cools when heat is called.'
          : `Set its reversing valve to ${fact.valve}.`;
    }
  }
};
