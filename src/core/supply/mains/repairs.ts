/** What is wrong today and is put right as part of the work: a function from graph to graph, like a method. */
import { mainsUnits } from '../../devices/mains/screws';
import { mainsFinding, type MainsFinding } from '../../findings/mains';
import { landed, landedTerminal, printedMark, type Wiring } from '../../wiring/graph';
import { joinedIn } from '../../wiring/joined';
import { firstScrew, unitOf, withEnd } from './edits';

export interface Repaired {
  readonly wiring: Wiring;
  readonly findings: readonly MainsFinding[];
}

/** A wire on the timer's hot-water-off screw that leads to a number of its own is landed where the grey wire of the valve is. */
export function withGreyDriven(now: Wiring): Repaired {
  const timer = unitOf(now, 'timer') ?? unitOf(now, 'controller');
  const off = timer ? firstScrew(timer, 'water-off') : null;
  const valve = mainsUnits(now).find((unit) => unit.part === 'mid-position-valve');
  const grey = valve ? firstScrew(valve, 'grey') : null;
  const nothing = { wiring: now, findings: [] };
  if (off === null || grey === null || joinedIn(now).same(off, grey)) return nothing;
  const strand = now.strands.find((strand) =>
    [strand.near, strand.far].some((end) => landedTerminal(end) === off)
  );
  const at = now.strands
    .filter((strand) => [strand.near, strand.far].some((end) => landedTerminal(end) === grey))
    .map((strand) => landedTerminal(landedTerminal(strand.near) === grey ? strand.far : strand.near))
    .find((terminal) => terminal !== null);
  // The wire, its number, and nothing else: what is joined to more has another job.
  if (!strand || !at || joinedIn(now).with(off).length > 2) return nothing;
  const end = landedTerminal(strand.near) === off ? 'far' : 'near';
  return {
    wiring: withEnd(now, strand.id, end, landed(at)),
    findings: [
      mainsFinding('warn', 'mains-grey-driven', { number: printedMark(now, at) }, [
        strand.id,
        valve?.id ?? ''
      ])
    ]
  };
}
