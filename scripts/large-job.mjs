/** Jobs as large as the screens let them become, made of one small house. */
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { root } from './set-up.mjs';

/** A job of those that ship, by the name of its file. */
export function demoJob(name) {
  const folder = mkdtempSync(join(tmpdir(), 'ulterum-demo-'));
  execFileSync(process.execPath, ['scripts/ulterum.mjs', 'demo', '--out', folder], {
    cwd: root,
    stdio: 'ignore'
  });
  return JSON.parse(readFileSync(join(folder, `${name}.json`), 'utf8'));
}

/**
 * So many thermostats on the machines of a job with one, each with so many wires: those of the house, and the rest coiled at both ends.
 * Where `apart` is set, the first has the wires of the house alone, and none of the others is on its machines.
 */
export function largeJob(job, { thermostats = 40, wires, apart = false }) {
  const [place] = job.thermostats;
  const coiled = { state: 'coiled', on: [] };
  const numbered = (at) => {
    const count = apart && at === 0 ? place.conductors.length : wires;
    const conductors = Array.from({ length: count }, (_, wire) => {
      const known = place.conductors[wire];
      return known ?? { ...place.conductors[0], id: `co-${at}-${wire}`, near: coiled, far: coiled };
    });
    const text = JSON.stringify({ ...place, conductors, photos: [] }).replaceAll(
      `"${place.id}"`,
      `"th-${at}"`
    );
    const made = { ...JSON.parse(text), name: `Room ${at + 1}` };
    return apart && at > 0 ? { ...made, equipment: [] } : made;
  };
  return {
    ...job,
    id: 'job-large',
    name: 'A large job',
    thermostats: Array.from({ length: thermostats }, (_, at) => numbered(at))
  };
}
