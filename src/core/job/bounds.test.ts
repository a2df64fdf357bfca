import { describe, expect, it } from 'vitest';
import { boundsOf, mostCharacters } from './bounds';
import { shortText } from './primitives';
import { Equipment } from './schema';
import { Survey } from './survey-schema';

describe('the bounds that a form reads from the schema', () => {
  it('are those that the reader checks', () => {
    expect(boundsOf(Equipment.entries.heatStages)).toEqual({ least: 0, most: 4 });
    expect(boundsOf(Equipment.entries.transformerVa)).toEqual({ least: 0.001, most: 1000 });
    expect(boundsOf(Survey.entries.rebate)).toEqual({ least: 0, most: 10000 });
    expect(mostCharacters(shortText)).toBe(120);
  });

  it('are open where a schema has none', () => {
    expect(boundsOf(shortText)).toEqual({ least: -Infinity, most: Infinity });
    expect(mostCharacters(Equipment.entries.heatStages)).toBe(Infinity);
  });
});
