import type { Photo } from '$core/job/reading-schema';

const OF = {
  wall: 'The wall',
  equipment: 'The machine',
  plate: 'Its plate',
  path: 'The path',
  other: 'Photo'
} as const;

/** The caption, or what it shows. */
export function photoName(photo: Pick<Photo, 'of' | 'caption'>): string {
  return photo.caption || OF[photo.of];
}
