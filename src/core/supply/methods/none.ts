import { ref } from '../../findings/refs';
import { stopFindings } from '../../safety/standing';
import { finding, type Finding } from '../../findings/finding';
import type { Method, SupplySituation, Variant } from '../types';

const REPAIR: Variant = { id: 'repair', title: 'The repair alone; the old thermostat stays' };

/** Leave it. Always open, but no advice for a house that is being harmed; with a repair, that may be made alone. */
export const none: Method = {
  id: 'none',
  title: 'Leave it as it is',
  how: 'The old thermostat stays, or somebody licensed takes over.',
  standing: 'left',
  variants: ({ repairs }) =>
    repairs.length === 0 ? [] : [REPAIR, { id: 'as-it-is', title: 'Nothing is touched' }],
  offer(situation, variant) {
    const repair = variant === REPAIR.id;
    return {
      after: repair ? situation.mended : situation.found,
      findings: repair ? situation.repairFindings : leaving(situation),
      loses: [{ what: 'no-connected' }],
      parts: [],
      extraMinutes: 0
    };
  }
};

function leaving({
  identification,
  thermostat,
  today,
  assumed,
  repairs,
  riddles
}: SupplySituation): Finding[] {
  const because = [ref.thermostat(thermostat.id)];
  const licensed =
    stopFindings(thermostat).length > 0 ||
    identification.findings.some((candidate) => candidate.level === 'stop');
  if (licensed) return [finding('warn', 'call-licensed-person', { what: 'leave' }, because)];
  const harms = today.filter(({ level, unless }) => level === 'stop' || unless !== undefined);
  if (harms.length === 0) return [finding('note', 'keep-the-old', {}, because)];
  const about = harms.flatMap((harm) => harm.because);
  // What rests on an end that nobody has read, on one of several systems or on a wire that nobody can explain may be no harm at all.
  const certain =
    assumed.length === 0 && harms.some(({ worlds, unless }) => worlds === undefined && unless === undefined);
  if (repairs.length > 0)
    return [finding(certain ? 'stop' : 'warn', 'leaving-it-harms', { mending: 'here' }, about)];
  const mending = riddles.length > 0 ? 'after-the-question' : 'by-somebody-else';
  const asked = finding('warn', 'leaving-it-harms', { mending }, about);
  return certain ? [asked, finding('warn', 'call-licensed-person', { what: 'leave' }, because)] : [asked];
}
