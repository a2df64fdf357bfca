import { describe, expect, it } from 'vitest';
import { DRAWINGS, findWord, GLOSSARY, searchWords } from './glossary';

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

  it('are found by any of their names, the nearest first', () => {
    expect(searchWords('common')[0]?.id).toBe('c-wire');
    expect(searchWords('outdoor unit').map(({ id }) => id)).toContain('heat-pump');
    expect(searchWords('LINE volt')[0]?.id).toBe('mains');
    expect(searchWords('')).toHaveLength(GLOSSARY.length);
    expect(searchWords('submarine')).toEqual([]);
    expect(findWord('jumper')?.term).toBe('Jumper');
  });
});
