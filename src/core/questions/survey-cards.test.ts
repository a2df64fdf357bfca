import { describe, expect, it } from 'vitest';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import { newJob } from '../job/create';
import { apply, setStep } from '../job/steps';
import { Job } from '../job/schema';
import * as v from 'valibot';
import { PLAIN_MANNER, dateText, moneyText } from '../words/manner';
import { DEVICE_QUESTIONS } from './device-questions';
import { MACHINE_QUESTIONS } from './machine-questions';
import { answerText, chosenValue, isAnswered } from './question';
import { nextCard, surveyCards, surveyProgress } from './survey-cards';
import { CABLE_QUESTIONS } from './wall-questions';
import { BUILDING_QUESTIONS } from './house-questions';

const fresh = newJob('job-fresh' as Job['id'], 'Fresh house');
const at = (job: Job) => job.thermostats[0]!;
const none = new Set<string>();
const say = {
  money: (sum: number, digits: number) => moneyText(sum, PLAIN_MANNER, digits),
  day: (day: string) => dateText(day, PLAIN_MANNER)
};
const metric = { length: 'm', temperature: 'C' } as const;

/** The job once a card is answered. */
function answered(job: Job, id: string, value: unknown): Job {
  const card = surveyCards(job, at(job)).find((found) => found.id === id)!;
  return apply(job, setStep(job, card.path, value, card.question.label));
}

describe('the cards of the survey', () => {
  it('asks first what may say that nothing is to be bought, and goes on as answers come', () => {
    let job: Job = fresh;
    const asked: string[] = [];
    for (const value of ['yes', 'works', 'boiler', 'oil']) {
      const card = nextCard(surveyCards(job, at(job)), none)!;
      asked.push(card.id.replace(/ of .*/, ''));
      job = answered(job, card.id, value);
    }
    expect(asked).toEqual(['survey.oldOneWorks', 'survey.internet', 'machine.kind', 'machine.fuel']);
    expect(surveyProgress(surveyCards(job, at(job))).done).toBe(4);
  });

  it('leaves out what was put off, and asks nothing more when all is answered or put off', () => {
    const cards = surveyCards(fresh, at(fresh));
    expect(nextCard(cards, new Set(['survey.oldOneWorks']))?.id).toBe('survey.internet');
    expect(nextCard(cards, new Set(cards.map(({ id }) => id)))).toBeNull();
  });

  it('asks for the burner’s switch only where there is an oil burner, and for hours only where they count', () => {
    const ids = (job: Job) => surveyCards(job, at(job)).map(({ id }) => id.replace(/ of .*/, ''));
    expect(ids(fresh)).not.toContain('machine.behindSwitch');
    const machine = `machine.fuel of ${fresh.equipment[0]!.id}`;
    expect(ids(answered(fresh, machine, 'oil'))).toContain('machine.behindSwitch');
    expect(ids(fresh)).not.toContain('habits.awayFrom');
    expect(ids(answered(fresh, 'habits.home', 'away-by-day'))).toContain('habits.awayFrom');
  });

  it('points each card at a field that the schema knows: any answer that it offers is a job that holds', () => {
    for (const card of surveyCards(SCHOOLHOUSE, at(SCHOOLHOUSE))) {
      const { answer } = card.question;
      const codes = answer.kind === 'choice' ? answer.choices.map(([code]) => code) : [];
      for (const code of codes) {
        const job = answered(SCHOOLHOUSE, card.id, chosenValue(answer, code));
        expect(v.safeParse(Job, job).success, `${card.id} = ${code}`).toBe(true);
      }
      if (answer.kind !== 'number') continue;
      for (const value of [answer.least, answer.most])
        expect(v.safeParse(Job, answered(SCHOOLHOUSE, card.id, value)).success, `${card.id} = ${value}`).toBe(
          true
        );
    }
  });
});

describe('a question', () => {
  it('takes its limits from the schema of its field', () => {
    expect(BUILDING_QUESTIONS.storeys.answer).toMatchObject({ least: 1, most: 6, whole: true });
    expect(DEVICE_QUESTIONS.note.answer).toMatchObject({ kind: 'text', most: 2000 });
    expect(MACHINE_QUESTIONS.name.answer).toMatchObject({ kind: 'text', most: 120 });
  });

  it('says its answer with unit, currency and date, and nothing for what nobody knows', () => {
    expect(answerText(BUILDING_QUESTIONS.floorAreaM2, 130, metric, say)).toBe('130 m²');
    expect(answerText(BUILDING_QUESTIONS.floorAreaM2, 130, { ...metric, length: 'ft' }, say)).toBe(
      '1399 ft²'
    );
    expect(answerText(BUILDING_QUESTIONS.pricePerKwh, 0.124, metric, say)).toBe('$0.124');
    expect(answerText(MACHINE_QUESTIONS.kind, 'boiler', metric, say)).toBe('boiler');
    expect(answerText(MACHINE_QUESTIONS.kind, 'unknown', metric, say)).toBe('');
    expect(isAnswered(0)).toBe(true);
    expect(isAnswered([])).toBe(false);
  });

  it('keeps a chosen figure as a figure, and the empty choice as nothing', () => {
    expect(chosenValue(CABLE_QUESTIONS.gauge.answer, '18')).toBe(18);
    expect(chosenValue(CABLE_QUESTIONS.gauge.answer, '')).toBeNull();
    expect(chosenValue(MACHINE_QUESTIONS.kind.answer, 'boiler')).toBe('boiler');
  });
});
