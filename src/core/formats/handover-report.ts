/** Settings, tests and the as-built record as plain data: for the command line, the page and other tools. */
import type { AsBuilt } from '../handover/as-built';
import { cautionText, jumperText, settingText, systemSettings } from '../handover/as-built-words';
import { seasonGate, warmDayFrom } from '../handover/season';
import { mayBeMade, type SettingsSheet } from '../handover/settings';
import { otherwiseText, placeText, reasonText } from '../handover/setting-words';
import type { TestPlan } from '../handover/test-plan';
import { airText, stopText, testTitle, whatToDo } from '../handover/test-words';

import { SETTING_NAMES, settingValueName } from '../trade/settings';
import type { Units } from '../trade/units';

export function settingsReport(thermostat: string, sheet: SettingsSheet) {
  return {
    thermostat,
    wiring: sheet.which,
    style: sheet.style,
    settings: sheet.settings.map((setting) => ({
      setting: setting.id,
      name: SETTING_NAMES[setting.id],
      value: setting.value,
      says: setting.value === null ? null : settingValueName(setting.id, setting.value),
      device: placeText(sheet.style, setting) || null,
      presetWrong: setting.presetWrong,
      reason: reasonText(setting.reason),
      ask: setting.ask === '' ? null : setting.ask,
      otherwise: setting.otherwise.map((other) => ({
        value: other.value,
        says: otherwiseText(setting.id, other),
        calls: other.calls
      })),
      made: setting.made,
      mayBeMade: mayBeMade(sheet, setting.id)
    }))
  };
}

export interface Season {
  /** °C; null where nobody has read it. */
  readonly outdoorC: number | null;
  /** `YYYY-MM-DD` to put off from, and the weather year to look for a warm day in. */
  readonly today: string;
  readonly hourly: Float64Array;
}

export function testsReport(
  thermostat: string,
  plan: TestPlan,
  units: Units,
  { outdoorC, today, hourly }: Season
) {
  const warm = warmDayFrom(hourly, today);
  return {
    thermostat,
    wiring: plan.which,
    window: plan.window,
    tests: plan.steps.map((step, at) => {
      const gate = seasonGate(step, outdoorC);
      return {
        order: at + 1,
        call: step.call,
        title: testTitle(step, (id) => id),
        do: whatToDo(step),
        waitSeconds: step.wait,
        mustRun: step.mustRun,
        mayRun: step.mayRun,
        mustNotRun: step.mustNotRun,
        lost: step.lost,
        volts: step.volts,
        air: step.air,
        airSays: airText(step, units) || null,
        stopWhen: stopText(step),
        open: gate.open,
        putOff: gate.open || gate.why !== 'too-cold' ? null : { why: gate.why, until: warm }
      };
    }),
    takenAway: plan.takenAway
  };
}

export function handoverReport({ wiring, ...built }: AsBuilt, codes: readonly string[]) {
  return {
    ...built,
    settings: systemSettings(built.settings),
    cautions: built.cautions.map((caution) => ({ ...caution, says: cautionText(caution) })),
    jumpers: built.jumpers.map((jumper) => ({ ...jumper, says: jumperText(jumper) })),
    says: systemSettings(built.settings).map(settingText),
    devices: wiring.devices.map(({ id, kind, name }) => ({ id, kind, name })),
    codes
  };
}
