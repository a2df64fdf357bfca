/**
 * The conductor list as CSV (RFC 4180), for a spreadsheet or another tool. One line for each conductor; the header is part of the format:
 *
 *   id,cable,colour,stripe,position,label,wall,wall_terminal,equipment,equipment_terminal,continuity
 *
 * `wall` and `equipment` (the near end and the far one) hold landed, loose, coiled or unseen; the terminal columns hold a mark when landed,
 * with the id of its place and a slash before it where there are several (`eq-2/W`), with a number where several screws carry it (`W#2`) or
 * none is printed (`#1`), and a space between two terminals of one end. `position` counts conductors of one colour apart; a list without that
 * column leaves it as it was. Splices are not in the list and are kept when it is read back.
 */
import Papa from 'papaparse';
import { COLOUR_CODES, type ColourCode } from '../trade/colours';
import { END_STATES, type EndState } from '../trade/vocabulary';
import { emptyConductor } from '../job/create';
import { ID_PREFIXES, nextId, type CableId, type ConductorId } from '../job/ids';
import type { Conductor, ConductorEnd, Job, Screw, Thermostat, WhereId } from '../job/schema';
import { isAnothersZone, newScrew, readScrewName, refName, screwNamed, screwsAt } from '../job/screws';
import type { Fault } from '../job/faults';
import { readCsv, type CsvTable } from './csv-table';

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

