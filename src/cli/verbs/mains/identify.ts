import type { MainsControls } from '$core/job/mains-schema';
import { planMains } from '$core/plan/mains/plan';
import { LAYOUT_NAMES } from '$core/trade/mains';
import { percentText } from '$core/trade/figures';
import { controllerName } from '$core/match/mains/controllers';
import { mainsLines, table, wrap } from '../../page';

/** The layout, what it follows from, and what nobody can explain yet. */
export function layoutLines(mains: MainsControls): string[] {
  const { identification: found, questions, today } = planMains(mains);
  const [next] = found.next;
  return [
    `  Layout: ${LAYOUT_NAMES[found.layout]}${found.decided ? ` (${percentText(found.probability)})` : ''}`,
    ...table(
      found.candidates
        .filter(({ probability }) => probability >= 0.01)
        .slice(0, 4)
        .map(({ layout, probability }) => [percentText(probability), LAYOUT_NAMES[layout]])
    ),
    ...found.readings.map(({ sentence }) => `  - ${sentence}`),
    ...mainsLines([...questions, ...today]),
    ...(next
      ? wrap(
          `Next: ${next.question.ask} (${next.gain.toFixed(2)} bit, a ${next.question.effort})`,
          '  ',
          '    '
        )
      : [])
  ];
}

export function matchLines(mains: MainsControls): string[] {
  return planMains(mains).matches.flatMap(({ facts, verdict, fits, methods, known, closing }) => [
    `  ${verdict.padEnd(4)}  ${controllerName(facts)} (${facts.id})${fits === null ? '' : `, for ${fits}`}${
      closing === 'asks'
        ? ', not known yet'
        : fits !== null && known === 'so-far'
          ? ', as far as is read'
          : ''
    }`,
    ...methods.flatMap((match) => [
      `        ${match.method}: ${match.verdict}`,
      ...mainsLines(match.findings, '          ')
    ])
  ]);
}
