/** The questions of the survey in a job, each with its answer so far and its place in the record; and which to ask next. */
import type { Path } from '../job/steps';
import type { Equipment, Job, Thermostat } from '../job/schema';
import { BUILDING_QUESTIONS, HABIT_QUESTIONS, SURVEY_QUESTIONS } from './house-questions';
import { MACHINE_QUESTIONS } from './machine-questions';
import { isAnswered, type FieldValue, type Question } from './question';
import { WALL_QUESTIONS } from './wall-questions';

export interface SurveyCard {
  /** Its own within the job. */
  readonly id: string;
  /** Under which heading it stands; a machine's id for those about a machine. */
  readonly group: string;
  readonly question: Question;
  readonly value: FieldValue;
  readonly answered: boolean;
  readonly path: Path;
}

export const SURVEY_GROUPS = {
  day: 'Before you start',
  house: 'The house',
  people: 'Who lives there'
} as const;

/**
 * In which order they are asked: first what can say "do not buy" or "something else first", then what the wires do, then how long the
 * work may take, then what it saves, then the wall. What is not named here is never asked by itself; it can be opened.
 */
const ORDER = [
  'survey.oldOneWorks',
  'survey.internet',
  'machine.kind',
  'machine.fuel',
  'habits.home',
  'machine.transformerVa',
  'survey.frail',
  'survey.pipesCanFreeze',
  'survey.workDay',
  'machine.behindSwitch',
  'building.floorAreaM2',
  'building.insulation',
  'building.draughts',
  'building.build',
  'habits.setsBackToday',
  'survey.worksWith',
  'face.box',
  'face.outlineWidthMm',
  'face.outlineHeightMm',
  'face.holes',
  'face.paint',
  'machine.breaker',
  'machine.serviceSwitch',
  'machine.fuseAmps',
  'machine.heatStages',
  'machine.coolStages',
  'building.storeys',
  'building.pricePerKwh',
  'building.efficiency',
  'building.heatingKw',
  'survey.rebate'
] as const;

export function surveyCards(job: Job, thermostat: Thermostat): readonly SurveyCard[] {
  const { survey } = job;
  const own: Path = ['thermostats', { id: thermostat.id }];
  return [
    ...cardsOf('survey', 'day', Object.values(SURVEY_QUESTIONS), survey, ['survey']),
    ...cardsOf('building', 'house', Object.values(BUILDING_QUESTIONS), survey.building, [
      'survey',
      'building'
    ]),
    ...cardsOf('habits', 'people', habitQuestions(survey.habits), survey.habits, ['survey', 'habits']),
    ...job.equipment
      .filter(({ id }) => thermostat.equipment.includes(id))
      .flatMap((machine) =>
        cardsOf('machine', machine.id, machineQuestions(machine), machine, ['equipment', { id: machine.id }])
      ),
    ...cardsOf('face', 'wall', Object.values(WALL_QUESTIONS), thermostat.face, [...own, 'face'])
  ];
}

/** The open question that is most worth answering; null where none is left. Those in `later` were put off. */
export function nextCard(cards: readonly SurveyCard[], later: ReadonlySet<string>): SurveyCard | null {
  const open = cards.filter((card) => !card.answered && !later.has(card.id));
  for (const named of ORDER) {
    const found = open.find((card) => card.id === named || card.id.startsWith(`${named} of `));
    if (found) return found;
  }
  return null;
}

/** How many of those that are asked have an answer. */
export function surveyProgress(cards: readonly SurveyCard[]): { readonly done: number; readonly of: number } {
  const asked = cards.filter(({ id }) =>
    ORDER.some((named) => id === named || id.startsWith(`${named} of `))
  );
  return { done: asked.filter(({ answered }) => answered).length, of: asked.length };
}

function cardsOf(
  about: string,
  group: string,
  questions: readonly Question[],
  record: object,
  path: Path
): SurveyCard[] {
  return questions.map((question) => {
    const value = (record as Readonly<Record<string, FieldValue>>)[question.field] ?? null;
    return {
      id: `${about}.${question.field}${about === 'machine' ? ` of ${group}` : ''}`,
      group,
      question,
      value,
      answered: isAnswered(value),
      path: [...path, question.field]
    };
  });
}

/** Hours are asked only where something changes at them. */
function habitQuestions({ home, night }: Job['survey']['habits']): readonly Question[] {
  return Object.values(HABIT_QUESTIONS).filter(({ field }) => {
    if (field === 'awayFrom' || field === 'awayTo') return home === 'away-by-day';
    if (field === 'nightFrom' || field === 'nightTo') return night === 'set-back';
    return true;
  });
}

/** A burner with a switch of its own is an oil burner's: nobody else is asked what it cuts. */
function machineQuestions({ fuel, behindSwitch }: Equipment): readonly Question[] {
  return Object.values(MACHINE_QUESTIONS).filter(
    ({ field }) => field !== 'behindSwitch' || fuel === 'oil' || behindSwitch !== 'unknown'
  );
}
