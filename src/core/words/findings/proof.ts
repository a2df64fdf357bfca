import type { AtLimits, Overload, ProofParams } from '../../findings/params';
import { callName, type Call } from '../../trade/calls';
import { LOAD_NAMES } from '../../trade/loads';
import type { LoadId } from '../../trade/vocabulary';
import { capital, plural } from '../text';
import type { Sentences } from './sentences';

const WORST = 'In the worst case';
const loadList = (loads: readonly LoadId[]) => loads.map((load) => LOAD_NAMES[load]).join(', ');
const callList = (calls: readonly Call[]) => calls.map(callName).join(', ');
const withCall = (call: Call) => `With ${callName(call)}`;

function overload({ call, supply, amps, ratedAmps, ratedVa }: Overload): string {
  return `${withCall(call)}, ${supply} gives ${amps.toFixed(2)} A; it is rated for ${ratedAmps.toFixed(2)} A (${ratedVa} VA).`;
}

function shorted({ call, supply, amps, fuse }: ProofParams['fuse-opens']): string {
  const flows = amps === null ? '' : ` (about ${amps.toFixed(0)} A)`;
  const then = {
    opens: 'its fuse opens.',
    slow: 'its fuse opens, but may hold for minutes first, while wires and transformer get hot.',
    unseen:
      'nobody has seen a fuse. Where there is one, it opens; where there is none, the transformer burns.'
  }[fuse];
  return `${withCall(call)}, ${supply} is shorted${flows}: ${then}`;
}

function gives({ call, supply, amps, thermostats }: AtLimits): string {
  const crowd = thermostats > 1 ? ` called by all ${thermostats} thermostats on it` : '';
  return `${supply} gives ${amps.toFixed(2)} A with ${callName(call)}${crowd}`;
}

const rated = (va: number, volts: number) => `${(va / volts).toFixed(2)} A (${va} VA)`;

