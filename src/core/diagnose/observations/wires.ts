/** What hands on the wires tell, with the power off: loose, on another screw, touching, broken on the way, a jumper too many or too few. */
import { placeOfEnd, wallPlace, type StrandEnd, type Wiring } from '../../wiring/graph';
import type { Call } from '../../trade/calls';
import type { Cause } from '../causes/types';
import type { FaultKind } from '../types';
import { and } from '../../words/text';
import { chancesOf, displayOf, runsIn, soundRuns } from './predict';
import type { Answer, Observation, ObservationRule, Situation } from './types';

const OFF = { power: 'off', needs: 'hands', call: null, volts: null } as const;

/** Ends of wires by the place where hands meet them. */
function endsByPlace(wiring: Wiring): Map<string, { readonly strand: string; readonly end: StrandEnd }[]> {
  const places = new Map<string, { strand: string; end: StrandEnd }[]>();
  for (const strand of wiring.strands)
    for (const end of ['near', 'far'] as const) {
      const place = placeOfEnd(wiring, strand, end);
      if (place === null || strand[end].state !== 'landed') continue;
      places.set(place, [...(places.get(place) ?? []), { strand: strand.id, end }]);
    }
  return places;
}

interface Inspection {
  readonly id: string;
  readonly kinds: readonly FaultKind[];
  /** Of every wire there, or of those that are named. */
  readonly ask: (wires: string | null) => string;
  readonly how: string;
  readonly fine: string;
  readonly minutesEach: number;
}

const INSPECTIONS: readonly Inspection[] = [
  {
    id: 'tug',
    kinds: ['conductor-loose'],
    ask: (wires) =>
      wires === null
        ? 'tug at every wire: is one loose in its screw?'
        : `tug at ${wires}: loose in the screw?`,
    how: 'Gently, one by one. Look that the screw holds copper, not insulation.',
    fine: 'All hold',
    minutesEach: 0.4
  },
  {
    id: 'screws',
    kinds: ['conductors-swapped', 'wrong-terminal'],
    ask: (wires) =>
      wires === null
        ? 'compare each wire’s screw with the sheet: is one on another?'
        : `compare the screw of ${wires} with the sheet: on another?`,
    how: 'By colour and letter, one by one.',
    fine: 'All as on the sheet',
    minutesEach: 0.4
  },
  {
    id: 'touching',
    kinds: ['short-to-common', 'conductors-shorted'],
    ask: () => 'does bare copper of a wire touch another screw or wire?',
    how: 'Look from the side with a light; stray copper is short.',
    fine: 'None touches',
    minutesEach: 0.3
  }
];
/** Looked at all at once: bare copper that touches is seen, or it is not. */
const WHOLE_ONLY: ReadonlySet<string> = new Set(['touching']);

type Hit = (cause: Cause, strand: string) => boolean;

export const inspections: ObservationRule = {
  observationsOf: (situation) => {
    const { wiring } = situation;
    return INSPECTIONS.flatMap((inspection) =>
      [...endsByPlace(wiring)].flatMap(([place, ends]) => {
        const hit: Hit = (cause, strand) =>
          inspection.kinds.includes(cause.kind as FaultKind) &&
          (cause.hits.strands ?? []).includes(strand) &&
          ends.some(
            (end) => end.strand === strand && (cause.hits.end === undefined || cause.hits.end === end.end)
          );
        const all = ends
          .map(({ strand }) => strand)
          .filter((strand) => situation.causes.some((cause) => hit(cause, strand)));
        if (all.length === 0) return [];
        const parts = WHOLE_ONLY.has(inspection.id) ? [] : partsOf(situation, all, hit);
        const whole = inspectionAt(situation, inspection, place, { strands: all, part: null, hit });
        return [
          whole,
          ...parts.map(([part, strands]) =>
            inspectionAt(situation, inspection, place, { strands, part, hit })
          )
        ];
      })
    );
  }
};

/** What is looked at: wires by their ids, and what they are a part for; null for all that are there. */
interface Inspected {
  readonly strands: readonly string[];
  readonly part: 'display' | Call | null;
  readonly hit: Hit;
}

/**
 * Wires that only matter for the display, or for a call: without one of them it is dark, or something of the call does not run. The circuit
 * says which; who looks for a dark display need not tug at the wire of the outdoor unit.
 */
