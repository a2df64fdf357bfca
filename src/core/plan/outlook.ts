/** What the ways of a plan say as a whole: whether one is open, and whether they are closed by what all thermostats ask for together. */
import type { Option } from '../supply/options';

type Ways = readonly Pick<Option, 'standing' | 'verdict' | 'findings'>[];

/** Some way of feeding a thermostat is open. */
export function isFeedable(options: Ways): boolean {
  return options.some(({ standing, verdict }) => standing !== 'left' && verdict !== 'no');
}

/** Each alone would do; all on one transformer ask for more than it gives. */
export function isTooMuchTogether(options: Ways): boolean {
  return options.some(({ findings }) => findings.some(({ code }) => code === 'overloaded-together'));
}
