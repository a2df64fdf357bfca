/** The wires under each number of a wiring centre, or on each terminal where the cables meet otherwise, as CSV (RFC 4180): one line for each, out and in. The header is part of the format. */
import Papa from 'papaparse';
import type { MainsAsBuilt } from '../handover/mains/as-built';
import type { Fault } from '../job/faults';
import { onScrew, UNSEEN_END, type NewWire } from '../job/mains-edits';
import type { MainsControls, MainsDevice } from '../job/mains-schema';
import { COLOUR_CODES, COLOURS, type ColourCode } from '../trade/colours';
import { MAINS_PART_NAMES } from '../trade/mains';
import { HUB_SPOTS, hubOf, hubsAmong } from '../trade/mains-hub';
import { guarded, readCsv } from './csv-table';

const HEADER = ['strip', 'number', 'cable', 'colour', 'to', 'does', 'linked_to'] as const;

export function writeStripCsv({ numbers }: Pick<MainsAsBuilt, 'numbers'>): string {
  const data = numbers.flatMap(({ unit, mark, wires, linked }) =>
    (wires.length === 0 ? [{ cable: '', colour: '', to: '', does: '' }] : wires).map((wire) =>
      [unit, mark, wire.cable, wire.colour, wire.to, wire.does, linked.join('; ')].map(guarded)
    )
  );
  return `${Papa.unparse({ fields: [...HEADER], data }, { newline: '\r\n' })}\r\n`;
}

export type StripRead =
  | { readonly ok: true; readonly wires: readonly NewWire[] }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/**
 * Wires of a list that the record does not have yet, at devices and numbers that it has. `number` and `cable` are needed; `to` names the device and its
 * terminal, an end that is not on a screw counts as unread. Nothing is taken where one line does not hold.
 */
export function readStripCsv(text: string, mains: MainsControls): StripRead {
  const { fields, rows, errors } = readCsv(text);
  const lacking = ['number', 'cable'].filter((name) => !fields.includes(name));
  if (lacking.length > 0 || errors.length > 0)
    return {
      ok: false,
      faults: [
        ...lacking.map((name) => ({
          path: 'line 1',
          expected: `a column ${name}`,
          found: fields.join(', ')
        })),
        ...errors.map(({ row, message }) => ({
          path: `line ${(row ?? 0) + 2}`,
          expected: 'a line of the table',
          found: message
        }))
      ]
    };
  const faults: Fault[] = [];
  const wires = rows.flatMap((row, at): NewWire[] => {
    if ((row['cable'] ?? '') === '') return [];
    const read = wireOf(row, mains, `line ${at + 2}`);
    if ('faults' in read) {
      faults.push(...read.faults);
      return [];
    }
    return isThere(mains, read.wire) ? [] : [read.wire];
  });
  return faults.length > 0 ? { ok: false, faults } : { ok: true, wires };
}

/** What was guarded against spreadsheets on the way out comes back as it was. */
const plain = (cell: string | undefined) => (cell ?? '').trim().replace(/^'(?=[=+\-@])/, '');
const same = (a: string, b: string) => a.toLowerCase() === b.toLowerCase();

function wireOf(
  row: Readonly<Record<string, string>>,
  mains: MainsControls,
  line: string
): { readonly wire: NewWire } | { readonly faults: readonly Fault[] } {
  const cell = (name: string) => plain(row[name]);
  const faults: Fault[] = [];
  const wrong = (column: string, expected: string) =>
    faults.push({ path: `${line}, column ${column}`, expected, found: cell(column) });
  const hub = hubOf(mains.devices);
  const strips =
    cell('strip') === ''
      ? hubsAmong(mains.devices)
      : mains.devices.filter(({ name }) => same(name, cell('strip')));
  const place = strips
    .flatMap((strip) => strip.screws.map((screw) => ({ strip, screw })))
    .find(({ screw }) => same(screw.mark, cell('number')));
  if (!place) wrong('number', `a ${HUB_SPOTS[hub]} of the ${MAINS_PART_NAMES[hub]}`);
  const to = cell('to');
  const device =
    deviceAt(mains, to) ??
    mains.devices.find(({ part, name }) => part !== 'wiring-centre' && same(name, cell('cable')));
  if (!device) wrong('cable', 'the name of a device');
  const colour = colourOf(cell('colour'));
  if (colour === null) wrong('colour', 'a colour such as brown, green-yellow or BN');
  const screw = device ? screwNamed(device, to) : null;
  if (device && to.toLowerCase().startsWith(`${device.name.toLowerCase()} `) && !screw)
    wrong('to', `a terminal of the ${device.name}`);
  if (faults.length > 0 || !place || !device || colour === null) return { faults };
  return {
    wire: {
      device: device.id,
      near: screw ? onScrew(device.id, screw.id) : UNSEEN_END,
      far: onScrew(place.strip.id, place.screw.id),
      ...colour
    }
  };
}

/** The device that has the terminal which is named, `timer 4`: a cable may bear the name of either of its devices. */
function deviceAt(mains: MainsControls, to: string): MainsDevice | undefined {
  return mains.devices.find((device) => device.part !== 'wiring-centre' && screwNamed(device, to) !== null);
}

function screwNamed(device: MainsDevice, to: string) {
  const mark = to.toLowerCase().startsWith(`${device.name.toLowerCase()} `)
    ? to.slice(device.name.length + 1).trim()
    : null;
  return mark === null ? null : (device.screws.find((screw) => same(screw.mark, mark)) ?? null);
}

type Colour = { readonly colour: ColourCode | null; readonly stripe: ColourCode | null };

function colourOf(text: string): Colour | null {
  if (text === '' || text === 'colour not recorded') return { colour: null, stripe: null };
  if (/^green[- /]yellow$/i.test(text)) return { colour: 'GN', stripe: 'YE' };
  const [base = '', stripe = ''] = text.split(/ with an? | stripe$/i);
  const code = (word: string) =>
    COLOUR_CODES.find((code) => same(code, word) || same(COLOURS[code].name, word));
  const own = code(base.trim());
  const second = stripe === '' ? null : code(stripe.trim());
  return own === undefined || second === undefined ? null : { colour: own, stripe: second };
}

/** The record has a wire from this screw to this number already. */
function isThere(mains: MainsControls, { near, far }: NewWire): boolean {
  const text = (end: NewWire['near']) => (end.on === null ? '' : `${end.on.device} ${end.on.screw}`);
  const both = [text(near), text(far)];
  return (
    near.on !== null &&
    mains.wires.some((wire) => [text(wire.near), text(wire.far)].sort().join() === [...both].sort().join())
  );
}
