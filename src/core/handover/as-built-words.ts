/** As built in words: what stands on the sheet in the door. */
import { SYSTEM_SETTINGS } from '../trade/setting-ids';
import { settingValueName, SETTING_NAMES } from '../trade/settings';
import type { SettingMade, TestDone, TestResult } from '../job/after-schema';
import { counted } from '../words/text';
import type { AsBuilt, BuiltEnd, BuiltJumper, BuiltSupply, BuiltWire, Caution } from './as-built';

const STATES: Readonly<Record<BuiltEnd['state'], string>> = {
  landed: '',
  loose: 'loose',
  coiled: 'coiled',
  unseen: 'not seen'
};

/** `C`, `coiled`; with the machine where several are wired to. */
export function endText({ state, mark, at }: BuiltEnd, several: boolean): string {
  if (state !== 'landed') return STATES[state];
  return several && at !== '' ? `${mark} (${at})` : mark;
}

/** The machines that wires end at are several, so each end says which. */
export function hasSeveralMachines({ wires }: Pick<AsBuilt, 'wires'>): boolean {
  return (
    new Set(wires.filter(({ machine }) => machine.state === 'landed').map(({ machine }) => machine.at)).size >
    1
  );
}

export function wireNote({ spare, broken, joint, colourBeyond, wall, machine, was }: BuiltWire): string {
  const shares = [...new Set([...wall.shares, ...machine.shares])];
  return [
    spare ? 'spare' : '',
    broken ? 'broken' : '',
    joint === 'no' ? '' : joint === 'seen' ? 'has a joint' : 'has a joint that nobody has seen',
    was === '' ? '' : was === 'new' ? 'new' : `was ${was}`,
    colourBeyond === '' ? '' : `${colourBeyond} at the machine`,
    shares.length > 0 ? `shares a screw with ${shares.join(', ')}` : ''
  ]
    .filter(Boolean)
    .join('; ');
}

export function jumperText({ a, b, side }: BuiltJumper): string {
  return `Jumper at the ${side === 'wall' ? 'wall' : 'machine'}: ${a} to ${b}`;
}

export function supplyText({ name, va, fuseAmps, where }: BuiltSupply): string {
  const facts = [va === null ? '' : `${va} VA`, fuseAmps === null ? '' : `fuse ${fuseAmps} A`].filter(
    Boolean
  );
  return `${name}${facts.length > 0 ? ` (${facts.join(', ')})` : ''}: ${where}`;
}

/** Settings of the system: what belongs to the people in the house, and when they are away, is nobody's who opens a door. */
export function systemSettings(settings: readonly SettingMade[]): SettingMade[] {
  return settings.filter(({ setting }) => SYSTEM_SETTINGS.has(setting));
}

export function settingText({ setting, value }: Pick<SettingMade, 'setting' | 'value'>): string {
  return `${SETTING_NAMES[setting]}: ${settingValueName(setting, value)}`;
}

export const RESULT_WORDS: Readonly<Record<TestResult, string>> = {
  good: 'good',
  bad: 'not good',
  'put-off': 'put off',
  cannot: 'cannot be tested'
};

/** `good`, `put off until 2027-05-03`, `not good: no air`. */
export function resultText(
  { result, until, why }: Pick<TestDone, 'result' | 'until' | 'why'>,
  dayOf = (day: string) => day
): string {
  const day = result === 'put-off' && until !== null ? ` until ${dayOf(until)}` : '';
  return `${RESULT_WORDS[result]}${day}${why === '' ? '' : `: ${why}`}`;
}

export function cautionText(caution: Caution): string {
  switch (caution.code) {
    case 'supplies':
      return `${caution.count} supplies: every one has to be off, and proven off.`;
    case 'colour':
      return `The ${caution.wire} is on ${caution.mark}: its colour says something else.`;
    case 'hidden-joint':
      return `The ${caution.wire} has a joint on its way that nobody has seen.`;
    case 'brittle':
      return `The insulation of the ${caution.wire} is brittle: do not bend it.`;
    case 'broken':
      return `The ${caution.wire} is broken on its way: do not use it.`;
    case 'part':
      return `A ${caution.name} is part of the wiring${caution.at === '' ? '' : ` (${caution.at})`}: the thermostat does not work without it.`;
    case 'unseen':
      return `${counted(caution.count, 'end was', 'ends were')} not seen: look before you trust this sheet there.`;
    case 'behind-switch':
      return `The transformer of ${caution.machine} is behind its switch or limit: the thermostat goes dark with it.`;
    case 'not-finished':
      return `The work is not finished: ${counted(caution.left, 'step is', 'steps are')} left.`;
  }
}
