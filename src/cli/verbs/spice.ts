import { findingText } from '$core/words/findings/table';
import { settled } from '$core/circuit/simulate';
import { PLAIN_CASE } from '$core/devices/world';
import { spiceOf } from '$core/formats/spice';
import { powerable } from '$core/plan/powered';
import type { Arguments } from '../arguments';
import { isJob, loadJob, pickThermostat } from '../load';
import { wrongUse, type Outcome } from '../outcome';
import { spiceOutcome } from './mains/circuit';
import { isMains } from './mains/plan';
import { planFromArguments } from './plan';
import { whichAndCall } from './simulate';

/** The circuit of one call as a SPICE netlist. */
export async function spice(args: Arguments): Promise<Outcome> {
  const job = await loadJob(args.file);
  if (!isJob(job)) return job;
  const wanted = whichAndCall(args);
  if ('kind' in wanted) return wanted;
  if (wanted.call === null) return wrongUse('Name a call, for example --call heat1.');
  const point = pickThermostat(job, args);
  if (!('kind' in point) && isMains(point))
    return spiceOutcome(point, args, { which: wanted.which, call: wanted.call });
  const made = planFromArguments(job, args);
  if ('kind' in made) return made;
  const { which, call } = wanted;
  const subject = powerable(made.plan, which);
  if ('code' in subject)
    return { kind: 'bad-file', faults: [fault(made.thermostat.id, findingText(subject))] };
  const circuit = settled(
    subject.wiring,
    subject.world,
    call,
    PLAIN_CASE,
    args.complex ? 'complex' : 'resistive'
  );
  if ('ok' in circuit) return { kind: 'bad-file', faults: [fault(circuit.at, circuit.why)] };
  const { text, analysis, nodes } = spiceOf(
    circuit,
    `${job.name}, ${made.thermostat.name}, ${call}, wiring ${which}`
  );
  return {
    kind: 'result',
    json: {
      thermostat: made.thermostat.id,
      wiring: which,
      call,
      analysis,
      nodes: Object.fromEntries(nodes),
      netlist: text
    },
    page: text.trimEnd()
  };
}

function fault(path: string, found: string) {
  return { path, expected: 'a circuit that can be solved', found };
}
