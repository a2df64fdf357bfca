/** The facts of one thermostat as a file of their own, to be taken from job to job. */
import * as v from 'valibot';
import { DeviceSheet, type DeviceFacts } from '../job/device-facts';
import { faultsOf } from '../job/faults';
import { isRefusal, parseJson, recordOf, type Refusal } from './json-text';

const DEVICE_FORMAT = 'ulterum-device';
const MOST_BYTES = 100_000;

const DeviceFile = v.strictObject({
  format: v.literal(DEVICE_FORMAT, `"${DEVICE_FORMAT}"`),
  version: v.literal(1, '1'),
  device: DeviceSheet
});

export function writeDevice(device: DeviceFacts): string {
  return `${JSON.stringify({ format: DEVICE_FORMAT, version: 1, device }, null, 2)}\n`;
}

export function readDevice(text: string): { readonly ok: true; readonly device: DeviceFacts } | Refusal {
  const parsed = parseJson(text, MOST_BYTES);
  if (!parsed.ok) return parsed;
  const record = recordOf(parsed.raw, DEVICE_FORMAT, 'the facts of a device');
  if (isRefusal(record)) return record;
  const file = v.safeParse(DeviceFile, record);
  return file.success
    ? { ok: true, device: file.output.device }
    : { ok: false, faults: faultsOf(file.issues) };
}
