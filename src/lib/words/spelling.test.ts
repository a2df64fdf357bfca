/** Whatever stands in a screen is in the reader's spelling: no British word stands in the markup without being put into it. */
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parse } from 'svelte/compiler';
import { describe, expect, it } from 'vitest';
import { mannerOf, written } from '$core/words/manner';

const AMERICAN = mannerOf('en-US');
const isBritish = (text: string) => written(text, AMERICAN) !== text;

/** It names both spellings, so that one can choose. */
const NAMES_BOTH = 'settings-dialog.svelte';

interface Piece {
  readonly type?: string;
  readonly name?: string;
  readonly callee?: { readonly name?: string };
  readonly data?: unknown;
  readonly value?: unknown;
}

/** What a piece of a page says itself, names of styles and codes left out. */
function textOf({ type, data, value }: Piece): string {
  if (type === 'Text') return String(data);
  if (type === 'TemplateElement') return (value as { readonly cooked: string }).cooked;
  // A code of the program has neither a space nor a capital letter.
  return type === 'Literal' && typeof value === 'string' && /[\sA-Z]/.test(value) ? value : '';
}

/** British words of a page that reach its reader as they stand. */
function leftBritish(piece: unknown): string[] {
  if (Array.isArray(piece)) return piece.flatMap(leftBritish);
  if (typeof piece !== 'object' || piece === null) return [];
  const node = piece as Piece;
  if (node.type === 'CallExpression' && node.callee?.name === 'say') return [];
  if (node.type === 'Attribute' && node.name === 'class') return [];
  const text = textOf(node);
  return [...(isBritish(text) ? [text.trim()] : []), ...Object.values(node).flatMap(leftBritish)];
}

function pageOf(source: string): unknown[] {
  const { fragment, instance } = parse(source, { modern: true });
  return [fragment, instance?.content];
}

const pages = ['src/lib', 'src/routes'].flatMap((folder) =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.svelte') && !name.endsWith(NAMES_BOTH))
    .map((name) => join(folder, name))
);

describe('the spelling of the screens', () => {
  it('is the reader’s in every page', () => {
    expect(pages.length).toBeGreaterThan(100);
    expect(
      pages.flatMap((page) =>
        leftBritish(pageOf(readFileSync(page, 'utf8'))).map((text) => `${page}: ${text}`)
      )
    ).toEqual([]);
  });

  it('would not be where a word stands as it is, in the text, in a name, or in the script', () => {
    const found = (source: string) => leftBritish(pageOf(source));
    expect(found('<p>The wiring centre</p>')).toEqual(['The wiring centre']);
    expect(found('<Field label="Colour" />')).toEqual(['Colour']);
    expect(found('<script>const text = `in ${where}, grey`;</script>')).toEqual([', grey']);
    expect(found('<p class="colour centre">{say("Colour")}</p>')).toEqual([]);
  });
});
