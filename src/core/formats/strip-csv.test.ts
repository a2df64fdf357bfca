import { describe, expect, it } from 'vitest';
import { mainsAsBuilt } from '../handover/mains/as-built';
import { mainsOf } from '../houses/mains-builder';
import { mainsHouse, MAINS_SKETCHES, TWO_VALVE_OVERRUN, type MainsHouse } from '../houses/mains-houses';
import { emptyThermostat, newJob } from '../job/create';
import { edit } from '../job/edit';
import { makeId } from '../job/ids';
import { addWires, mainsIn } from '../job/mains-edits';
import { wiringFromMains } from '../wiring/from-mains';
import { joinedIn } from '../wiring/joined';
import { readStripCsv, writeStripCsv } from './strip-csv';

const TH = makeId('thermostat', 'm');
const bare = (house: MainsHouse) => ({ ...mainsHouse(house), wires: [], cables: [] });
const faultsOf = (text: string) => {
  const read = readStripCsv(text, bare('two-valve'));
  return read.ok ? [] : read.faults.map(({ path }) => path);
};

describe('the list of a wiring centre', () => {
  it.each(Object.keys(MAINS_SKETCHES) as MainsHouse[])('%s comes back with the same joints', (house) => {
    const mains = mainsHouse(house);
    const read = readStripCsv(writeStripCsv(mainsAsBuilt(mains)), bare(house));
    if (!read.ok) throw new Error(JSON.stringify(read.faults));
    const job = {
      ...newJob(makeId('job', 'm'), 'M'),
      equipment: [],
      thermostats: [{ ...emptyThermostat(TH, 'M', []), mains: bare(house) }]
    };
    const made = edit(job, addWires(job, TH, read.wires));
    if (!made.ok) throw new Error(JSON.stringify(made.faults));
    const points = (record: typeof mains) =>
      joinedIn(wiringFromMains(record))
        .points.map((point) => [...point].sort().join())
        .sort();
    expect(points(mainsIn(made.job, TH))).toEqual(points(mains));
    expect(mainsIn(made.job, TH).wires.map(({ colour, stripe }) => [colour, stripe])).toEqual(
      mains.wires.map(({ colour, stripe }) => [colour, stripe])
    );
  });

  it('comes back with wires straight from device to device, whichever of the two the cable is named after', () => {
    const mains = mainsOf({
      ...TWO_VALVE_OVERRUN,
      strip: { ...TWO_VALVE_OVERRUN.strip, 9: [] },
      straight: [['pump.live', 'boiler.pump-live']]
    });
    const cables = mains.cables.map((cable) => ({ ...cable, name: 'grey flex' }));
    for (const record of [mains, { ...mains, cables }]) {
      const csv = writeStripCsv(mainsAsBuilt(record));
      expect(readStripCsv(csv, record)).toEqual({ ok: true, wires: [] });
      const { near, far } = mains.wires.at(-1)!;
      expect(readStripCsv(csv, { ...record, wires: record.wires.slice(0, -1) })).toMatchObject({
        ok: true,
        wires: [{ near, far }]
      });
    }
  });

  it('brings nothing in twice', () => {
    const mains = mainsHouse('two-valve');
    expect(readStripCsv(writeStripCsv(mainsAsBuilt(mains)), mains)).toEqual({ ok: true, wires: [] });
  });

  it('is refused with the place of each fault, and nothing of it is taken', () => {
    expect(faultsOf('colour,to\nbrown,timer L\n')).toEqual(['line 1', 'line 1']);
    expect(faultsOf('number,cable,colour,to\n99,timer,brown,timer L\n')).toEqual(['line 2, column number']);
    expect(faultsOf('number,cable,colour,to\n1,kettle,brown,kettle L\n')).toEqual(['line 2, column cable']);
    expect(faultsOf('number,cable,colour,to\n1,timer,plaid,timer L\n')).toEqual(['line 2, column colour']);
    expect(faultsOf('number,cable,colour,to\n1,timer,brown,timer 77\n2,timer,blue,timer N\n')).toEqual([
      'line 2, column to'
    ]);
  });

  it('leaves an end unread that is on no screw', () => {
    const read = readStripCsv('number,cable,colour\n1,Timer,BN\n', bare('two-valve'));
    expect(read).toMatchObject({ ok: true, wires: [{ near: { state: 'unseen' }, colour: 'BN' }] });
  });
});
