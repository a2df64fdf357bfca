import type { RecordParams } from '../../findings/params';
import { and, capital } from '../text';
import type { Sentences } from './sentences';

export const RECORD: Sentences<RecordParams> = {
  'duplicate-id': ({ what, id, numbers }) =>
    `Two ${what} carry the id ${id} (numbers ${and(numbers.map(String))} in the list): give one of them an id of its own.`,
  'too-many': ({ what, count, most }) =>
    `${count} ${what} are recorded; more than ${most} are not worked with here. Remove what does not belong to this job.`,
  'landed-twice': ({ conductor, end, screws }) =>
    `${capital(conductor)} is recorded as landed twice at the ${end} (${and(screws)}). A wire ends once: record the piece between the two as a jumper.`,
  'landed-nowhere': ({ conductor, end }) =>
    `${capital(conductor)} is recorded as landed at the ${end}, but not on which terminal.`,
  'on-terminal-but-not-landed': ({ conductor, end, state, screws }) =>
    `${capital(conductor)} is recorded as ${state} at the ${end} and yet on ${screws.join(', ')}.`,
  'device-gone': ({ device }) =>
    `The thermostat that was chosen here (${device}) is neither in this job nor in the catalogue any longer. Choose again: until then this is for any connected thermostat.`,
  'link-to-itself': ({ screw }) => `A jumper joins ${screw} to itself: which two terminals does it join?`,
  'link-doubled': ({ screws: [a, b] }) => `${a} and ${b} are joined by a jumper twice in the record.`,
  'unknown-reference': (fact) => {
    switch (fact.what) {
      case 'machine':
        return `The thermostat names equipment ${fact.id}, which the job does not hold.`;
      case 'cable':
        return `${capital(fact.conductor)} belongs to cable ${fact.id}, which is not recorded.`;
      case 'place':
        return `${capital(fact.conductor)} is landed at ${fact.id}, which is not at the ${fact.end} of this thermostat.`;
      case 'screw':
        return `${capital(fact.conductor)} is landed on ${fact.id} at ${fact.at}, which has no such terminal.`;
      case 'link':
        return `A jumper is at ${fact.id}, which is not at the ${fact.end} of this thermostat.`;
    }
  },
  'unknown-mark': ({ mark }) =>
    `Nothing is known of a terminal marked ${mark}: it is kept as read, and no plan moves anything onto it.`,
  'answer-not-understood': ({ id, answer, known }) =>
    `The answer “${answer}” to “${id}” is none that the question has (${known === null ? 'a number of volts' : known.join(', ')}): it counts for nothing.`,
  'unknown-observation': ({ id }) =>
    `The record holds an answer to “${id}”, which this version does not ask: it is kept and not weighed.`,
  'terminal-shared': ({ screw, conductors }) =>
    `${conductors.length} wires are recorded on ${screw} at the wall: ${conductors.join(', ')}. Look again which of them is there.`
};
