/** A list of wires from a CSV file that somebody picked; loaded when that happens. */
import { MOST_CSV_BYTES } from '$core/formats/file-limits';
import { readConductors } from '$core/formats/conductors-csv';
import { setConductors } from '$core/job/edits';
import { faultText } from '$core/job/faults';
import { readText } from '../files/download';
import type { Place } from '../state/place.svelte';

/** So many faults are said at once. */
const MOST_SAID = 12;

/** Takes the list into the record, or says why nothing was changed. */
export async function bringConductors(place: Place, file: File): Promise<readonly string[]> {
  const text = await readText(file, MOST_CSV_BYTES);
  if (!text.ok) return [text.why];
  const list = readConductors(text.text, place.job, place.thermostat);
  if (!list.ok) return list.faults.slice(0, MOST_SAID).map(faultText);
  const { conductors, screws } = list;
  const said = `Wire list from ${file.name}`;
  place.session.edit(setConductors(place.job, place.thermostat.id, conductors, screws, said));
  return [];
}
