/** What in a solved circuit would hurt a machine, whatever was wired before. */
import { asMetered } from '../trade/figures';
import { ref } from '../findings/refs';
import type { CallResult, SupplyResult } from '../circuit/simulate';
import { running } from '../circuit/expected';
import { finding, type Finding } from '../findings/finding';
import type { Call } from '../trade/calls';
import type { LoadId } from '../trade/vocabulary';

/** Loads that need air over them. */
const NEEDS_AIR: readonly (readonly [
  LoadId,
  'compressor-without-blower' | 'strips-without-blower' | 'burner-without-blower'
])[] = [
  ['compressor', 'compressor-without-blower'],
  ['strips', 'strips-without-blower'],
  ['burner', 'burner-without-blower']
];

export function harmFindings(result: CallResult): Finding[] {
  const { call } = result;
  const because = [ref.call(call)];
  const on = running(result.loads);
  const found: Finding[] = on.includes('blower')
    ? []
    : NEEDS_AIR.filter(([load]) => on.includes(load)).map(([, code]) =>
        finding('stop', code, { call }, because)
      );
  found.push(...result.supplies.flatMap((supply) => supplyHarm(supply, call)));
  if (result.tied.length > 0) found.push(finding('stop', 'supplies-tied', {}, result.tied.flat()));
  if (result.chattering.length > 0)
    found.push(finding('stop', 'relay-chatter', { call }, [...result.chattering, ...because]));
  if (result.starved.length > 0)
    found.push(finding('warn', 'coil-starved', { call }, [...result.starved, ...because]));
  return found;
}

function supplyHarm(supply: SupplyResult, call: Call): Finding[] {
  const because = [supply.part, ref.call(call)];
  const { name, amps, ratedAmps, ratedVa, fuseAmps } = supply;
  if (supply.fuseOpen)
    return [
      finding(
        'stop',
        'fuse-opens',
        { call, supply: name, amps: fuseAmps === null ? null : asMetered(fuseAmps, 1) },
        because
      )
    ];
  if (amps <= ratedAmps) return [];
  const fact = { call, supply: name, amps: asMetered(amps, 0.01), ratedAmps, ratedVa };
  return [finding('stop', 'transformer-overloaded', fact, because)];
}
