/**
 * The catalogue that ships: six thermostats of invented makers, chosen to differ in what decides a match. None of them can be bought; the
 * facts of a real device are entered from its own sheet.
 */
import * as v from 'valibot';
import { DeviceFacts } from '../job/device-facts';
import type { Job } from '../job/schema';

const shipped: v.InferInput<typeof DeviceFacts>[] = [
  {
    id: 'de-fellgate',
    maker: 'Tarnwick',
    model: 'Fellgate 4',
    supply: 'common-required',
    marks: ['RH', 'RC', 'C', 'W', 'W2', 'Y', 'Y2', 'G', 'O/B'],
    heatStages: 2,
    coolStages: 2,
    heatPump: true,
    rails: 'link-removable',
    electronicsFrom: 'RC',
    voltsMin: 18,
    voltsMax: 30,
    drawVa: 3,
    plateWidthMm: 118,
    plateHeightMm: 86,
    wifiBands: '2.4 and 5 GHz',
    price: 139,
    note: 'A clip joins RH and RC and can be taken out.'
  },
  {
    id: 'de-weftline',
    maker: 'Oskerry',
    model: 'Weftline K',
    supply: 'common-required',
    marks: ['R', 'C', 'W', 'Y', 'G', 'K', 'O/B'],
    heatStages: 1,
    coolStages: 1,
    heatPump: true,
    rails: 'one-r',
    electronicsFrom: 'R',
    voltsMin: 18,
    voltsMax: 30,
    drawVa: 3,
    plateWidthMm: 104,
    plateHeightMm: 104,
    wifiBands: '2.4 GHz',
    price: 119,
    note: 'K carries Y and G on one conductor, with the adapter that comes in the box.'
  },
  {
    id: 'de-sipper',
    maker: 'Pennhollow',
    model: 'Sipper',
    supply: 'self-charging',
    marks: ['R', 'C', 'W', 'Y', 'G'],
    heatStages: 1,
    coolStages: 1,
    heatPump: false,
    rails: 'one-r',
    electronicsFrom: 'R',
    voltsMin: 18,
    voltsMax: 30,
    drawVa: 2,
    plateWidthMm: 92,
    plateHeightMm: 92,
    wifiBands: '2.4 GHz',
    price: 169,
    note: 'Charges itself through an idle call circuit where no common is landed.'
  },
  {
    id: 'de-pair',
    maker: 'Slatewright',
    model: 'Pair',
    supply: 'battery',
    marks: ['R', 'W', 'Y', 'G'],
    heatStages: 1,
    coolStages: 1,
    heatPump: false,
    rails: 'one-r',
    electronicsFrom: 'R',
    voltsMin: 18,
    voltsMax: 30,
    drawVa: 0.1,
    plateWidthMm: 130,
    plateHeightMm: 90,
    wifiBands: 'none; local radio',
    price: 59,
    note: 'Two AA cells, about a year.'
  },
  {
    id: 'de-twobridge',
    maker: 'Corriedale',
    model: 'Twobridge',
    supply: 'common-or-battery',
    marks: ['RH', 'RC', 'C', 'W', 'W2', 'Y', 'G', 'O/B', 'AUX', 'E', 'HUM'],
    heatStages: 2,
    coolStages: 1,
    heatPump: true,
    rails: 'link-removable',
    electronicsFrom: 'RC',
    voltsMin: 20,
    voltsMax: 30,
    drawVa: 4,
    plateWidthMm: 140,
    plateHeightMm: 100,
    wifiBands: '2.4 and 5 GHz',
    price: 189,
    note: 'On cells the radio sleeps: it shows and switches, and is not reached from outside.'
  },
  {
    id: 'de-onebar',
    maker: 'Hollinfast',
    model: 'Onebar',
    supply: 'common-required',
    marks: ['RH', 'RC', 'C', 'W', 'W2', 'Y', 'Y2', 'G', 'O/B', 'AUX', 'E'],
    heatStages: 3,
    coolStages: 2,
    heatPump: true,
    rails: 'joined-inside',
    electronicsFrom: 'RC',
    voltsMin: 18,
    voltsMax: 30,
    drawVa: 5,
    plateWidthMm: 112,
    plateHeightMm: 112,
    wifiBands: '2.4 GHz',
    price: 219,
    note: 'RH and RC are joined inside by set-up; there is no clip to take out.'
  }
];

export const CATALOGUE: readonly DeviceFacts[] = v.parse(v.array(DeviceFacts), shipped);

/** What a connected thermostat usually asks for: the stand-in for a plan before any device was chosen. */
export const ANY_CONNECTED: DeviceFacts = v.parse(DeviceFacts, {
  ...shipped[0],
  id: 'de-any',
  maker: 'Any',
  model: 'connected thermostat',
  marks: ['RH', 'RC', 'C', 'W', 'W2', 'Y', 'Y2', 'G', 'O/B', 'AUX', 'E'],
  drawVa: 5,
  price: null,
  note: 'A stand-in that needs a constant supply of 5 VA and has every usual terminal.'
});

/** The shipped catalogue and the job's own devices. */
export function devicesOf(job: Job): DeviceFacts[] {
  return [...CATALOGUE, ...job.devices];
}

export function findDevice(job: Job, id: string): DeviceFacts | undefined {
  return devicesOf(job).find((one) => one.id === id) ?? (id === ANY_CONNECTED.id ? ANY_CONNECTED : undefined);
}

export function deviceName(device: Pick<DeviceFacts, 'maker' | 'model'>): string {
  return `${device.maker} ${device.model}`;
}
