/**
 * The conductor list as CSV (RFC 4180), for a spreadsheet or another tool. One line for each conductor; the header is part of the format:
 *
 *   id,cable,colour,stripe,position,label,wall,wall_terminal,equipment,equipment_terminal,continuity
 *
 * `wall` and `equipment` hold landed, loose, coiled or unseen; the terminal columns hold a mark when landed, with the machine's id and a
 * slash before it where the thermostat has several machines (`eq-2/W`), and a space between two marks of one end. `position` counts conductors
 * of one colour apart; a list without that column leaves it as it was. Splices are not in the list and are kept when it is read back.
 */
import Papa from 'papaparse';
import { COLOUR_CODES, type ColourCode } from '../trade/colours';
import { END_STATES, type EndSide, type EndState } from '../trade/vocabulary';
import { emptyConductor } from '../job/create';
import { ID_PREFIXES, nextId, type CableId, type ConductorId } from '../job/ids';
import type { Conductor, ConductorEnd, Thermostat } from '../job/schema';
import type { Fault } from './faults';

export const CSV_HEADER = [
  'id',
  'cable',
  'colour',
  'stripe',
  'position',
  'label',
  'wall',
  'wall_terminal',
  'equipment',
  'equipment_terminal',
  'continuity'
] as const;
type Column = (typeof CSV_HEADER)[number];
type Row = Partial<Record<Column, string>>;

const MOST_LINES = 200;
const CONTINUITY = ['untested', 'proven', 'broken'] as const;

export function writeConductors(thermostat: Thermostat): string {
  const rows = thermostat.conductors.map((one) => [
    one.id,
    one.cable,
    one.colour ?? '',
    one.stripe ?? '',
    one.position === null ? '' : String(one.position),
    one.label,
    one.wall.state,
    terminalText(thermostat, one.wall, 'wall'),
    one.equipment.state,
    terminalText(thermostat, one.equipment, 'equipment'),
    one.continuity
  ]);
  const data = rows.map((row) => row.map(guardFormula));
  return `${Papa.unparse({ fields: [...CSV_HEADER], data }, { newline: '\r\n' })}\r\n`;
}

/** A cell that begins like a formula gets a leading apostrophe, so that a spreadsheet shows it instead of running it. */
function guardFormula(cell: string): string {
  return /^'*[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell;
}

function unguardFormula(cell: string): string {
  return /^''*[=+\-@\t\r]/.test(cell) ? cell.slice(1) : cell;
}

function terminalText(thermostat: Thermostat, end: ConductorEnd, side: EndSide): string {
  const several = side === 'equipment' && thermostat.equipment.length > 1;
  return end.on.map((ref) => (several ? `${ref.at}/${ref.mark}` : ref.mark)).join(' ');
}

export type CsvRead =
  | { readonly ok: true; readonly conductors: readonly Conductor[] }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** Reads a list back for a thermostat: its cables must be recorded already. Every fault names its line and column. */
export function readConductors(text: string, thermostat: Thermostat): CsvRead {
  const parsed = Papa.parse<Row>(text.replace(/^\uFEFF/, ''), {
    header: true,
    skipEmptyLines: 'greedy',
    transformHeader: (name) => name.trim().toLowerCase()
  });
  const faults = headerFaults(parsed.meta.fields ?? []);
  if (faults.length > 0) return { ok: false, faults };
  for (const error of parsed.errors) {
    faults.push({
      path: `line ${(error.row ?? 0) + 2}`,
      expected: `${CSV_HEADER.length} columns`,
      found: error.message
    });
  }
  if (parsed.data.length > MOST_LINES) {
    faults.push({
      path: 'the file',
      expected: `at most ${MOST_LINES} conductors`,
      found: `${parsed.data.length} lines`
    });
  }
  const reader = new LineReader(thermostat, faults);
  const conductors = faults.length > 0 ? [] : parsed.data.map((row, index) => reader.read(row, index + 2));
  return faults.length > 0 ? { ok: false, faults } : { ok: true, conductors };
}

function headerFaults(fields: readonly string[]): Fault[] {
  return CSV_HEADER.filter((name) => name !== 'position' && !fields.includes(name)).map((name) => ({
    path: 'line 1',
    expected: `the column ${name}`,
    found: fields.length === 0 ? 'an empty file' : fields.join(', ')
  }));
}

class LineReader {
  private readonly taken: string[] = [];

  constructor(
    private readonly thermostat: Thermostat,
    private readonly faults: Fault[]
  ) {}

