/** What cannot be said of a house as long as nobody can explain one of its wires. */
import { rolesCalled } from '../devices/calls';
import { roleOf } from '../devices/roles';
import type { World } from '../devices/world';
import type { Finding, FindingOf } from '../findings/finding';
import { requestsOf, type Call } from '../trade/calls';
import { isHot } from '../trade/terminals';
import { landedMark, type Strand, type Wiring } from '../wiring/graph';
import type { Unexplained } from './explain';

type HurtBySilence = FindingOf<
  'compressor-without-blower' | 'strips-without-blower' | 'burner-without-blower'
>;

/** What hurts because something does not run. */
function isHurtBySilence(said: Finding): said is Finding & HurtBySilence {
  const { code } = said;
  return (
    code === 'compressor-without-blower' ||
    code === 'strips-without-blower' ||
    code === 'burner-without-blower'
  );
}

/**
 * The same where a wire that nobody can explain is landed at both ends: it does something, so that something does not run is not known. What is
 * dead is not said then; what would hurt is a caution with the names of the wires that may prevent it.
 */
export function doubted(
  findings: readonly Finding[],
  riddles: readonly Unexplained[],
  wiring: Wiring,
  worlds: readonly World[]
): readonly Finding[] {
  const asked = riddles.filter((riddle) => riddle.finding.level === 'stop').map(({ strand }) => strand);
  if (asked.length === 0) return findings;
  const wires = wiring.strands.filter(({ id }) => asked.includes(id));
  return findings.flatMap((said): Finding[] => {
    if (said.code === 'dead-today' || said.code === 'dead-before') return [];
    if (!isHurtBySilence(said)) return [said];
    const { call } = said.params;
    const unless = wires
      .filter((strand) => worlds.some((world) => mayCarry(wiring, world, strand, call)))
      .map(({ name }) => name);
    return [unless.length > 0 ? { ...said, level: 'warn', unless } : said];
  });
}

/** Whether a wire may be hot in a call: the thermostat closes its screw then, or what its screw does nobody knows. */
function mayCarry(wiring: Wiring, world: World, { near }: Strand, call: Call): boolean {
  const mark = landedMark(wiring, near);
  const role = roleOf(mark, world);
  if (role === null || mark === null || isHot(mark)) return true;
  return requestsOf(call).some((request) => rolesCalled(request, world).includes(role));
}
