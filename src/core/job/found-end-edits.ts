/** Edits of ends that were found at a machine, before and when it is known which conductor each is. */
import { colourName } from '../trade/colours';
import { at, conductorIn, conductorPath, screwByName, STATES, thermostatIn } from './edits';
import { nextId, type ConductorId, type ThermostatId } from './ids';
import { conductorName } from './names';
import { UNSEEN } from './create';
import type { FoundEnd } from './reading-schema';
import type { ConductorEnd, Job, WhereId } from './schema';
import { batch, setStep, type Step } from './steps';

/** Writes an end down that was found at a machine, before it is known which conductor it is. */
export function addFoundEnd(
  job: Job,
  th: ThermostatId,
  end: Pick<FoundEnd, 'cable' | 'colour' | 'stripe'>,
  { word, where }: { readonly word: string; readonly where: WhereId }
): Step {
  const { foundEnds } = thermostatIn(job, th);
  const label = `End found: ${colourName(end.colour)}`;
  const taken = foundEnds.map((foundEnd) => foundEnd.id);
  const state = STATES.find((candidate) => candidate === word.toLowerCase());
  const named = state ? null : screwByName(job, th, where, word);
  const found: FoundEnd = {
    ...end,
    id: nextId('foundEnd', taken),
    state: state ?? 'landed',
    on: named?.ref ?? null,
    not: []
  };
  return batch(label, [
    ...(named?.steps ?? []),
    setStep(job, at(th, 'foundEnds'), [...foundEnds, found], label)
  ]);
}

/** Confirms that an end found at the equipment belongs to a conductor: the conductor takes it over. */
export function confirmEnd(job: Job, th: ThermostatId, end: FoundEnd, co: ConductorId): Step {
  const thermostat = thermostatIn(job, th);
  const landing: ConductorEnd =
    end.state === 'landed' && end.on
      ? { state: 'landed', on: [end.on] }
      : end.state === 'landed'
        ? UNSEEN
        : { state: end.state, on: [] };
  const label = `Matched: ${conductorName(conductorIn(job, th, co))}`;
  const rest = thermostat.foundEnds.filter((candidate) => candidate.id !== end.id);
  return batch(label, [
    setStep(job, [...conductorPath(th, co), 'far'], landing, label),
    setStep(job, at(th, 'foundEnds'), rest, label)
  ]);
}
