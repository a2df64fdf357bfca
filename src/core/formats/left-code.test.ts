/** The codes on the sheet: every house comes back whole, from paper too; what is broken or of somebody else gets a clear word. */
import { deflateSync, strToU8 } from 'fflate';
import jsQR from 'jsqr';
import * as v from 'valibot';
import { describe, expect, it } from 'vitest';
import { demoFiles } from '../../demo/jobs';
import { millCottage } from '../../demo/mill-cottage';
import { printed, photographed, turned, type Picture } from '../houses/photographed';
import vectors from './fixtures/door-codes-1.json';
import { wallPhoto } from '../houses/pictured';
import { makeId } from '../job/ids';
import { Job } from '../job/schema';
import {
  gatherLeft,
  MOST_PARTS,
  PART_CHARACTERS,
  readLeftPart,
  writeLeftCodes,
  type LeftPart
} from './left-code';
import { crc32, essenceOf, packJob, unpackJob } from './packed-job';

const ORIGIN = 'https://ulterum.example';
const part = (text: string): LeftPart => {
  const read = readLeftPart(text);
  if ('fault' in read) throw new Error(read.fault.found);
  return read;
};
const gathered = (codes: readonly string[]) => {
  const all = gatherLeft(codes.map(part));
  if (all?.state !== 'whole') throw new Error('not whole');
  return all.read;
};
const houses = demoFiles().flatMap(({ file, job }) =>
  job.thermostats.map((place) => [`${file} ${place.id}`, job, place.id] as const)
);
/** Each place once: some of them have a job of their own as well. */
const places = [...new Map(houses.map((house) => [house[2], house])).values()];
const placeOf = (job: Job, id: string) => job.thermostats.find((place) => place.id === id)!;
const mill = millCottage();
const codesOfMill = writeLeftCodes(mill, mill.thermostats[0]!, ORIGIN);

describe('the codes of a sheet', () => {
  it.each(houses)('of %s read back to the same record, in any order and twice', (_, job, id) => {
    const codes = writeLeftCodes(job, placeOf(job, id), ORIGIN);
    for (const code of codes) expect(code.length).toBeLessThanOrEqual(PART_CHARACTERS + ORIGIN.length + 30);
    expect(gathered([...codes].reverse())).toEqual({
      ok: true,
      from: 2,
      job: essenceOf(job, placeOf(job, id))
    });
    expect(gathered([...codes, ...codes]).ok).toBe(true);
  });

  it.each(places)(
    'of %s are read from paper: at 300 dots an inch, turned, and photographed at an angle in grey',
    { tags: ['wide'] },
    (_, job, id) => {
      const codes = writeLeftCodes(job, placeOf(job, id), ORIGIN);
      const seen = (code: string, look: (picture: Picture) => Picture) => {
        const { data, width, height } = look(printed(code, 50, 300));
        return jsQR(data, width, height)?.data;
      };
      // What is read at an angle is read from above: one of each sheet shows that.
      expect(seen(codes[0]!, (picture) => picture)).toBe(codes[0]);
      expect(seen(codes[0]!, turned)).toBe(codes[0]);
      for (const code of codes) expect(seen(code, (picture) => photographed(picture, 7))).toBe(code);
    }
  );

  it('hold nothing that is private: no photo, no registration, no word of when nobody is home', () => {
    const [place] = mill.thermostats;
    const at = '2026-10-03T10:00:00.000Z';
    const secret: Job = {
      ...mill,
      note: 'the key is under the pot',
      survey: { ...mill.survey, note: 'away in May', habits: { ...mill.survey.habits, awayFrom: 9 } },
      thermostats: [
        {
          ...place!,
          photos: [wallPhoto(makeId('photo', '1'))],
          private: {
            registration: '1234-5678',
            hardwareAddress: '00:11:22:33:44:55',
            photos: [makeId('photo', '1')]
          },
          settings: [
            { setting: 'schedule', value: 'Weekdays 9:00 16 °C', at },
            { setting: 'network', value: 'joined', at },
            { setting: 'kind', value: 'air', at }
          ],
          notes: [{ at: null, about: 'neighbour', text: 'a private word' }]
        }
      ]
    };
    const read = gathered(writeLeftCodes(secret, secret.thermostats[0]!, ORIGIN));
    if (!read.ok) throw new Error('not read');
    const text = JSON.stringify(read.job);
    for (const word of [
      '1234-5678',
      '00:11:22',
      'under the pot',
      'away in May',
      'Weekdays',
      'private word',
      'ph-1'
    ])
      expect(text).not.toContain(word);
    expect(read.job.thermostats[0]!.settings).toEqual([{ setting: 'kind', value: 'air', at }]);
  });

  it.each(vectors.map((vector, at) => [at, vector] as const))(
    'of an older sheet are read for good (%s)',
    (_, { job, codes }) => {
      // What has come into the record since stands at what it is where nobody has said anything.
      expect(gathered(codes)).toEqual({ ok: true, from: 2, job: v.parse(Job, job) });
    }
  );

  it('say which parts are missing', () => {
    expect(codesOfMill.length).toBeGreaterThan(1);
    expect(gatherLeft([part(codesOfMill[1]!)])).toEqual({
      state: 'more',
      have: [2],
      parts: codesOfMill.length
    });
    expect(gatherLeft([])).toBeNull();
  });

  it('go by the sheet that was scanned last', () => {
    const [, job, id] = houses[0]!;
    const others = writeLeftCodes(job, placeOf(job, id), ORIGIN);
    const all = gatherLeft([part(codesOfMill[0]!), ...others.map(part)]);
    expect(all).toMatchObject({ state: 'whole', read: { ok: true } });
  });

  it('are none where the record is too large for a sheet', () => {
    const [place] = mill.thermostats;
    const long = Array.from({ length: 900 }, (_, at) => ({
      at: new Date(Date.UTC(2026, 0, 1) + at * 7_919_000).toISOString(),
      observation: `look-${(at * 2_654_435_761) % 4_294_967_291}`,
      answer: 'yes'
    }));
    expect(writeLeftCodes(mill, { ...place!, seen: long }, ORIGIN)).toEqual([]);
    expect(MOST_PARTS).toBeGreaterThan(codesOfMill.length);
  });
});

