/**
 * What comes once it is lit: how long settings and tests take to be derived, how many codes the record of a finished house takes, and how long a
 * code takes to be read from a print.
 */
import jsQR from 'jsqr';
import { writeLeftCodes } from '$core/formats/left-code';
import { settingsOf } from '$core/handover/settings';
import { finishedOf } from '$core/handover/subject';
import { testPlanOf } from '$core/handover/test-plan';
import { worked, type FinishedHouse } from '$core/houses/finished';
import { generatedHouse } from '$core/houses/generate';
import { printed } from '$core/houses/photographed';
import { SCHOOLHOUSE } from '$demo/schoolhouse';
import { planFor } from '$core/plan/plan';
import { secondsPer } from './measure';
import type { Part } from './part';

const HOUSES = 12;
const ms = (seconds: number) => `${(seconds * 1000).toFixed(1)} ms`;

function quantile(values: readonly number[], share: number): number {
  return [...values].sort((first, second) => first - second)[Math.floor(share * (values.length - 1))] ?? NaN;
}

/** Drawn houses whose recommended way was carried out; those that have none are left out. */
function finishedHouses(): FinishedHouse[] {
  return Array.from({ length: HOUSES }, (_, at) => generatedHouse(at + 1)).flatMap(({ job, thermostat }) => {
    const plan = planFor(job, thermostat);
    return plan.moves.length > 0 ? [worked({ job, thermostat })] : [];
  });
}

export const finishBench: Part = {
  name: 'finish',
  run: () => {
    const [classroom] = SCHOOLHOUSE.thermostats;
    const plan = planFor(SCHOOLHOUSE, classroom!);
    const finished = finishedOf(SCHOOLHOUSE, classroom!, plan);
    if ('code' in finished) return [finished.code];
    const settings = secondsPer(20, () => void settingsOf(finished));
    const tests = secondsPer(20, () => void testPlanOf(finished));
    const all = finishedHouses();
    const codes = all.map(({ job, thermostat }) =>
      writeLeftCodes(job, thermostat, 'https://ulterum.example')
    );
    const characters = codes.map((list) => list.reduce((sum, code) => sum + code.length, 0));
    const pack = secondsPer(
      10,
      () => void writeLeftCodes(all[0]!.job, all[0]!.thermostat, 'https://ulterum.example')
    );
    const { data, width, height } = printed(codes[0]![0]!, 50, 300);
    const read = secondsPer(5, () => void jsQR(data, width, height));
    const shares = [1, 2, 3, 4].map(
      (most) => `${most}: ${codes.filter((list) => list.length === most).length}`
    );
    return [
      `the classroom's settings ${ms(settings)}, its tests ${ms(tests)}`,
      `${all.length} drawn houses with every step done: ${quantile(characters, 0.5)} characters in all codes as a rule, ${quantile(characters, 0.95)} at the 95th percentile; houses by number of codes: ${shares.join(', ')}`,
      `making the codes ${ms(pack)}; reading one from a print of 50 mm at 300 dots an inch ${ms(read)}`
    ];
  }
};
