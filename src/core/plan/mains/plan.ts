/**
 * The plan for mains controls: what the record says, what today's wiring does over the whole table, and for each method and variant what the house
 * would do afterwards, proven. Nothing unexplained is moved; no way that touches a conductor is more than `pro` before somebody competent is named.
 */
import { unexplained } from '../../explain/mains/points';
import { mainsFinding, sortMains, type MainsFinding } from '../../findings/mains';
import { identifyLayout, type LayoutIdentification } from '../../identify/mains/layout';
import type { ControllerFacts } from '../../job/controller-facts';
import { isCompetent } from '../../job/mains-edits';
import type { MainsControls } from '../../job/mains-schema';
import { controllersFor, matchControllers, type MainsMatch } from '../../match/mains/match';
import { inputsOf, MOST_ROOMS, rowId, type MainsInputs, type MainsRow } from '../../proof/mains/rows';
import { rowText } from '../../proof/mains/row-text';
import { changedRows, isTable, truthTable, type TruthTable } from '../../proof/mains/truth-table';
import { MAINS_METHOD_RULES } from '../../supply/mains/methods';
import { withGreyDriven } from '../../supply/mains/repairs';
import type { MainsVariant } from '../../supply/mains/types';
import type { MainsMethod } from '../../trade/mains';
import { VERDICTS, type Verdict } from '../../trade/vocabulary';
import { wiringFromMains } from '../../wiring/from-mains';
import type { Wiring } from '../../wiring/graph';
import { nowOf, type Now } from '../../wiring/now';
import { mainsUnits } from '../../devices/mains/screws';
import type { Move } from '../move-types';
import { controllersHere, type ControllerHere } from './controllers-here';
import { effortOf, type MainsEffort } from './effort';
import { mainsMoves } from './moves';
import { isUnread, knownToday, mainsClosing, mainsWaiting, type MainsClosing } from './undecided';

export interface MainsWay {
  readonly method: MainsMethod;
  readonly variant: MainsVariant;
  readonly facts: ControllerFacts | null;
  readonly verdict: Verdict;
  readonly findings: readonly MainsFinding[];
  readonly after: Wiring;
  readonly table: TruthTable | null;
  /** Rows in which it will do something else than now. */
  readonly changed: readonly MainsRow[];
  readonly dead: readonly string[];
  readonly moves: readonly Move[];
  readonly effort: MainsEffort;
  /** Whether what closes it is settled; null where it is open. */
  readonly closing: MainsClosing | null;
}

export interface MainsPlan {
  readonly identification: LayoutIdentification;
  /** What cannot be explained, and what else is wrong with the record. */
  readonly questions: readonly MainsFinding[];
  readonly found: Wiring;
  readonly now: Now;
  readonly inputs: MainsInputs;
  /** Today's wiring over all rows; null where it could not be solved, or where not all of it is read. */
  readonly table: TruthTable | null;
  readonly today: readonly MainsFinding[];
  readonly matches: readonly ControllerHere[];
  /** The controller that the ways are for: the chosen one, else the best. */
  readonly controller: ControllerFacts | null;
  /** Best first. */
  readonly ways: readonly MainsWay[];
  readonly recommended: MainsWay | null;
  /** What the ways and the controllers wait for; none where they are judged. */
  readonly waiting: readonly MainsFinding[];
  /** The one that is chosen, or the recommended one. */
  readonly taken: MainsWay | null;
}

/** What may be asked for on the command line instead of what the job has chosen. */
export interface MainsWanted {
  readonly controller?: string | null;
  readonly method?: MainsMethod | null;
  readonly variant?: string | null;
}

