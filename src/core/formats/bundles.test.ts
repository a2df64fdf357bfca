import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { makeId } from '../job/ids';
import { YEAR_HOURS } from '../job/survey-schema';
import { furnaceWithSpare } from '../houses/houses';
import { faultText } from '../job/faults';
import { isBundle } from './file-limits';
import { readBundle, writeBundle } from './job-bundle';
import { readJob, writeJob } from './job-json';
import { withUniqueIds } from './unique-ids';
import { labelPages, LABELS_A_PAGE, labelsOf } from './labels';
import { readWeather } from './weather-csv';

const { job, thermostat } = furnaceWithSpare();

describe('a job with its photos', () => {
  const photo = makeId('photo', 'one');

  it('comes back as it was packed', () => {
    const bytes = writeBundle(job, new Map([[photo, new Uint8Array([9, 8, 7])]]));
    expect(isBundle(bytes)).toBe(true);
    const read = readBundle(bytes);
    expect(read.ok && read.job).toEqual(job);
    expect(read.ok && read.photos.get(photo)).toEqual(new Uint8Array([9, 8, 7]));
  });

  it('is refused with the place of each fault', () => {
    const faults = (files: Record<string, Uint8Array>) => {
      const read = readBundle(zipSync(files));
      return read.ok ? [] : read.faults.map(faultText);
    };
    expect(faults({ 'readme.txt': strToU8('hello') }).join()).toContain('readme.txt');
    expect(faults({ 'photos/ph-a.jpg': new Uint8Array(3) }).join()).toContain('job.json');
    expect(faults({ 'job.json': strToU8('{"format":"other"}') }).join()).toContain('job.json: ');
    expect(faults({ 'job.json': strToU8(writeJob(job)), 'photos/../x.jpg': new Uint8Array(1) })).toHaveLength(
      1
    );
    const grown = { 'job.json': strToU8(writeJob(job)), 'photos/ph-a.jpg': new Uint8Array(5_000_000) };
    expect(faults(grown).join()).toContain('at most 4 MB');
    const cut = writeBundle(job, new Map()).slice(0, 300);
    expect(readBundle(cut).ok).toBe(false);
  });

  /** The bytes of a ZIP file with one of the names in its list, and before its files, written over by another. */
  function renamed(zip: Uint8Array, from: string, to: string): Uint8Array {
    const text = Buffer.from(zip).toString('latin1').replaceAll(from, to);
    return new Uint8Array(Buffer.from(text, 'latin1'));
  }

  const faultsOf = (bytes: Uint8Array) => {
    const read = readBundle(bytes);
    return read.ok ? [] : read.faults.map(faultText);
  };

  /** A bundle with so many photos of 3000 bytes, whose list says another size of each. */
  function saidToHold(photos: number, says: number): Uint8Array {
    const names = Array.from({ length: photos }, (_, at) => `photos/ph-${at}.jpg`);
    const files = Object.fromEntries(names.map((name) => [name, new Uint8Array(3000)]));
    const zip = zipSync({ 'job.json': strToU8(writeJob(job)), ...files });
    // The unpacked size stands 22 bytes before the name in the list of a ZIP file.
    for (const name of names)
      new DataView(zip.buffer).setUint32(Buffer.from(zip).lastIndexOf(name) - 22, says, true);
    return zip;
  }

  it('is refused where its list says a size that is none of its file', () => {
    for (const says of [10, 2999, 3001])
      expect(faultsOf(saidToHold(1, says))).toEqual([expect.stringContaining('photos/ph-0.jpg')]);
    expect(faultsOf(saidToHold(1, 3000))).toEqual([]);
  });

  it('is refused where two files have one name', () => {
    const zip = zipSync({
      'job.json': strToU8(writeJob(job)),
      'photos/ph-a.jpg': new Uint8Array(3),
      'photos/ph-b.jpg': new Uint8Array(4)
    });
    expect(faultsOf(renamed(zip, 'ph-b', 'ph-a')).join()).toContain('two of this name');
  });

  it('is refused before it is unpacked where all of it together would fill the memory', () => {
    expect(faultsOf(saidToHold(26, 4_000_000)).join()).toContain('at most 100 MB unpacked');
    expect(faultsOf(saidToHold(26, 3000))).toEqual([]);
  });
});

