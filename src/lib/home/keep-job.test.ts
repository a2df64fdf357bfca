import { describe, expect, it } from 'vitest';
import { unitsOf } from './keep-job';

describe('the units of a new job', () => {
  it.each([
    ['en-US', 'ft', 'F'],
    ['es-US', 'ft', 'F'],
    ['en-GB', 'm', 'C'],
    ['de', 'm', 'C'],
    ['en', 'm', 'C'],
    ['', 'm', 'C']
  ])('follow the language of the browser: %s', (language, length, temperature) => {
    expect(unitsOf(language)).toEqual({ length, temperature });
  });
});