export function planMains(mains: MainsControls, wanted: MainsWanted = {}): MainsPlan {
  const identification = identifyLayout(mains);
  const found = wiringFromMains(mains);
  const now = nowOf(found, mains.log);
  const inputs = inputsOf(found);
  const { layout } = identification;
  const questions = sortMains([
    ...identification.findings,
    ...unexplained(mains),
    ...(inputs.rooms.length > MOST_ROOMS
      ? [mainsFinding('warn', 'mains-rooms-many', { rooms: inputs.rooms.length, most: MOST_ROOMS })]
      : [])
  ]);
  const solved = truthTable({ wiring: now.wiring, inputs, layout });
  const table = isTable(solved) && !isUnread(questions) ? solved : null;
  const today = knownToday(
    isTable(solved)
      ? tableFindings(found, found, solved, true)
      : [mainsFinding('stop', 'mains-not-proven', { why: solved.why })],
    questions
  );
  const matches = matchControllers(mains);
  const here = controllersHere(matches, questions);
  const controller = controllerFor(mains, matches, wanted.controller ?? mains.choice.controller);
  const base = { mains, identification, found, now, inputs, table, today, questions };
  const ways = MAINS_METHOD_RULES.flatMap((rule) =>
    rule.id !== 'keep' && controller === null
      ? []
      : rule
          .variants(begun(now) ? found : now.wiring, controller ?? NO_FACTS)
          .map((variant) => wayFor(base, matches, controller, rule.id, variant))
  ).sort(better);
  const recommended =
    ways.find(({ verdict, method }) => verdict !== 'no' && method !== 'keep') ?? ways[0] ?? null;
  const method = wanted.method ?? mains.choice.method;
  const variant = wanted.variant ?? mains.choice.variant;
  const taken =
    ways.find((way) => way.method === method && (variant === null || way.variant.id === variant)) ??
    (method === null ? recommended : null);
  return {
    identification,
    questions,
    found,
    now,
    inputs,
    table,
    today,
    matches: here,
    controller,
    ways,
    recommended,
    waiting: [...ways, ...here].some(({ closing }) => closing === 'asks') ? mainsWaiting(questions) : [],
    taken
  };
}

/** Only for `keep`, which asks for no controller. */
const NO_FACTS = { wallPart: 'none' } as ControllerFacts;

/** Wires were moved: what is left to do leads from now to the same end, which is made of what was found. */
function begun({ done }: Now): boolean {
  return done.some(({ change }) => change !== null);
}

function controllerFor(
  mains: MainsControls,
  matches: readonly MainsMatch[],
  id: string | null
): ControllerFacts | null {
  if (id !== null) return controllersFor(mains).find((facts) => facts.id === id) ?? null;
  const [best] = [...matches].sort(
    (a, b) => standing(a) - standing(b) || (a.facts.price ?? 1e4) - (b.facts.price ?? 1e4)
  );
  return best && best.verdict !== 'no' ? best.facts : null;
}

/** The first method that it is fit for, then how well: what takes the place of timer and thermostat goes before one zone beside a timer. */
function standing({ methods, fits, verdict }: MainsMatch): number {
  const at = methods.findIndex(({ method }) => method === fits);
  return at < 0 ? 2 * methods.length : 2 * at + (verdict === 'care' ? 1 : 0);
}

type Base = Pick<
  MainsPlan,
  'identification' | 'found' | 'now' | 'inputs' | 'table' | 'today' | 'questions'
> & {
  readonly mains: MainsControls;
};

function wayFor(
  base: Base,
  matches: readonly MainsMatch[],
  controller: ControllerFacts | null,
  method: MainsMethod,
  variant: MainsVariant
): MainsWay {
  const { found, now, inputs, identification } = base;
  const rule = MAINS_METHOD_RULES.find(({ id }) => id === method);
  const start = begun(now) ? found : now.wiring;
  const repaired = method === 'keep' ? { wiring: start, findings: [] } : withGreyDriven(start);
  const made = rule?.apply(repaired.wiring, controller ?? NO_FACTS, variant);
  const nothing = { method, variant, facts: method === 'keep' ? null : controller };
  if (!made || 'refused' in made) return refusedWay(nothing, base, made ? [made.refused] : []);
  const solved = truthTable({ wiring: made.after, inputs, layout: identification.layout, dead: made.dead });
  const table = isTable(solved) ? solved : null;
  const changed = table && base.table ? changedRows(base.table, table) : [];
  const own =
    method === 'keep'
      ? keepFindings(base)
      : [
          ...base.questions,
          ...(matches
            .find(({ facts }) => facts.id === controller?.id)
            ?.methods.find((match) => match.method === method)?.findings ?? []),
          ...repaired.findings,
          ...made.findings,
          ...(isTable(solved)
            ? tableFindings(made.after, found, solved, false)
            : [mainsFinding('stop', 'mains-not-proven', { why: solved.why })]),
          ...changeFindings(base, changed, table),
          ...safetyFindings(base)
        ];
  const findings = sortMains(own);
  const verdict = verdictOf(base, findings, method);
  const moves = leftOf(mainsMoves(now.wiring, made.after, made.dead, begun(now) && method !== 'keep'), now);
  return {
    ...nothing,
    verdict,
    findings,
    closing: verdict === 'no' ? mainsClosing(findings, base.questions) : null,
    after: made.after,
    table,
    changed,
    dead: made.dead,
    moves,
    effort: effortOf(moves, method === 'keep' ? null : controller)
  };
}

