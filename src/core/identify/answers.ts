/** Answers held against their questions: one that its question does not have is told with its place, and counts for nothing. */
import { finding, type Finding } from '../findings/finding';
import { ref } from '../findings/refs';
import type { Job, Thermostat } from '../job/schema';
import { EVIDENCE } from './evidence/registry';
import { TRAIT_QUESTIONS } from './traits/registry';

export function answerFindings(job: Job, thermostat: Thermostat): Finding[] {
  const at = job.thermostats.findIndex((candidate) => candidate.id === thermostat.id);
  return Object.entries(thermostat.observed).flatMap(([id, answer]): Finding[] => {
    const path = `thermostats[${at}].observed.${id}`;
    const because = [ref.observation(id)];
    const evidence = EVIDENCE.find((candidate) => candidate.id === id);
    const question = evidence ?? TRAIT_QUESTIONS.find((traitQuestion) => traitQuestion.id === id);
    if (!question) return [finding('note', 'unknown-observation', { id }, because, path)];
    const measured = evidence?.kind === 'measured';
    const known = question.values.map((value) => value.value);
    if (measured ? typeof answer === 'number' : known.includes(String(answer)) && typeof answer === 'string')
      return [];
    const fact = { id, answer: String(answer), known: measured ? null : known };
    return [finding('warn', 'answer-not-understood', fact, because, path)];
  });
}
