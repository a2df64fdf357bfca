import { settingsReport } from '$core/formats/handover-report';
import { settingsOf } from '$core/handover/settings';
import { SETTING_NAMES, settingValueName } from '$core/trade/settings';
import { otherwiseText, placeText, reasonText } from '$core/handover/setting-words';
import type { Arguments } from '../arguments';
import type { Outcome } from '../outcome';
import { wrap } from '../page';
import { finishedFromArguments, isFinished, mainsFromArguments } from './finished';
import { settingsOutcome } from './mains/after';

/** What the thermostat has to be told in this house. */
export async function settings(args: Arguments): Promise<Outcome> {
  const mains = await mainsFromArguments(args);
  if (mains) return settingsOutcome(mains, args);
  const finished = await finishedFromArguments(args);
  if (!isFinished(finished)) return finished;
  const sheet = settingsOf(finished);
  const lines = sheet.settings.flatMap((setting) => {
    const said = setting.value === null ? 'not known yet' : settingValueName(setting.id, setting.value);
    const place = placeText(sheet.style, setting);
    return [
      ...wrap(`${SETTING_NAMES[setting.id]}: ${said}${place === '' ? '' : ` [${place}]`}`, '', '  '),
      ...wrap(setting.ask === '' ? reasonText(setting.reason) : setting.ask, '  ', '  '),
      ...(setting.presetWrong === null
        ? []
        : wrap(`Comes set to “${setting.presetWrong}”: wrong here.`, '  ', '  ')),
      ...setting.otherwise.flatMap((other) => wrap(otherwiseText(setting.id, other), '  - ', '    '))
    ];
  });
  return {
    kind: 'result',
    json: settingsReport(finished.thermostat.id, sheet),
    page: [`${finished.thermostat.name}: set it up before anything runs`, '', ...lines].join('\n')
  };
}
