/** A photo as a thermostat holds it, for tests of what goes along with one. */
import type { PhotoId } from '../job/ids';
import type { Photo } from '../job/reading-schema';

export function wallPhoto(id: PhotoId): Photo {
  return {
    id,
    takenAt: '2026-01-02T03:04:05.000Z',
    of: 'wall',
    equipment: null,
    caption: '',
    widthPx: 10,
    heightPx: 10,
    pins: []
  };
}

/** The same thermostats, the first with this photo and no other. */
export function withPhoto<T extends { readonly photos: readonly Photo[] }>(
  thermostats: readonly T[],
  id: PhotoId
): T[] {
  return thermostats.map((thermostat, at) =>
    at > 0 ? thermostat : { ...thermostat, photos: [wallPhoto(id)] }
  );
}
