/**
 * How well looks are chosen: drawn houses with one or two drawn faults that answer truthfully, and again with one answer in twenty wrong; against
 * the usual short list in its order; and against the best of all policies on small houses, worked out backwards.
 */
import { finish } from '$core/circuit/long-run';
import { beliefAfter, prepareRun, rankedCauses, SETTLED, type Prepared } from '$core/diagnose/diagnosis';
import {
  canMake,
  circumstancesAfter,
  minutesOf,
  nextLooks,
  startAt,
  type Circumstances
} from '$core/diagnose/next-look';
import { answerOf, playOut, type Asked, type PlayOut } from '$core/diagnose/play-out';
import type { Observation } from '$core/diagnose/observations/types';
import type { Drawn } from '$core/houses/generate';
import { generatedHouse } from '$core/houses/generate';
import { plannedHouse, zonedHouse } from '$core/houses/powered-houses';
import { chanceFrom, type Chance } from '$core/trade/random';
import type { Part } from './part';

const HOUSES = 90;
const FAULTS_EACH = 24;
const TOUCHED = { jumpers: true, power: true, head: true };
const DRAWN: readonly Drawn[] = ['furnace', 'furnace-ac', 'heat-pump', 'boiler'];
const percent = (share: number) => `${(share * 100).toFixed(1)} %`;

/** A house whose plan was carried out, ready to be asked; null where it has no plan. */
function preparedHouse(seed: number): Prepared | null {
  const { job, thermostat } = generatedHouse(seed, DRAWN[seed % DRAWN.length]!);
  let house;
  try {
    house = plannedHouse(job, thermostat);
  } catch {
    // Some drawn houses have no way that may be taken.
    return null;
  }
  const strands = new Set(house.wiring.strands.map(({ id }) => id));
  const run = prepareRun({ ...house, touched: { ...TOUCHED, strands } });
  return 'ok' in run ? null : finish(run);
}

const SIGNS = (id: string) =>
  id === 'display' || id === 'uncalled' || /^(heat|cool|fan|aux|emergency)/.test(id);

/** Hypotheses that somebody would notice: something that one sees is otherwise than in the sound house. */
function noticed({ situation, observations }: Prepared): number[] {
  const signs = observations.filter(({ id }) => SIGNS(id));
  const fine = new Map(
    signs.map(({ id }) => [id, id === 'display' ? 'lit' : id === 'uncalled' ? 'nothing' : 'runs'])
  );
  const vague = new Set(['something-else', 'machine-fault', 'set-up-system']);
  return situation.list.flatMap((hypothesis, at) =>
    !hypothesis.causes.some((cause) => vague.has(situation.causes[cause]!.kind)) &&
    signs.some((sign) => answerOf(sign, at) !== fine.get(sign.id))
      ? [at]
      : []
  );
}

/** What is seen by itself: the display, and the first call that does nothing. */
function complaint(prepared: Prepared, truth: number): string[] {
  const display = prepared.observations.find(({ id }) => id === 'display')!;
  if (answerOf(display, truth) !== 'lit') return ['display'];
  const silent = prepared.observations.find(
    ({ id, answers }) =>
      SIGNS(id) &&
      answers.some(({ value }) => value === 'still') &&
      answerOf(
        prepared.observations.find((other) => other.id === id)!,
        truth
      ) === 'still'
  );
  return ['display', ...(silent ? [silent.id] : [])];
}

/** The short list of the trade, in its order; what is not on it comes after. */
const SHORT_LIST = [
  /^door/,
  /^power/,
  /^fuse/,
  /^tug-(?!wall)/,
  /^tug-wall/,
  /^head/,
  /^float/,
  /^screws/,
  /^jumpers/,
  /^touching/,
  /^settings/,
  /^wait/
];
const OF_A_CALL = /^(tug|screws)-.*-(heat|cool|fan|aux|emergency)[a-z]*\d?$/;
/** Where the display is dark the list names the wires that feed it ("C at the equipment, C at the wall"); else it means every wire. */
function onTheList(id: string, dark: boolean, all: readonly Observation[]): boolean {
  if (OF_A_CALL.test(id)) return false;
  if (id.endsWith('-display')) return dark;
  return !dark || !all.some((other) => other.id === `${id}-display`);
}

