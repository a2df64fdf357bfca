/** What in a solved circuit would hurt a machine, whatever was wired before. */
import type { CallResult } from '../circuit/simulate';
import { running } from '../circuit/expected';
import { finding, type Finding } from '../trade/findings';
import { callName } from '../trade/calls';
import type { LoadId } from '../trade/vocabulary';

/** Loads that need air over them, and what happens without it. */
const needsAir: readonly {
  load: LoadId;
  code: 'compressor-without-blower' | 'strips-without-blower' | 'burner-without-blower';
  why: string;
}[] = [
  {
    load: 'compressor',
    code: 'compressor-without-blower',
    why: 'the compressor runs and the blower does not. The coil freezes and the compressor is hurt'
  },
  {
    load: 'strips',
    code: 'strips-without-blower',
    why: 'the heating strips glow and the blower does not run. They overheat'
  },
  {
    load: 'burner',
    code: 'burner-without-blower',
    why: 'the burner fires and the blower does not run. It goes off on its limit again and again'
  }
];

export function harmFindings(result: CallResult): Finding[] {
  const because = [`call:${result.call}`];
  const call = callName(result.call);
  const on = running(result.loads);
  const found: Finding[] = [];
  if (!on.includes('blower')) {
    for (const { load, code, why } of needsAir) {
      if (on.includes(load)) found.push(finding('stop', code, `With ${call}, ${why}.`, because));
    }
  }
  for (const supply of result.supplies) {
    if (supply.fuseOpen) {
      const amps = supply.fuseAmps === null ? '' : ` (about ${supply.fuseAmps.toFixed(0)} A)`;
      found.push(
        finding('stop', 'fuse-opens', `With ${call}, ${supply.name} is shorted${amps}: its fuse opens.`, [
          supply.id,
          ...because
        ])
      );
    } else if (supply.amps > supply.ratedAmps) {
      const text = `With ${call}, ${supply.name} gives ${supply.amps.toFixed(2)} A; it is rated for ${supply.ratedAmps.toFixed(2)} A (${supply.ratedVa} VA).`;
      found.push(finding('stop', 'transformer-overloaded', text, [supply.id, ...because]));
    }
  }
  if (result.tied.length > 0) {
    found.push(
      finding(
        'stop',
        'supplies-tied',
        'Two supplies are joined by copper. Nobody can see their polarity or an earth from the wall: they may feed each other and burn.',
        result.tied.flat()
      )
    );
  }
  if (result.chattering.length > 0) {
    found.push(
      finding('stop', 'relay-chatter', `With ${call}, a relay pulls in and lets go without end.`, [
        ...result.chattering,
        ...because
      ])
    );
  }
  if (result.starved.length > 0) {
    found.push(
      finding(
        'warn',
        'coil-starved',
        `With ${call}, a coil gets some voltage but too little to pull in: it hums and warms up.`,
        [...result.starved, ...because]
      )
    );
  }
  return found;
}
