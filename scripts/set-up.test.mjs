import { describe, expect, it } from 'vitest';
import { installsTheSame } from './set-up.mjs';

const lock = (version, sheep = '1.0.0') =>
  JSON.stringify({
    version,
    packages: {
      '': { name: 'farm', version, dependencies: { sheep } },
      'node_modules/sheep': { version: sheep }
    }
  });

describe('what a lock file installs', () => {
  it('is the same with another version of the project itself', () => {
    expect(installsTheSame(lock('0.1.0'), lock('0.2.0'))).toBe(true);
  });

  it('is another with another version of a dependency', () => {
    expect(installsTheSame(lock('0.1.0'), lock('0.1.0', '1.0.1'))).toBe(false);
  });

  it('is nothing of a file that was cut off', () => {
    const cut = lock('0.1.0').slice(0, 40);
    expect(installsTheSame(cut, lock('0.1.0'))).toBe(false);
    expect(installsTheSame(cut, cut)).toBe(false);
  });
});