/** Goes down the list whatever was seen; where it is at its end, by what tells most. */
function byList(asked: Asked) {
  const { prepared, circumstances, answered } = asked;
  const lit = asked.belief.reduce((sum, share, at) => sum + share * prepared.lit[at]!, 0);
  const rank = (id: string) =>
    onTheList(id, lit < 0.5, prepared.observations) ? SHORT_LIST.findIndex((shape) => shape.test(id)) : -1;
  const [next] = prepared.observations
    .filter(
      (observation) =>
        rank(observation.id) >= 0 && !answered.has(observation.id) && canMake(observation, circumstances)
    )
    .sort((first, second) => rank(first.id) - rank(second.id));
  if (next) return { observation: next, minutes: minutesOf(next, circumstances) };
  return nextLooks(prepared, asked.belief, circumstances, answered)[0];
}

/** What is usual at a look: the answer that most of what may be wrong would give. */
function usualAnswer({ prior }: Prepared, { answers, chances }: Observation): string {
  const sums = chances.map((column) => column.reduce((sum, chance, at) => sum + chance * prior[at]!, 0));
  return answers[sums.indexOf(Math.max(...sums))]!.value;
}

/**
 * The short list as it is written, without any belief: one look after the other until one shows something that is not as usual; that is taken
 * for the cause. Where none does, somebody who weighs things goes on from there.
 */
function plainList(prepared: Prepared, truth: number, rules: Parameters<typeof playOut>[2]): PlayOut {
  let shown = false;
  const choose = (asked: Asked) => {
    if (shown) return undefined;
    const next = byList(asked);
    const listed = next && SHORT_LIST.some((shape) => shape.test(next.observation.id));
    if (listed && answerOf(next.observation, truth) !== usualAnswer(prepared, next.observation)) shown = true;
    return next;
  };
  const listed = prepared.observations.filter(({ id }) => SHORT_LIST.some((shape) => shape.test(id)));
  const showsItself = listed.some(
    (look) =>
      look.needs !== 'meter' &&
      look.needs !== 'helper' &&
      answerOf(look, truth) !== usualAnswer(prepared, look)
  );
  return playOut(prepared, truth, {
    ...rules,
    choose,
    secondLooks: false,
    ...(showsItself ? { settled: Infinity } : {})
  });
}

const quantile = (values: readonly number[], share: number) =>
  [...values].sort((first, second) => first - second)[Math.floor(share * (values.length - 1))] ?? NaN;

interface Sum {
  count: number;
  found: number;
  inThree: number;
  looks: number;
  minutes: number;
}

const nothing = (): Sum => ({ count: 0, found: 0, inThree: 0, looks: 0, minutes: 0 });
function add(sum: Sum, { found, inThree, looks, minutes }: PlayOut): void {
  sum.count += 1;
  sum.found += Number(found);
  sum.inThree += Number(inThree);
  sum.looks += looks.length;
  sum.minutes += minutes;
}
const line = (name: string, { count, found, inThree, looks, minutes }: Sum) =>
  `| ${name} | ${count} | ${percent(found / count)} | ${percent(inThree / count)} | ${(looks / count).toFixed(1)} | ${(minutes / count).toFixed(1)} |`;

function drawnTruth(chance: Chance, prepared: Prepared, open: readonly number[]): number {
  // By their odds: what is met more often is drawn more often.
  const total = open.reduce((sum, at) => sum + prepared.prior[at]!, 0);
  let left = chance.next() * total;
  return open.find((at) => (left -= prepared.prior[at]!) <= 0) ?? open[0]!;
}

export const diagnoseBench: Part = {
  name: 'diagnose',
  run: () => {
    const chance = chanceFrom(11);
    const sums = { ours: nothing(), meter: nothing(), erring: nothing(), list: nothing(), plain: nothing() };
    const times: number[] = [];
    for (let seed = 1; seed <= HOUSES; seed += 1) {
      const prepared = preparedHouse(seed);
      const open = prepared ? noticed(prepared) : [];
      if (!prepared || open.length === 0) continue;
      const start = startAt(prepared.situation.wiring);
      for (let fault = 0; fault < FAULTS_EACH; fault += 1) {
        const truth = drawnTruth(chance, prepared, open);
        const rules = { circumstances: start, first: complaint(prepared, truth) };
        const before = performance.now();
        const ours = playOut(prepared, truth, rules);
        times.push((performance.now() - before) / Math.max(1, ours.looks.length));
        add(sums.ours, ours);
        add(sums.meter, playOut(prepared, truth, { ...rules, circumstances: { ...start, meter: true } }));
        add(sums.erring, playOut(prepared, truth, { ...rules, errs: () => chance.happens(0.05) }));
        add(sums.list, playOut(prepared, truth, { ...rules, choose: byList, secondLooks: false }));
        add(sums.plain, plainList(prepared, truth, rules));
      }
    }
    return [
      `${HOUSES} drawn houses, ${FAULTS_EACH} drawn causes each, 15 % of them two at once`,
      '| | houses with a fault | found first | in the first three | looks | minutes |',
      '|---|---|---|---|---|---|',
      line('eyes and hands', sums.ours),
      line('with a meter', sums.meter),
      line('one answer in twenty wrong', sums.erring),
      line('the short list in its order, weighed', sums.list),
      line('the short list as it is written', sums.plain),
      '',
      `an answer and the next look: ${quantile(times, 0.5).toFixed(1)} ms as a rule, ${quantile(times, 0.95).toFixed(1)} ms at the 95th percentile`,
      `effort against the short list: weighed ${(sums.ours.minutes / sums.list.minutes).toFixed(2)}, as it is written ${(sums.ours.minutes / sums.plain.minutes).toFixed(2)}`,
      ...againstBest(),
      ...fourZones()
    ];
  }
};