export function writeConductors(job: Job, thermostat: Thermostat): string {
  const rows = thermostat.conductors.map((conductor) => [
    conductor.id,
    conductor.cable,
    conductor.colour ?? '',
    conductor.stripe ?? '',
    conductor.position === null ? '' : String(conductor.position),
    conductor.label,
    conductor.near.state,
    terminalText(job, thermostat, conductor.near),
    conductor.far.state,
    terminalText(job, thermostat, conductor.far),
    conductor.continuity
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

/** The place is left out where it goes without saying: the thermostat's own plate, and the only machine. */
function terminalText(job: Job, thermostat: Thermostat, end: ConductorEnd): string {
  const plain = (at: string) =>
    at === thermostat.id || (thermostat.equipment.length === 1 && thermostat.equipment[0] === at);
  return end.on
    .map((ref) => {
      const name = refName(job, ref).replace(/ /g, '_');
      return plain(ref.at) ? name : `${ref.at}/${name}`;
    })
    .join(' ');
}

export type CsvRead =
  | {
      readonly ok: true;
      readonly conductors: readonly Conductor[];
      /** Screws that the list names and that nobody has written down yet. */
      readonly screws: readonly { readonly at: WhereId; readonly screw: Screw }[];
    }
  | { readonly ok: false; readonly faults: readonly Fault[] };

/** Reads a list back for a thermostat: its cables must be recorded already. Every fault names its line and column. */
export function readConductors(text: string, job: Job, thermostat: Thermostat): CsvRead {
  const table = readCsv(text);
  const faults = headerFaults(table);
  if (faults.length > 0) return { ok: false, faults };
  for (const error of table.errors) {
    faults.push({
      path: `line ${(error.row ?? 0) + 2}`,
      expected: `${CSV_HEADER.length} columns`,
      found: error.message
    });
  }
  if (table.rows.length > MOST_LINES) {
    faults.push({
      path: 'the file',
      expected: `at most ${MOST_LINES} wires`,
      found: `${table.rows.length} lines`
    });
  }
  const reader = new LineReader(job, thermostat, faults);
  const conductors = faults.length > 0 ? [] : table.rows.map((row, index) => reader.read(row, index + 2));
  return faults.length > 0 ? { ok: false, faults } : { ok: true, conductors, screws: reader.screws };
}

function headerFaults({ fields, doubled }: CsvTable): Fault[] {
  const missing = CSV_HEADER.filter((name) => name !== 'position' && !fields.includes(name));
  return [
    ...missing.map((name) => ({
      path: 'line 1',
      expected: `the column ${name}`,
      found: fields.length === 0 ? 'an empty file' : fields.join(', ')
    })),
    ...doubled.map((name) => ({ path: 'line 1', expected: `the column ${name} once`, found: 'it twice' }))
  ];
}

class LineReader {
  private readonly taken: string[] = [];
  readonly screws: { readonly at: WhereId; readonly screw: Screw }[] = [];

  constructor(
    private readonly job: Job,
    private readonly thermostat: Thermostat,
    private readonly faults: Fault[]
  ) {}

  read(row: Row, line: number): Conductor {
    const cell = (column: Column) => unguardFormula(row[column] ?? '').trim();
    const id = this.id(cell('id'), line);
    const before = this.thermostat.conductors.find((conductor) => conductor.id === id);
    return {
      ...(before ?? emptyConductor(id, this.cable(cell('cable'), line))),
      id,
      cable: this.cable(cell('cable'), line),
      colour: this.colour(cell('colour'), 'colour', line),
      stripe: this.colour(cell('stripe'), 'stripe', line),
      position: this.position(row.position === undefined ? null : cell('position'), before, line),
      label: this.label(unguardFormula(row.label ?? ''), line),
      near: this.end(cell('wall'), cell('wall_terminal'), 'wall', line),
      far: this.end(cell('equipment'), cell('equipment_terminal'), 'equipment', line),
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
    const found = allowed.find((candidate) => candidate === text.toLowerCase());
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
    const fresh = nextId('conductor', [
      ...this.thermostat.conductors.map((conductor) => conductor.id),
      ...this.taken
    ]);
    const shape = new RegExp(`^${ID_PREFIXES.conductor}-[a-z0-9][a-z0-9-]{0,47}$`);
    if (text !== '' && !shape.test(text))
      this.fault('id', line, `an id such as ${fresh}, or nothing for a new wire`, text);
    const id = text === '' || !shape.test(text) ? fresh : (text as ConductorId);
    this.taken.push(id);
    return id;
  }

  private cable(text: string, line: number): CableId {
    const found =
      this.thermostat.cables.find((cable) => cable.id === text || cable.name === text) ??
      (text === '' ? this.thermostat.cables[0] : undefined);
    if (!found)
      this.fault(
        'cable',
        line,
        this.thermostat.cables.map((cable) => cable.id).join(', ') || 'a cable recorded before',
        text
      );
    return found?.id ?? ('ca-1' as CableId);
  }

  private colour(text: string, column: string, line: number): ColourCode | null {
    if (text === '') return null;
    const found = COLOUR_CODES.find((code) => code === text.toUpperCase());
    if (!found) this.fault(column, line, `a colour code (${COLOUR_CODES.join(', ')}) or nothing`, text);
    return found ?? null;
  }

  private end(
    stateText: string,
    terminalsText: string,
    side: 'wall' | 'equipment',
    line: number
  ): ConductorEnd {
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

  private terminal(text: string, side: 'wall' | 'equipment', line: number): ConductorEnd['on'] {
    const slash = text.indexOf('/');
    const named = slash > 0 ? this.placeNamed(text.slice(0, slash)) : undefined;
    const at = /^(eq|pl|th)-/.test(text)
      ? named
      : side === 'wall'
        ? this.thermostat.id
        : this.thermostat.equipment[0];
    if (at === undefined) {
      const known = [...this.thermostat.equipment, ...this.job.places.map((place) => place.id)].join(', ');
      this.fault(`${side}_terminal`, line, `one of ${known || 'the machines of the thermostat'}`, text);
      return [];
    }
    const name = named === undefined ? text : text.slice(slash + 1);
    const read = readScrewName(name.replace(/_/g, ' '));
    if (!read) {
      this.fault(`${side}_terminal`, line, 'a mark such as W, W#2 or #1', text);
      return [];
    }
    return [{ at, screw: this.screw(at, read.mark, read.number).id }];
  }

  private placeNamed(id: string): WhereId | undefined {
    return [
      this.thermostat.id,
      ...this.thermostat.equipment,
      ...this.job.places.map((place) => place.id)
    ].find((machine) => machine === id);
  }

  /** The screw that is there, or one that comes in with the list. */
  private screw(at: WhereId, mark: string, number: number): Screw {
    const fresh = () => this.screws.filter((candidate) => candidate.at === at).map((added) => added.screw);
    const known = [...screwsAt(this.job, at), ...fresh()].filter(
      (candidate) => !isAnothersZone(this.job, this.thermostat, at, candidate)
    );
    const found = screwNamed(known, mark, number);
    if (found) return found;
    const screw = newScrew([...screwsAt(this.job, at), ...fresh()], mark);
    this.screws.push({ at, screw });
    return screw;
  }
}