  read(row: Row, line: number): Conductor {
    const cell = (column: Column) => unguardFormula(row[column] ?? '').trim();
    const id = this.id(cell('id'), line);
    const before = this.thermostat.conductors.find((one) => one.id === id);
    return {
      ...(before ?? emptyConductor(id, this.cable(cell('cable'), line))),
      id,
      cable: this.cable(cell('cable'), line),
      colour: this.colour(cell('colour'), 'colour', line),
      stripe: this.colour(cell('stripe'), 'stripe', line),
      position: this.position(row.position === undefined ? null : cell('position'), before, line),
      label: this.label(unguardFormula(row.label ?? ''), line),
      wall: this.end(cell('wall'), cell('wall_terminal'), 'wall', line),
      equipment: this.end(cell('equipment'), cell('equipment_terminal'), 'equipment', line),
      continuity: this.oneOf(cell('continuity') || 'untested', CONTINUITY, 'continuity', line)
    };
  }

  private fault(column: string, line: number, expected: string, found: string): void {
    this.faults.push({
      path: `line ${line}, column ${column}`,
      expected,
      found: found === '' ? 'nothing' : `"${found}"`
    });
  }

  private oneOf<T extends string>(text: string, allowed: readonly T[], column: string, line: number): T {
    const found = allowed.find((one) => one === text.toLowerCase());
    if (found === undefined) this.fault(column, line, allowed.join(', '), text);
    return found ?? allowed[0]!;
  }

  /** A list without the column, as an older one may be, leaves the position as it was. */
  private position(text: string | null, before: Conductor | undefined, line: number): number | null {
    if (text === null) return before?.position ?? null;
    if (text === '') return null;
    const value = Number(text);
    if (Number.isInteger(value) && value >= 1 && value <= 200) return value;
    this.fault('position', line, 'a whole number from 1 to 200, or nothing', text);
    return null;
  }

  private label(text: string, line: number): string {
    if (text.length > 120) this.fault('label', line, 'at most 120 characters', `${text.slice(0, 20)}…`);
    return text;
  }

  private id(text: string, line: number): ConductorId {
    const fresh = nextId('conductor', [...this.thermostat.conductors.map((one) => one.id), ...this.taken]);
    const shape = new RegExp(`^${ID_PREFIXES.conductor}-[a-z0-9][a-z0-9-]{0,47}$`);
    if (text !== '' && !shape.test(text))
      this.fault('id', line, `an id such as ${fresh}, or nothing for a new conductor`, text);
    const id = text === '' || !shape.test(text) ? fresh : (text as ConductorId);
    this.taken.push(id);
    return id;
  }

  private cable(text: string, line: number): CableId {
    const found =
      this.thermostat.cables.find((one) => one.id === text || one.name === text) ??
      (text === '' ? this.thermostat.cables[0] : undefined);
    if (!found)
      this.fault(
        'cable',
        line,
        this.thermostat.cables.map((one) => one.id).join(', ') || 'a cable recorded before',
        text
      );
    return found?.id ?? ('ca-1' as CableId);
  }

  private colour(text: string, column: string, line: number): ColourCode | null {
    if (text === '') return null;
    const found = COLOUR_CODES.find((one) => one === text.toUpperCase());
    if (!found) this.fault(column, line, `a colour code (${COLOUR_CODES.join(', ')}) or nothing`, text);
    return found ?? null;
  }

  private end(stateText: string, terminalsText: string, side: EndSide, line: number): ConductorEnd {
    const fallback = terminalsText === '' ? 'unseen' : 'landed';
    const state: EndState = this.oneOf(stateText || fallback, END_STATES, side, line);
    if (state === 'landed' && terminalsText === '')
      this.fault(`${side}_terminal`, line, 'the mark that it is landed on', '');
    const on = terminalsText
      .split(' ')
      .filter(Boolean)
      .flatMap((text) => this.terminal(text.trim(), side, line));
    return { state, on };
  }

  private terminal(text: string, side: EndSide, line: number): ConductorEnd['on'] {
    const [first, second] = text.startsWith('eq-') ? splitMachine(text) : [null, text];
    const mark = second.toUpperCase();
    if (!/^[A-Z0-9+\-/]{1,8}$/.test(mark)) {
      this.fault(`${side}_terminal`, line, 'a mark of 1 to 8 capitals or digits', text);
      return [];
    }
    if (side === 'wall') return [{ at: this.thermostat.id, mark }];
    const machine =
      first === null ? this.thermostat.equipment[0] : this.thermostat.equipment.find((one) => one === first);
    if (!machine) {
      this.fault(
        'equipment_terminal',
        line,
        `one of the machines ${this.thermostat.equipment.join(', ')}`,
        text
      );
      return [];
    }
    return [{ at: machine, mark }];
  }
}

function splitMachine(text: string): [string, string] {
  const slash = text.indexOf('/');
  return slash === -1 ? [text, ''] : [text.slice(0, slash), text.slice(slash + 1)];
}
