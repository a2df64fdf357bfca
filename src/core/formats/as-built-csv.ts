/**
 * The wires as they are now as CSV (RFC 4180), one line for each; the header is part of the format. Both colours, both ends with the machine or
 * part that the screw belongs to, joints, and what shares a screw.
 */
import Papa from 'papaparse';
import type { AsBuilt } from '../handover/as-built';
import { guarded } from './csv-table';

const HEADER = [
  'id',
  'cable',
  'wire',
  'colour',
  'colour_at_machine',
  'wall',
  'wall_terminal',
  'machine',
  'machine_terminal',
  'machine_name',
  'joint',
  'shares_with',
  'spare'
] as const;

export function writeAsBuiltCsv({ wires }: Pick<AsBuilt, 'wires'>): string {
  const data = wires.map((wire) =>
    [
      wire.id,
      wire.cable,
      wire.name,
      wire.colour,
      wire.colourBeyond === '' ? wire.colour : wire.colourBeyond,
      wire.wall.state,
      wire.wall.mark,
      wire.machine.state,
      wire.machine.mark,
      wire.machine.at,
      wire.joint,
      [...new Set([...wire.wall.shares, ...wire.machine.shares])].join('; '),
      wire.spare ? 'yes' : 'no'
    ].map(guarded)
  );
  return `${Papa.unparse({ fields: [...HEADER], data }, { newline: '\r\n' })}\r\n`;
}