export const PROOF: Sentences<ProofParams> = {
  'thermostat-unfed': ({ calls, volts }) => {
    if (calls.length > 1)
      return `The thermostat gets too little at its own terminals in ${calls.length} calls (${callList(calls)}): its display dies.`;
    const got = volts === null ? 'nothing' : `${volts.toFixed(1)} V`;
    return `${withCall(calls[0] ?? 'idle')}, the thermostat gets ${got} at its own terminals: its display dies.`;
  },
  'thermostat-overfed': ({ call, volts }) =>
    `${withCall(call)}, the thermostat gets ${volts.toFixed(1)} V at its own terminals: more than it stands.`,
  'function-lost': ({ call, loads }) =>
    `${capital(callName(call))} is lost: ${loadList(loads)} no longer ${plural(loads.length, 'runs', 'run')}.`,
  'dead-before': ({ call, loads }) =>
    `${capital(callName(call))} does not start ${loadList(loads)} today, and will not afterwards. If it works in the house, an end was read wrongly.`,
  'dead-today': ({ call, loads }) =>
    `${capital(callName(call))} does not start ${loadList(loads)}. If it works in the house, an end was read wrongly.`,
  'made-to-work': ({ call, loads }) =>
    `${capital(callName(call))} starts ${loadList(loads)}, which it does not today.`,
  'load-runs-uncalled': ({ call, loads }) =>
    `${withCall(call)}, ${loadList(loads)} ${plural(loads.length, 'runs', 'run')} though nobody calls for it.`,
  'compressor-without-blower': ({ call }) =>
    `${withCall(call)}, the compressor runs and the blower does not. The coil freezes and the compressor is hurt.`,
  'strips-without-blower': ({ call }) =>
    `${withCall(call)}, the heating strips glow and the blower does not run. They overheat.`,
  'burner-without-blower': ({ call }) =>
    `${withCall(call)}, the burner fires and the blower does not run. It goes off on its limit again and again.`,
  'fuse-opens': (fact) => shorted(fact),
  'transformer-overloaded': overload,
  'overloaded-together': (fact) => {
    const what = 'ratedVa' in fact ? overload(fact) : shorted(fact);
    return `${what} (All ${fact.thermostats} thermostats on it call at once.)`;
  },
  'supplies-tied': () =>
    'Two supplies are joined by copper. Nobody can see their polarity or an earth from the wall: they may feed each other and burn.',
  'relay-chatter': ({ call }) => `${withCall(call)}, a relay pulls in and lets go without end.`,
  'coil-starved': ({ call, volts, pullIn }) =>
    `${withCall(call)}, a coil gets ${volts.toFixed(1)} V of the ${pullIn} V that pull it in: it hums and warms up.`,
  'held-on': ({ after, call, loads, chatters, volts }) => {
    const what = loads.length > 0 ? loadList(loads) : 'a relay';
    const does = chatters ? 'goes on and off without end' : `never ${loads.length > 1 ? 'stop' : 'stops'}`;
    const where = call === 'idle' ? 'when nothing is called any more' : `in ${callName(call)}`;
    return `After ${callName(after)}, ${what} ${does} ${where}: what the thermostat draws through its coil, ${volts.toFixed(1)} V, holds it in.`;
  },
  'no-circuit': ({ system }) => `No circuit is known for ${system}: nothing can be proven for it.`,
  'circuit-not-solvable': ({ why }) => `The circuit cannot be solved: ${why}.`,
  'values-assumed': ({ cable, transformer }) => {
    const what = [
      cable ? ['length or gauge of the cable (22 AWG and 30 m are taken)'] : [],
      transformer ? ['size of the transformer (40 VA is taken)'] : []
    ].flat();
    return `Not recorded: ${what.join('; ')}.`;
  },
  'limits-not-bounded': () =>
    'With diodes in the circuit, the least and the most volts are those of the usual worst cases, not bounds: measure R to C in each call once all is on.',
  'volts-at-limits': ({ side, volts, calls }) =>
    side === 'low'
      ? `${WORST} (mains 10 % low, every coil and joint poor), the thermostat gets ${volts.toFixed(1)} V (${callList(calls)}), which is less than it needs. Measure R to C once all is on.`
      : `${WORST} (mains 10 % high, little drawn), the thermostat gets ${volts.toFixed(1)} V (${callList(calls)}), which is more than its sheet stands. Measure R to C with nothing on.`,
  'load-at-limits': (fact) => {
    const called = `${callName(fact.call)} called`;
    switch (fact.what) {
      case 'lost': {
        const many = fact.loads.length > 1;
        return `${WORST} (mains 10 % low) and ${called}, ${loadList(fact.loads)} no longer ${many ? 'pull' : 'pulls'} in, though ${many ? 'they do' : 'it does'} today. Measure across the coil.`;
      }
      case 'uncalled':
        return `${WORST} and ${called}, ${loadList(fact.loads)} may run though nobody called for it.`;
    }
  },
  'overloaded-at-limits': (fact) => {
    const already = fact.todayAmps === null ? '' : ` Today it is ${fact.todayAmps.toFixed(2)} A already.`;
    const taken = fact.read ? 'it is rated' : 'it is taken to be rated';
    return `${WORST} (mains 10 % high, every coil a quarter above its plate), ${gives(fact)}; ${taken} for ${rated(fact.ratedVa, fact.nominalVolts)}.${already} Add up the plates of the coils, or measure the current.`;
  },
  'transformer-unread': (fact) =>
    `Nobody has read the size of the transformer. ${WORST}, ${gives(fact)}; the smallest ones are rated for ${rated(fact.leastVa, fact.nominalVolts)}. Read its plate first.`,
  'device-may-complain': ({ model, mark }) =>
    `Between ${mark} and C there is no voltage to be found: ${mark} belongs to another transformer, whose common is not here. The ${model} may report a wiring fault for it. The circuit shows that both sides work; its own sheet says how such a report is put aside.`
};