function partsOf(situation: Situation, all: readonly string[], hit: Hit): [Call | 'display', string[]][] {
  const parts = new Map<Call | 'display', string[]>();
  const calls = situation.table.calls.filter((call) => call !== 'idle' && !call.includes('+'));
  const put = (part: Call | 'display', strands: readonly string[]) =>
    parts.set(part, [...new Set([...(parts.get(part) ?? []), ...strands])]);
  for (const {
    causes: [only, second],
    ...rest
  } of situation.list) {
    if (only === undefined || second !== undefined) continue;
    const cause = situation.causes[only]!;
    const strands = all.filter((candidate) => hit(cause, candidate));
    if (strands.length === 0) continue;
    const hypothesis = { causes: [only], ...rest };
    if (displayOf(situation, hypothesis, [cause]) !== 'lit') put('display', strands);
    else
      for (const call of calls)
        if (
          soundRuns(situation, call).some(
            (load) => runsIn(situation, hypothesis, [cause], call, load) === false
          )
        )
          put(call, strands);
  }
  const known = new Set<string>();
  return [...parts].filter(([, strands]) => {
    const key = [...strands].sort().join(' ');
    if (strands.length === all.length || known.has(key)) return false;
    known.add(key);
    return true;
  });
}

function inspectionAt(
  situation: Situation,
  { id, ask, how, fine, minutesEach }: Inspection,
  place: string,
  { strands, part, hit }: Inspected
): Observation {
  const { wiring } = situation;
  const name = (strand: string) => wiring.strands.find((found) => found.id === strand)?.name ?? strand;
  const answers: Answer[] = [
    { value: 'fine', label: fine },
    ...strands.map((strand) => ({ value: strand, label: `The ${name(strand)} wire` }))
  ];
  // An outlet is on the wall's side too, and is another place: its screws are looked at there.
  const atWall = place === wallPlace(wiring);
  const named = strands.map((strand) => `the ${name(strand)} wire`);
  return {
    ...OFF,
    id: `${id}-${atWall ? 'wall' : place}${part === null ? '' : `-${part}`}`,
    ask: `${atWall ? 'At the wall' : `At ${placeName(wiring, place)}`}: ${ask(part === null ? null : and(named))}`,
    how,
    place,
    minutes: Math.max(1, strands.length * minutesEach),
    answers,
    chances: chancesOf(situation, answers, (_, causes) => {
      const found = strands.findIndex((strand) => causes.some((cause) => hit(cause, strand)));
      return found + 1;
    })
  };
}

function placeName(wiring: Wiring, place: string): string {
  return wiring.places.find(({ id }) => id === place)?.name ?? 'the machine';
}

const WHOLE: readonly [Answer, Answer] = [
  { value: 'whole', label: 'It beeps: whole' },
  { value: 'open', label: 'Silent: broken' }
];

/** A wire from end to end: two places, or a second person. */
export const continuity: ObservationRule = {
  observationsOf: (situation) =>
    situation.causes
      .filter(({ kind }) => kind === 'conductor-broken')
      .flatMap((cause) => {
        const [strand] = cause.hits.strands ?? [];
        const name = situation.wiring.strands.find(({ id }) => id === strand)?.name;
        if (strand === undefined || name === undefined) return [];
        return [
          {
            id: `continuity-${strand}`,
            ask: `Power off, both ends off their screws: is the ${name} wire whole from end to end?`,
            how: 'Join it to another wire at the far end, and put a meter on beep across the two here.',
            place: wallPlace(situation.wiring),
            power: 'off' as const,
            needs: 'helper' as const,
            call: null,
            minutes: 5,
            answers: WHOLE,
            volts: null,
            chances: chancesOf(situation, WHOLE, (_, causes) =>
              Number(
                causes.some(
                  ({ kind, hits }) =>
                    (kind === 'conductor-broken' || kind === 'conductor-nicked') &&
                    hits.strands?.includes(strand)
                )
              )
            )
          }
        ];
      })
};

const JUMPERS: readonly Answer[] = [
  { value: 'right', label: 'As on the sheet' },
  { value: 'missing', label: 'One is missing' },
  { value: 'too-many', label: 'One was left in' }
];

export const jumpers: ObservationRule = {
  observationsOf: (situation) => {
    if (!situation.causes.some(({ kind }) => kind === 'link-missing' || kind === 'link-left-in')) return [];
    return [
      {
        ...OFF,
        id: 'jumpers',
        ask: 'Compare the jumpers with the sheet, at the wall and at the machine.',
        how: 'Clips between R, RH and RC; short pieces of wire such as Y to G.',
        place: wallPlace(situation.wiring),
        minutes: 2,
        answers: JUMPERS,
        chances: chancesOf(situation, JUMPERS, (_, causes) =>
          causes.some(({ kind }) => kind === 'link-missing')
            ? 1
            : causes.some(({ kind }) => kind === 'link-left-in')
              ? 2
              : 0
        )
      }
    ];
  }
};