describe('ids that come twice', () => {
  it('become ids of their own, with a word for each and the first left as it was', () => {
    const [first, second, third, ...others] = thermostat.conductors;
    const doubled = {
      ...job,
      thermostats: [
        {
          ...thermostat,
          conductors: [first!, { ...second!, id: first!.id }, { ...third!, id: first!.id }, ...others]
        }
      ]
    };
    const { job: unique, words } = withUniqueIds(doubled);
    const ids = unique.thermostats[0]!.conductors.map((conductor) => conductor.id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(ids[0]).toBe(first!.id);
    expect(unique.thermostats[0]!.conductors[1]).toEqual({ ...second!, id: ids[1] });
    expect(words).toHaveLength(2);
    expect(words[0]).toContain(`thermostats[0].conductors[1]: ${first!.id}`);
    expect(readJob(writeJob(unique)).ok).toBe(true);
  });

  it('are the exception: a job without any is the very same', () => {
    expect(withUniqueIds(job)).toEqual({ job, words: [] });
    expect(withUniqueIds(job).job).toBe(job);
  });
});

describe('labels', () => {
  it('are two for each wire, each with the terminal of its own end, and blank ones', () => {
    const labels = labelsOf(job, thermostat, 4);
    expect(labels).toHaveLength(thermostat.conductors.length * 2 + 4);
    expect(labels.slice(0, 2).map((label) => `${label.mark} ${label.end}`)).toEqual([
      'R wall',
      'R equipment'
    ]);
    expect(labels.filter((label) => label.end === 'blank').every((label) => label.mark === '')).toBe(true);
  });

  it('fill as many pages as they need, and carry any text safely', () => {
    const [first] = thermostat.conductors;
    const odd = { ...thermostat, conductors: [{ ...first!, label: '<b>&"x"' }] };
    const [page] = labelPages(labelsOf(job, odd, 0), 'A & B');
    expect(page).toContain('&#60;b&#62;');
    expect(page).not.toContain('<b>');
    expect(labelPages(labelsOf(job, thermostat, LABELS_A_PAGE), 't')).toHaveLength(2);
  });
});

describe('a year of weather as CSV', () => {
  const year = (head: string, hours: number, cell: (hour: number) => string) =>
    `hour,${head}\n${Array.from({ length: hours }, (_, hour) => `${hour},${cell(hour)}`).join('\n')}\n`;

  it('comes in, in either unit, with a leap day left out', () => {
    const plain = readWeather(
      year('temperature_c', YEAR_HOURS, () => '-3.25'),
      'mast'
    );
    expect(plain.ok && plain.weather.tenths[5]).toBe(-32);
    const leap = readWeather(
      year('temperature_f', YEAR_HOURS + 24, (hour) => (hour >= 59 * 24 && hour < 60 * 24 ? '100' : '50')),
      'mast'
    );
    expect(leap.ok && new Set(leap.weather.tenths)).toEqual(new Set([100]));
  });

  it('names its faults by line', () => {
    const bad = readWeather(
      year('temperature_c', YEAR_HOURS, (hour) => (hour === 7 ? 'warm' : hour === 9 ? '' : '1')),
      'mast'
    );
    expect(bad.ok ? [] : bad.faults.map((fault) => fault.path)).toEqual([
      'line 9, column temperature_c',
      'line 11, column temperature_c'
    ]);
    const short = readWeather(
      year('temperature_c', 20, () => '1'),
      'mast'
    );
    expect(short.ok ? '' : short.faults[0]?.found).toContain('20 lines');
    expect(readWeather('a,b\n1,2\n', 'mast').ok).toBe(false);
  });
});
