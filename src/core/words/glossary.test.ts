import { describe, expect, it } from 'vitest';
import { mannerOf, written } from './manner';
import { DRAWINGS, findWord, GLOSSARY, searchWords, withWords } from './glossary';

describe('the words of the trade', () => {
  it('have each a name of its own, and two sentences that can be read at a glance', () => {
    const ids = GLOSSARY.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const { term, text } of GLOSSARY) {
      const sentences = text.split(/(?<=[.:!])\s+(?=[A-Z])/);
      expect(sentences.length, term).toBeLessThanOrEqual(3);
      for (const sentence of sentences) expect(sentence.split(' ').length, term).toBeLessThanOrEqual(24);
    }
  });

  it('are drawn where a drawing helps, and no drawing is for nothing', () => {
    const used = new Set(GLOSSARY.map(({ drawing }) => drawing));
    for (const drawing of DRAWINGS) expect(used, drawing).toContain(drawing);
  });

  it('are marked in a text where they first stand, as they stand there, and nothing of the text is lost', () => {
    const text = 'A jumper joins R and RC; two jumpers feed a heat pump. Thermometers are no meters.';
    const pieces = withWords(text);
    expect(pieces.map((piece) => piece.text).join('')).toBe(text);
    expect(pieces.flatMap(({ text: said, word }) => (word ? [[said, word]] : []))).toEqual([
      ['jumper', 'jumper'],
      ['heat pump', 'heat-pump'],
      ['meters', 'meter']
    ]);
    expect(withWords('nothing of the kind')).toEqual([{ text: 'nothing of the kind', word: null }]);
  });

  it('are found by any of their names, the nearest first', () => {
    expect(searchWords('common')[0]?.id).toBe('c-wire');
    expect(searchWords('outdoor unit').map(({ id }) => id)).toContain('heat-pump');
    expect(searchWords('LINE volt')[0]?.id).toBe('mains');
    expect(searchWords('')).toHaveLength(GLOSSARY.length);
    expect(searchWords('submarine')).toEqual([]);
    const american = (text: string) => written(text, mannerOf('en-US'));
    expect(searchWords('wiring center', american)).toEqual(searchWords('wiring centre'));
    expect(searchWords('wiring centre', american)).toEqual(searchWords('wiring centre'));
    expect(findWord('jumper')?.term).toBe('Jumper');
  });
});