describe('a code that is none of a sheet', () => {
  const faultOf = (text: string) => {
    const read = readLeftPart(text);
    return 'fault' in read ? read.fault.found : '';
  };

  it.each([
    ['', 'another code'],
    ['https://example.org/a-page', 'another code'],
    ['WIFI:S:home;T:WPA;P:secret;;', 'another code'],
    [`${ORIGIN}/follow#${'A'.repeat(60)}`, 'following steps'],
    [`${ORIGIN}/left#3.2.00000000.AAAA`, 'part 3 of 2'],
    [`${ORIGIN}/left#0.2.00000000.AAAA`, 'part 0 of 2'],
    [`${ORIGIN}/left#1.99.00000000.AAAA`, 'part 1 of 99'],
    [`${ORIGIN}/left#1.1.00000000.<script>`, 'another code']
  ])('%s gets a word', (text, found) => {
    expect(faultOf(text)).toContain(found);
  });

  it('with one letter changed is told from a whole one', () => {
    const [first, ...rest] = codesOfMill;
    const at = first!.length - 20;
    const broken = `${first!.slice(0, at)}${first![at] === 'A' ? 'B' : 'A'}${first!.slice(at + 1)}`;
    expect(gathered([broken, ...rest])).toMatchObject({
      ok: false,
      faults: [{ found: 'parts that do not belong together' }]
    });
  });
});

describe('a packed job', () => {
  const small = essenceOf(mill, mill.thermostats[0]!);
  const base64 = (bytes: readonly number[]) => Buffer.from(bytes).toString('base64url');
  const withHead = (version: number, body: Uint8Array) => {
    const sum = crc32(body);
    return base64([version, sum >>> 24, (sum >>> 16) & 255, (sum >>> 8) & 255, sum & 255, ...body]);
  };
  const found = (text: string) => {
    const read = unpackJob(text, 'the code');
    return read.ok ? '' : (read.faults[0]?.found ?? '');
  };

  it('has the check sum that every zip file has', () => {
    expect(crc32(strToU8('123456789'))).toBe(0xcbf43926);
  });

  it('is told from one that is damaged, newer, cut short or made to fill the memory', () => {
    const packed = packJob(small);
    expect(unpackJob(packed, 'the code')).toMatchObject({ ok: true });
    expect(found(packed.slice(0, -8))).toMatch(/check sum/);
    expect(found('AAAA')).toMatch(/too little/);
    expect(found('!!!')).toMatch(/characters/);
    expect(found(withHead(2, deflateSync(strToU8('{}'))))).toMatch(/newer/);
    expect(found(withHead(1, deflateSync(strToU8('0'.repeat(3_000_000)))))).toMatch(/unpacked|breaks off/);
    expect(found(withHead(1, strToU8('no deflate at all')))).toMatch(/unpacked/);
  });
});
