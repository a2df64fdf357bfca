/** What hands on the wires tell, with the power off: loose, on another screw, touching, broken on the way, a jumper too many or too few. */
import { placeOfEnd, sideOf, wallPlace, type StrandEnd, type Wiring } from '../../wiring/graph';
import type { Cause } from '../causes/types';
import type { FaultKind } from '../types';
import { chancesOf } from './predict';
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
  readonly ask: string;
  readonly how: string;
  readonly fine: string;
  readonly minutesEach: number;
}

const INSPECTIONS: readonly Inspection[] = [
  {
    id: 'tug',
    kinds: ['conductor-loose'],
    ask: 'Tug at every wire: is one loose in its screw?',
    how: 'Gently, one by one. Look that the screw holds copper, not insulation.',
    fine: 'All hold',
    minutesEach: 0.4
  },
  {
    id: 'screws',
    kinds: ['conductors-swapped', 'wrong-terminal'],
    ask: 'Compare each wire’s screw with the sheet: is one on another?',
    how: 'By colour and letter, one by one.',
    fine: 'All as on the sheet',
    minutesEach: 0.4
  },
  {
    id: 'touching',
    kinds: ['short-to-common', 'conductors-shorted'],
    ask: 'Does bare copper of a wire touch another screw or wire?',
    how: 'Look from the side with a light; stray copper is short.',
    fine: 'None touches',
    minutesEach: 0.3
  }
];

export const inspections: ObservationRule = {
  observationsOf: (situation) => {
    const { wiring } = situation;
    return INSPECTIONS.flatMap((inspection) =>
      [...endsByPlace(wiring)].flatMap(([place, ends]) => {
        const hit = (cause: Cause, strand: string) =>
          inspection.kinds.includes(cause.kind as FaultKind) &&
          (cause.hits.strands ?? []).includes(strand) &&
          ends.some(
            (end) => end.strand === strand && (cause.hits.end === undefined || cause.hits.end === end.end)
          );
        const suspects = ends.filter(({ strand }) => situation.causes.some((cause) => hit(cause, strand)));
        if (suspects.length === 0) return [];
        return [inspectionAt(situation, inspection, place, suspects, hit)];
      })
    );
  }
};

function inspectionAt(
  situation: Situation,
  { id, ask, how, fine, minutesEach }: Inspection,
  place: string,
  suspects: readonly { readonly strand: string }[],
  hit: (cause: Cause, strand: string) => boolean
): Observation {
  const { wiring } = situation;
  const name = (strand: string) => wiring.strands.find((found) => found.id === strand)?.name ?? strand;
  const answers: Answer[] = [
    { value: 'fine', label: fine },
    ...suspects.map(({ strand }) => ({ value: strand, label: `The ${name(strand)} wire` }))
  ];
  const side = sideOf(wiring, place) === 'wall' ? 'wall' : 'machine';
  return {
    ...OFF,
    id: `${id}-${side === 'wall' ? 'wall' : place}`,
    ask: `${side === 'wall' ? 'At the wall' : `At ${placeName(wiring, place)}`}: ${ask.charAt(0).toLowerCase()}${ask.slice(1)}`,
    how,
    place,
    minutes: Math.max(1, suspects.length * minutesEach),
    answers,
    chances: chancesOf(situation, answers, (_, causes) => {
      const found = suspects.findIndex(({ strand }) => causes.some((cause) => hit(cause, strand)));
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