/** A way that cannot even be drawn. */
function refusedWay(
  nothing: Pick<MainsWay, 'method' | 'variant' | 'facts'>,
  { now, questions }: Base,
  findings: readonly MainsFinding[]
): MainsWay {
  return {
    ...nothing,
    verdict: 'no',
    findings,
    closing: findings.length === 0 ? 'settled' : mainsClosing(findings, questions),
    after: now.wiring,
    table: null,
    changed: [],
    dead: [],
    moves: [],
    effort: effortOf([], null)
  };
}

/** Without the checks and switches that are done: they change no wiring, so only the log knows. */
function leftOf(moves: readonly Move[], { done }: Now): Move[] {
  const ticked = new Set(
    done.filter(({ change }) => change === null).map(({ act }) => `${act.action} ${act.what}`)
  );
  return moves.filter((move) => move.change !== null || !ticked.has(`${move.action} ${move.what}`));
}

function verdictOf({ mains }: Base, findings: readonly MainsFinding[], method: MainsMethod): Verdict {
  if (findings.some(({ level }) => level === 'stop')) return 'no';
  if (method === 'keep') return findings.some(({ level }) => level === 'warn') ? 'care' : 'go';
  return isCompetent(mains) ? 'care' : 'pro';
}

/** Leaving it is no advice for a house that is being harmed. */
function keepFindings({ today, questions }: Base): MainsFinding[] {
  return [...today, ...questions.filter(({ code }) => code === 'mains-layout-disagrees')];
}

const SHOWN_ROWS = 4;

/** `found`: where the names of what asks come from, the thermostats that a way takes out among them. */
function tableFindings(wiring: Wiring, found: Wiring, table: TruthTable, today: boolean): MainsFinding[] {
  const names = new Map(mainsUnits(wiring).map((unit) => [unit.id, unit.name]));
  const findings = table.harms.map(({ harm, at, row }) =>
    mainsFinding(
      'stop',
      'mains-harm',
      {
        harm,
        at: at.map((id) => names.get(id) ?? wiring.cables.find((cable) => cable.id === id)?.name ?? id),
        row: row === null ? null : rowText(row, found),
        today
      },
      at
    )
  );
  const wrong = table.rows.filter(({ amiss }) => amiss.length > 0);
  if (wrong.length > 0)
    findings.push(
      mainsFinding(today ? 'warn' : 'stop', 'mains-row-amiss', {
        rows: wrong.slice(0, SHOWN_ROWS).map(({ state }) => rowText(state.row, found)),
        count: wrong.length,
        today
      })
    );
  return findings;
}

/** Rows that will do something else, apart from those that were wrong and will be right. */
function changeFindings(
  { table: before, found }: Base,
  changed: readonly MainsRow[],
  after: TruthTable | null
): MainsFinding[] {
  const wrongBefore = new Set(
    before?.rows.filter(({ amiss }) => amiss.length > 0).map(({ state }) => rowId(state.row))
  );
  const wrongAfter = new Set(
    after?.rows.filter(({ amiss }) => amiss.length > 0).map(({ state }) => rowId(state.row))
  );
  const told = changed.filter((row) => !(wrongBefore.has(rowId(row)) && !wrongAfter.has(rowId(row))));
  if (told.length === 0) return [];
  return [
    mainsFinding('warn', 'mains-row-changes', {
      rows: told.slice(0, SHOWN_ROWS).map((row) => rowText(row, found)),
      count: told.length
    })
  ];
}

function safetyFindings({ mains, found }: Base): MainsFinding[] {
  const supplies = mainsUnits(found).filter((unit) => unit.part === 'supply');
  return [
    ...(isCompetent(mains) ? [] : [mainsFinding('warn', 'mains-competent-only', {})]),
    ...(supplies.length > 1
      ? [mainsFinding('warn', 'mains-two-supplies-off', { supplies: supplies.map(({ name }) => name) })]
      : []),
    mainsFinding('note', 'mains-local-code', {})
  ];
}

/** By verdict, then what replaces most of what can be replaced, then fewer cautions, then less work. */
function better(a: MainsWay, b: MainsWay): number {
  const order = (way: MainsWay) => VERDICTS.indexOf(way.verdict);
  const keeps = (way: MainsWay) => (way.method === 'keep' ? 1 : 0);
  const rank = (way: MainsWay) => MAINS_METHOD_RULES.findIndex(({ id }) => id === way.method);
  const cautions = (way: MainsWay) => way.findings.filter(({ level }) => level === 'warn').length;
  const no = (way: MainsWay) => (way.verdict === 'no' ? 1 : 0);
  return (
    no(a) - no(b) ||
    keeps(a) - keeps(b) ||
    order(a) - order(b) ||
    rank(a) - rank(b) ||
    cautions(a) - cautions(b) ||
    a.moves.length - b.moves.length
  );
}