/** The largest that a home has: four thermostats on one panel, all pairs of faults. */
function fourZones(): string[] {
  const { wiring, world } = zonedHouse(4);
  const begun = performance.now();
  const run = prepareRun({ wiring, world });
  if ('ok' in run) return [run.why];
  const prepared = finish(run);
  const made = performance.now() - begun;
  const times = Array.from({ length: 9 }, () => {
    const before = performance.now();
    nextLooks(prepared, prepared.prior, startAt(wiring), new Set());
    return performance.now() - before;
  });
  return [
    `four zones: ${prepared.situation.list.length} hypotheses, table made in ${(made / 1000).toFixed(1)} s, next look ${quantile(times, 0.5).toFixed(0)} ms as a rule, ${Math.max(...times).toFixed(0)} ms at most`
  ];
}

/** So many looks are left open in a small house: every order of them and every answer is tried. */
const SMALL_LOOKS = 6;

function againstBest(): string[] {
  let [ours, best, houses] = [0, 0, 0];
  for (const seed of [3, 7, 11, 15, 19, 23]) {
    const whole = preparedHouse(seed);
    if (!whole) continue;
    const display = whole.observations.find(({ id }) => id === 'display')!;
    const dark = { observation: display, answer: 'dark' };
    const start = startAt(whole.situation.wiring);
    const belief = beliefAfter(whole, [dark]);
    const looks = nextLooks(whole, belief, start, new Set(['display'])).slice(0, SMALL_LOOKS);
    const prepared: Prepared = { ...whole, observations: looks.map(({ observation }) => observation) };
    houses += 1;
    ours += costOf(prepared, belief, start, new Set(), (left, at, answered) => {
      const [first] = nextLooks(prepared, left, at, answered);
      return first ? [first.observation] : [];
    });
    best += costOf(prepared, belief, start, new Set(), (_, __, answered) =>
      prepared.observations.filter(({ id }) => !answered.has(id))
    );
  }
  return [
    `against the best of all policies (${houses} small houses, dark, ${SMALL_LOOKS} looks): ${(ours / best).toFixed(3)} times its minutes`
  ];
}

type Choices = (
  belief: Float64Array,
  at: Circumstances,
  answered: ReadonlySet<string>
) => readonly Observation[];

/** What is left in doubt at the end costs a technician's visit, minutes. */
const VISIT_MINUTES = 60;

/** Expected minutes of the best of the choices, answers weighed by their chance. */
function costOf(
  prepared: Prepared,
  belief: Float64Array,
  at: Circumstances,
  answered: ReadonlySet<string>,
  choices: Choices
): number {
  const [top] = rankedCauses(prepared, belief, 'hands');
  const unsure = (1 - (top?.probability ?? 0)) * VISIT_MINUTES;
  if (top && top.probability >= SETTLED) return unsure;
  let least = Infinity;
  for (const observation of choices(belief, at, answered)) {
    let cost = minutesOf(observation, at);
    const then = circumstancesAfter(observation, at);
    observation.chances.forEach((column) => {
      const joint = belief.map((share, index) => share * column[index]!);
      const chance = joint.reduce((sum, share) => sum + share, 0);
      if (chance < 1e-4) return;
      const after = joint.map((share) => share / chance);
      cost += chance * costOf(prepared, after, then, new Set([...answered, observation.id]), choices);
    });
    least = Math.min(least, cost);
  }
  return Math.min(least, least === Infinity ? unsure : least);
}
