import { describe, expect, it } from 'vitest';
import { startTrouble } from './server-entry.mjs';

describe('how the server is started', () => {
  it.each([
    [{}, '20.19.0'],
    [{ PORT: '0' }, '22.1.0'],
    [{ PORT: '65535' }, '20.20.1']
  ])('is fine with %j on %s', (env, version) => {
    expect(startTrouble(env, version)).toBeNull();
  });

  it.each([
    [{ PORT: 'abc' }, '20.19.0', '"abc"'],
    [{ PORT: '70000' }, '20.19.0', '"70000"'],
    [{ PORT: '-1' }, '20.19.0', '"-1"'],
    [{ PORT: '' }, '20.19.0', '""'],
    [{}, '20.18.3', '20.18.3'],
    [{}, '18.20.0', '18.20.0']
  ])('is told in a sentence what is wrong: %j on %s', (env, version, says) => {
    expect(startTrouble(env, version)).toContain(says);
  });
});
