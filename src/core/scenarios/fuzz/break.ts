/** What can happen to a file on its way: odd values in it, the same twice, pieces cut out, bytes turned, lines lost. */
import type { Chance } from '../../trade/random';

const ODD: readonly unknown[] = [
  null,
  '',
  'x'.repeat(5000),
  0,
  -1,
  1e308,
  NaN,
  true,
  [],
  [[]],
  [null],
  {},
  { a: { b: [] } },
  '2026-13-45T99:99:99Z',
  'th-1',
  '__proto__'
];

/** Puts odd values, or twice the same, at one to three places of a value; changes it in place. */
export function breakValue(chance: Chance, value: unknown): unknown {
  const places: { readonly of: Record<string, unknown>; readonly key: string }[] = [];
  const walk = (node: unknown): void => {
    if (typeof node !== 'object' || node === null) return;
    for (const key of Object.keys(node)) {
      places.push({ of: node as Record<string, unknown>, key });
      walk((node as Record<string, unknown>)[key]);
    }
  };
  walk(value);
  for (let count = 1 + Math.floor(chance.next() * 3); count > 0; count -= 1) {
    const { of, key } = chance.pick(places);
    if (Array.isArray(of) && chance.happens(0.3)) of.push(structuredClone(of[Number(key)]));
    else if (chance.happens(0.15)) delete of[key];
    else of[key] = structuredClone(chance.pick(ODD));
  }
  return value;
}

const PIECES = [
  '"',
  ',',
  ';',
  '\n',
  '\r\n',
  '\t',
  '\0',
  '{',
  ']',
  '1e999',
  'NaN',
  '-',
  'ö',
  '\ufeff',
  '\ud800'
];

/** Cuts, doubles, exchanges and adds pieces of a text, at one to four places. */
export function breakText(chance: Chance, text: string): string {
  let broken = text;
  for (let count = 1 + Math.floor(chance.next() * 4); count > 0; count -= 1) {
    const at = Math.floor(chance.next() * (broken.length + 1));
    const to = Math.min(broken.length, at + Math.floor(chance.next() * 12));
    const piece = chance.happens(0.5) ? chance.pick(PIECES) : broken.slice(at, to);
    if (chance.happens(0.3)) broken = broken.slice(0, at) + broken.slice(to);
    else if (chance.happens(0.1)) broken = broken.slice(0, at);
    else broken = broken.slice(0, at) + piece + broken.slice(chance.happens(0.5) ? to : at);
  }
  return broken;
}

/** Exchanges, cuts and doubles lines of a table, and cells of one line. */
export function breakTable(chance: Chance, text: string): string {
  const lines = text.split('\n');
  const at = Math.floor(chance.next() * lines.length);
  switch (chance.weighted({ lost: 2, doubled: 2, cell: 2, text: 2 })) {
    case 'lost':
      lines.splice(at, 1);
      break;
    case 'doubled':
      lines.splice(at, 0, lines[at] ?? '');
      break;
    case 'cell': {
      const cells = (lines[at] ?? '').split(',');
      cells[Math.floor(chance.next() * cells.length)] = String(chance.pick(ODD));
      lines[at] = cells.join(',');
      break;
    }
    case 'text':
      return breakText(chance, text);
  }
  return lines.join('\n');
}

/** Turns, cuts and adds bytes, at one to six places. */
export function breakBytes(chance: Chance, bytes: Uint8Array): Uint8Array {
  const broken = [...bytes];
  for (let count = 1 + Math.floor(chance.next() * 6); count > 0; count -= 1) {
    const at = Math.floor(chance.next() * broken.length);
    const how = chance.weighted({ turned: 8, out: 1, cut: 1 });
    if (how === 'out') broken.splice(at, 1 + Math.floor(chance.next() * 40));
    else if (how === 'cut') broken.length = at;
    else broken[at] = Math.floor(chance.next() * 256);
    if (broken.length === 0) break;
  }
  return Uint8Array.from(broken);
}
