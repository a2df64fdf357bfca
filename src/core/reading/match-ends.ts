/**
 * Ends found at the equipment, matched with the conductors at the wall by cable and colour. A proposal is never more than that: colours are
 * doubled and splices change them, so somebody confirms each, and where two of one colour remain only a continuity check decides.
 */
import { ref } from '../findings/refs';
import { conductorName } from '../job/names';
import type { FoundEnd } from '../job/reading-schema';
import type { Conductor, Thermostat } from '../job/schema';
import { screwName } from '../job/screws';
import { colourName } from '../trade/colours';
import { finding, type Finding } from '../findings/finding';

export interface EndProposal {
  readonly end: FoundEnd;
  /** Conductors that it may be, likeliest first. */
  readonly candidates: readonly Conductor[];
  /** `one`: a single candidate; `several`: only a continuity check decides; `none`: nothing at the wall looks like it. */
  readonly kind: 'one' | 'several' | 'none';
  readonly text: string;
}

/** The colour that a conductor shows at the equipment, as far as its splices are known; undefined where a hidden splice leaves it open. */
function colourThere(conductor: Conductor): Conductor['colour'] {
  const last = conductor.splices.at(-1);
  return last ? last.colourBeyond : conductor.colour;
}

/** A proposal for each found end that is not matched yet. */
export function proposeEnds(thermostat: Thermostat): EndProposal[] {
  const open = thermostat.conductors.filter((conductor) => conductor.far.state === 'unseen');
  return thermostat.foundEnds.map((end) => {
    const possible = open.filter(
      (conductor) => conductor.cable === end.cable && !end.not.includes(conductor.id)
    );
    const same = possible.filter(
      (conductor) =>
        end.colour !== null && colourThere(conductor) === end.colour && sameStripe(conductor, end)
    );
    const uncoloured = possible.filter((conductor) => colourThere(conductor) === null);
    const candidates = same.length > 0 ? same : uncoloured;
    const kind =
      candidates.length === 0 ? 'none' : candidates.length === 1 && same.length === 1 ? 'one' : 'several';
    return { end, candidates, kind, text: textOf(end, candidates, kind, thermostat) };
  });
}

function sameStripe(conductor: Conductor, end: FoundEnd): boolean {
  return conductor.splices.length > 0 || conductor.stripe === end.stripe;
}

function textOf(
  end: FoundEnd,
  candidates: readonly Conductor[],
  kind: EndProposal['kind'],
  thermostat: Thermostat
): string {
  const colour = colourName(end.colour, end.stripe);
  const [only] = candidates;
  if (kind === 'one' && only) {
    const where = only.near.on[0] ? screwName(thermostat.screws, only.near.on[0].screw) : only.near.state;
    return `The ${colour} here has the cable and the colour of the ${conductorName(only)} that is on ${where} at the wall. The same one?`;
  }
  if (kind === 'several')
    return `${candidates.length} wires of this cable could be the ${colour} here. Only a continuity check with the power off tells them apart.`;
  return `No wire of this cable at the wall is ${colour} and still without its other end. A joint on the way may have changed the colour, or a wire at the wall was not recorded.`;
}

/** Ends that wait for somebody to say which conductor they are. */
export function unmatchedFindings(thermostat: Thermostat): Finding[] {
  if (thermostat.foundEnds.length === 0) return [];
  const because = thermostat.foundEnds.map((end) => ref.foundEnd(end.id));
  return [finding('warn', 'ends-not-matched', { count: thermostat.foundEnds.length }, because)];
}
