/**
 * Answers and readings as they are typed: `display-dark` (an observation and its answer), `smell` (a stop), and
 * `R:C@heat1=24.1` for a reading: two screws, the call, optionally `,head-off`, and the volts. A screw is its mark at the wall, or
 * `PLACE.MARK` with the id of a device, `wall` or `machine`.
 */
import type { Prepared, Seen } from '../diagnose/diagnosis';
import { triedLook } from '../diagnose/observations/tried';
import { triedId } from '../diagnose/tried-code';
import type { OwnReading } from '../diagnose/state';
import { stopSign } from '../diagnose/stop-signs';
import { readCall } from '../trade/calls';
import { boards, screwThat, wallThermostat, type TerminalId, type Wiring } from '../wiring/graph';

/** An answer by its code, or what is known instead. */
export function readSeen(
  { observations, situation }: Pick<Prepared, 'observations' | 'situation'>,
  code: string
): Seen | { readonly why: string } {
  if (stopSign(code)) return { observation: code, answer: 'yes' };
  const tried = situation.causes
    .filter(({ id }) => code.startsWith(`${triedId(id)}-`))
    .flatMap(({ id }) => triedLook({ situation }, triedId(id)) ?? []);
  for (const { id, answers } of [...observations, ...tried]) {
    if (!code.startsWith(`${id}-`)) continue;
    const value = code.slice(id.length + 1);
    if (answers.some((answer) => answer.value === value)) return { observation: id, answer: value };
  }
  const [near] = observations.filter(({ id }) => code.startsWith(id));
  return {
    why: near
      ? `no answer "${code.slice(near.id.length + 1)}" to ${near.id}; known: ${near.answers.map(({ value }) => value).join(', ')}`
      : `nothing called "${code}" can be seen in this house`
  };
}

/** Every code that this house knows, for help. */
export function seenCodes({ observations }: Pick<Prepared, 'observations'>): string[] {
  return observations
    .filter(({ volts }) => volts === null)
    .flatMap(({ id, answers }) => answers.map(({ value }) => `${id}-${value}`));
}

const READING = /^([^:@=\s]+):([^:@=\s]+)@([^=\s]+)=(-?\d+(?:[.,]\d+)?)$/;

export function readReading(wiring: Wiring, text: string): OwnReading | { readonly why: string } {
  const match = READING.exec(text.trim());
  if (!match) return { why: `"${text}" is no reading; one looks like R:C@heat1=24.1` };
  const [, first = '', second = '', state = '', volts = ''] = match;
  const parts = state.split(',');
  const headOff = parts.includes('head-off');
  const word = parts.filter((part) => part !== 'head-off').join(',') || 'idle';
  const call = readCall(word);
  if (call === null) return { why: `no call "${word}" in "${text}"` };
  const [a, b] = [screwNamed(wiring, first), screwNamed(wiring, second)];
  if (a === null || b === null) return { why: `no screw "${a === null ? first : second}" in "${text}"` };
  const figure = Number(volts.replace(',', '.'));
  if (!(figure >= 0 && figure <= 1000)) return { why: `volts from 0 to 1000, not "${volts}"` };
  return { point: [a, b], call, headOff, volts: figure };
}

function screwNamed(wiring: Wiring, name: string): TerminalId | null {
  const dot = name.lastIndexOf('.');
  const [place, mark] = dot < 0 ? ['wall', name] : [name.slice(0, dot), name.slice(dot + 1)];
  const device =
    place === 'wall'
      ? wallThermostat(wiring)
      : place === 'machine' || place === 'equipment'
        ? boards(wiring)[0]
        : wiring.devices.find(({ id, at }) => id === place || at === place);
  if (!device) return null;
  const print = mark.toUpperCase();
  return (device.screws.find((screw) => screw.mark === print) ?? screwThat(device, print))?.id ?? null;
}
