/** The plan of a whole job as PDF: what each gets, shared transformers, what to buy, one trip with its moves. */
import { findingText } from '$core/words/findings/table';
import type { Content } from 'pdfmake/interfaces';
import type { SharedSupply } from '$core/plan/shared-supply';
import type { Together } from '$core/plan/together';
import { bagFor } from '$core/plan/tools';
import { callName } from '$core/trade/calls';
import { VERDICT_NAMES } from '$core/trade/vocabulary';
import { costText, minutesText, partText } from '../moves/bands';
import {
  byTheMetreText,
  deviceText,
  jointGroups,
  jointPictures,
  ownerOf,
  rollText,
  wayText,
  type Names
} from '../together/words';
import { cautionBox, movesTable } from './moves-pdf';
import { contentAsPdf } from './pdf';

export interface TogetherSheet {
  readonly together: Together;
  readonly title: string;
  readonly names: Names;
  /** Ids of the thermostats whose way the user has chosen. */
  readonly chosen: ReadonlySet<string>;
}

export function togetherAsPdf(sheet: TogetherSheet): Promise<Blob> {
  return contentAsPdf(togetherContent(sheet), sheet.title);
}

/** What stands in it, before it is made into pages. */
export function togetherContent({ together, title, names, chosen }: TogetherSheet): Content[] {
  const pictures = jointPictures(together);
  const moves = jointGroups(together.moves, names).flatMap((group): Content[] => [
    { text: group.head, style: 'head' },
    ...movesTable(
      group.moves.map((move, at) => ({
        move,
        number: group.first + at,
        whose: ownerOf(move, names),
        before: pictures.get(move.id)?.[0],
        after: pictures.get(move.id)?.[1]
      }))
    )
  ]);
  return [
    { text: title, style: 'title' },
    cautionBox(),
    ...ways(together, chosen),
    ...together.shared.flatMap(sharedContent),
    ...(together.moves.length === 0 ? [] : shopping(together)),
    ...moves
  ];
}

function ways({ places, moves, minutes, minutesApart }: Together, chosen: ReadonlySet<string>): Content[] {
  const lines = places.map((place): Content => {
    const { thermostat, option } = place;
    const name = { text: `${thermostat.name}: `, bold: true };
    return {
      text: [name, `${VERDICT_NAMES[option.verdict]}. ${wayText(place, chosen.has(thermostat.id))}`]
    };
  });
  const minds = mindsOf(places);
  return [
    { ul: lines },
    ...(moves.length === 0
      ? [{ text: 'Nothing is moved: no way is open for any of them, or all are left as they are.' }]
      : [
          {
            text: `All of it takes ${minutesText(minutes)}; one after the other it would be ${minutesText(minutesApart)}.`,
            margin: [0, 6, 0, 0] as [number, number, number, number]
          }
        ]),
    ...(minds.length > 0 ? [{ text: 'To mind', style: 'head' }, { ul: minds }] : [])
  ];
}

/** What stops or warns goes with the paper, as it stands beside each way on the screen; what holds for several is said once. */
function mindsOf(places: Together['places']): string[] {
  const whose = new Map<string, string[]>();
  for (const { thermostat, option } of places)
    for (const finding of option.findings) {
      if (finding.level === 'note') continue;
      const text = findingText(finding);
      const said = finding.level === 'stop' ? `STOP. ${text}` : text;
      whose.set(said, [...(whose.get(said) ?? []), thermostat.name]);
    }
  return [...whose].map(([text, names]) => `${names.join(', ')}: ${text}`);
}

function sharedContent({ name, ratedVa, plannedVa, rows, overloaded, enough }: SharedSupply): Content[] {
  const head = `Transformer of ${name}, ${plannedVa ?? ratedVa} VA, with all calling at once`;
  const va = (value: number | null) => (value === null ? '–' : `${value.toFixed(0)} VA`);
  const body = [
    ['Call', 'Today', 'Afterwards', 'Of its rating'].map((text) => ({ text, bold: true })),
    ...rows.map((row) => [
      callName(row.call),
      va(row.before),
      va(row.after),
      `${(100 * row.share).toFixed(0)} %`
    ])
  ];
  const larger = enough === null ? '' : ` One of ${enough} VA would carry them all.`;
  return [
    { text: head, style: 'head' },
    { table: { headerRows: 1, widths: ['*', 70, 70, 70], body }, layout: 'lightHorizontalLines' },
    ...(overloaded ? [{ text: `Too much.${larger}`, bold: true }] : [])
  ];
}

function shopping({ places, parts, cuts, cost, moves }: Together): Content[] {
  const rows = [
    ...places.filter((place) => place.works).map(deviceText),
    ...parts.filter((part) => part.run === undefined).map(partText),
    ...cuts.rolls.map(rollText),
    ...cuts.byTheMetre.map(byTheMetreText)
  ];
  return [
    { text: 'To buy, for all', style: 'head' },
    { ul: rows },
    {
      text: `Parts and cable ${costText(cost)}, without the thermostats and without whoever is paid for mains work.`
    },
    { text: 'In the bag', style: 'head' },
    { text: bagFor(moves).join(', ') }
  ];
}
