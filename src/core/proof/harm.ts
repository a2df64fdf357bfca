/** What in a solved circuit would hurt a machine, whatever was wired before. */
import { asMetered } from '../trade/figures';
import { ref } from '../findings/refs';
import type { CallResult, SupplyResult } from '../circuit/simulate';
import { running } from '../circuit/expected';
import { finding, type Finding } from '../findings/finding';
import type { Call } from '../trade/calls';
import { PULL_IN_VOLTS } from '../trade/loads';
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
  if (result.starved.length > 0) found.push(starvedFinding(result));
  return found;
}

/** A blade fuse opens at once at twice its rating and more; below that it may hold for minutes. */
const OPENS_AT_ONCE = 2;

function isSlow({ fuseAmps, fuseRating }: SupplyResult): boolean {
  return fuseAmps !== null && fuseRating !== null && fuseAmps < OPENS_AT_ONCE * fuseRating;
}

/** Of several, the one that gets least of what it needs. */
function starvedFinding({ call, starved, coils }: CallResult): Finding {
  const own = coils.filter(({ part }) => starved.some(({ id }) => id === part.id));
  const worst = own.reduce<{ volts: number; pullIn: number }>(
    (least, coil) => (coil.volts / coil.pullIn < least.volts / least.pullIn ? coil : least),
    own[0] ?? { volts: 0, pullIn: PULL_IN_VOLTS }
  );
  const fact = { call, volts: asMetered(worst.volts, 0.1), pullIn: worst.pullIn };
  return finding('warn', 'coil-starved', fact, [...starved, ref.call(call)]);
}

function supplyHarm(supply: SupplyResult, call: Call): Finding[] {
  const because = [supply.part, ref.call(call)];
  const { name, amps, ratedAmps, ratedVa, fuseAmps } = supply;
  if (supply.fuseOpen)
    return [
      finding(
        'stop',
        'fuse-opens',
        {
          call,
          supply: name,
          amps: fuseAmps === null ? null : asMetered(fuseAmps, 1),
          fuse: supply.fuseRating === null ? 'unseen' : isSlow(supply) ? 'slow' : 'opens'
        },
        because
      )
    ];
  if (amps <= ratedAmps) return [];
  const fact = { call, supply: name, amps: asMetered(amps, 0.01), ratedAmps, ratedVa };
  return [finding('stop', 'transformer-overloaded', fact, because)];
}
