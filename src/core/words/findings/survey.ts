import type { PayBack, SurveyParams } from '../../findings/params';
import { dayText } from '../../trade/figures';
import { HOME_SYSTEM_NAMES } from '../../trade/home-systems';
import { shownText } from '../../trade/units';
import type { Sentences } from './sentences';

const yearsText = (years: number) =>
  years === Infinity ? 'never' : years < 1 ? 'under a year' : `${years.toFixed(years < 3 ? 1 : 0)} years`;

/** The middle, with its limits where they differ from it. */
function bandText({ low, mid, high }: PayBack['years']): string {
  const [soon, middle, late] = [low, mid, high].map(yearsText);
  return soon === late ? `${middle}` : `${middle} (${soon} to ${late})`;
}

const money = (dollars: number) => `$${dollars.toFixed(0)}`;

function savesText({ dollars, outlay, years, thermostats }: PayBack): string {
  if (outlay === 0)
    return `saves about ${money(dollars.mid)} a year (${money(dollars.low)} to ${money(dollars.high)}), and nothing is laid out`;
  const all = thermostats > 1 ? ` for all ${thermostats} thermostats` : '';
  return `saves about ${money(dollars.mid)} a year (${money(dollars.low)} to ${money(dollars.high)}), and ${money(outlay)}${all} are back in ${bandText(years)}`;
}

export const SURVEY: Sentences<SurveyParams> = {
  'signal-poor': ({ medianDbm, leastDbm }) =>
    `The signal at the wall is poor (${medianDbm} dBm in the middle; below ${leastDbm} devices drop off). Improve it before buying: move the router, add a repeater, or choose a model with another band.`,
  'signal-marginal': ({ medianDbm, worstDbm, goodDbm }) =>
    `The signal at the wall is marginal (${medianDbm} dBm in the middle, ${worstDbm} at worst; better than ${goodDbm} is good). Read again at another hour, doors closed; moving the router or a repeater may be needed.`,
  'signal-not-read': () =>
    'The signal at the wall was not read yet: a phone held against the old plate is enough.',
  'no-internet': () =>
    'There is no working connection in the house: a connected thermostat would be an ordinary one. Get the connection first, or buy an ordinary one.',
  'no-way-open': ({ model, why }) => {
    if (why === 'together')
      return 'Each thermostat alone would do; together they ask for more than their transformer gives. See All together, and buy none before that is settled.';
    if (model !== null)
      return `No way of feeding the ${model} is open here: C wire says of each what closes it. Do not buy it before one is.`;
    return why === 'device'
      ? 'Whether a thermostat can be fed here depends on which: choose one under Thermostat, and see C wire.'
      : 'No way of feeding a thermostat is open here: C wire says of each what closes it. Buy none before one is.';
  },
  'pays-nothing': ({ why }) =>
    `It will not pay: ${why ?? 'the saving would be next to nothing'}. Buy one only to reach it from outside, or for what it shows.`,
  'pay-back-long': (fact) => `It pays little: it ${savesText(fact)}.`,
  'pays-back': (fact) => `By the house model it ${savesText(fact)}. Cooling is not counted.`,
  'setback-costs': ({ dollars }) =>
    `To set back would cost here: about ${money(dollars)} more a year. The strips bring the house back, and take more than the lower temperature saves. Keep one setting, or have the thermostat bring the house back without its strips.`,
  'recovery-long': ({ usualH, coldH }) =>
    `After a setback the house takes about ${usualH} h to be warm again, and ${coldH} h on a cold day: it is started that much earlier, or the room is cool that long.`,
  'works-not-with': ({ model, systems, said }) => {
    const names = systems.map((system) => HOME_SYSTEM_NAMES[system]).join(' and ');
    return said
      ? `By its sheet, the ${model} does not work with ${names}.`
      : `The sheet of the ${model} does not say whether it works with ${names}: ask before you buy.`;
  },
  'drying-too-long': ({ needsH, staysH, lowestC, dries, weather, until }, units) => {
    const instead = dries
      ? ' A cover plate needs no drying; or hang the old thermostat back on its wires, held clear of the wet wall, while it dries.'
      : ' Warm the house well beforehand, and have another heater at hand.';
    const day =
      until === null ? '' : ` By the weather of ${weather} the first day that suits is ${dayText(until)}.`;
    return `The wall work leaves the house ${needsH.toFixed(1)} h without heat; it may be below ${shownText(lowestC, 'temperature', units)} after ${staysH.toFixed(1)} h.${instead}${day}`;
  },
  'old-one-broken': () =>
    'The old system does not work today. A new thermostat mends no machine: have the cause found first, or the two faults will look like one.',
  'cooling-test-put-off': ({ warmestC, leastC, day }, units) => {
    const temperature = (celsius: number) => shownText(celsius, 'temperature', units);
    return `Cooling cannot be tested on that day (${temperature(warmestC)} at its warmest; ${temperature(leastC)} are needed, or the compressor is hurt). The test is put off${day === null ? '' : ` to about ${dayText(day)}`}: keep the receipt until then.`;
  },
  'frail-people': ({ lowestC }, units) =>
    `Somebody old, ill or very young lives there, and it is cold on that day: have another heater running before the heating goes off, and stop at ${shownText(lowestC, 'temperature', units)}.`,
  'pipes-can-freeze': () =>
    'Pipes may freeze on that day: plan the hours without heat, let taps drip in the cold rooms, and do not leave the house off overnight.',
  'accessory-relay': ({ what, accessory, machine, model }) => {
    const name = `${accessory} on ${machine}`;
    switch (what) {
      case 'no-terminal':
        return `The ${model} has no terminal for the ${name}: it keeps a control of its own, or is lost.`;
      case 'own-relay':
        return `The ${name} needs a relay of its own between the thermostat and it: buy one with a 24 V coil.`;
      case 'not-known':
        return `Whether the ${name} needs a relay of its own is not known: read its plate (anything but 24 V needs one).`;
    }
  },
  'path-stapled': ({ stretches }) =>
    `Stapled on the way (${stretches.join(', ')}): the old cable cannot lead a new one there. Another way, or another method.`,
  'gauge-too-thin': ({ lengthM, mostDropV }, units) =>
    `On ${shownText(lengthM, 'length', units)} even 16 AWG drops more than ${mostDropV} V: a shorter way, or a supply near the thermostat.`,
  'house-not-known': ({ missing }) =>
    `Not answered: ${missing.join(', ')}. The band is wide for that reason.`,
  'house-facts-doubtful': (fact, units) => {
    switch (fact.what) {
      case 'floor':
        return `A heated floor of ${shownText(fact.areaM2, 'area', units)} is outside ${shownText(fact.fromM2, 'area', units)} to ${shownText(fact.toM2, 'area', units)}: check the number and its unit.`;
      case 'time-constant':
        return `With these answers the house would cool with a time constant of ${fact.hours.toFixed(0)} h; houses are between ${fact.from} and ${fact.to} h.`;
      case 'too-weak':
        return `${fact.kw} kW of heating could not hold ${shownText(20, 'temperature', units)} in the coldest hour (${fact.needKw.toFixed(1)} kW at least): check the plate, or the answers on insulation.`;
      case 'too-strong':
        return `${fact.kw} kW is more than 600 W for each square metre: check the plate’s unit.`;
    }
  }
};
