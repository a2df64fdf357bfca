/** The new plate against the old outline: what stays visible, whether a cover plate is needed, and how the box fits. Millimetres. */
import type { DeviceFacts } from '../job/device-facts';
import type { WallFace } from '../job/survey-schema';

export interface WallFit {
  /** Width and height of the new plate. */
  readonly plate: readonly [number, number];
  /** Width and height of the old outline; null where nobody measured it. */
  readonly outline: readonly [number, number] | null;
  /** How far the old outline shows beyond the new plate on each side, when both are centred; 0 where it is covered. */
  readonly showsMm: { readonly sides: number; readonly topAndBottom: number };
  readonly covered: boolean | null;
  /** Smallest cover plate that hides the outline with 5 mm to spare on each side; null when none is needed or known. */
  readonly coverPlate: readonly [number, number] | null;
  readonly advice: 'nothing' | 'plate' | 'patch' | 'both' | 'measure';
  readonly why: string;
}

const SPARE_MM = 5;

export function fitWall(
  face: WallFace,
  device: Pick<DeviceFacts, 'plateWidthMm' | 'plateHeightMm'>
): WallFit {
  const plate = [device.plateWidthMm, device.plateHeightMm] as const;
  if (face.outlineWidthMm === null || face.outlineHeightMm === null)
    return {
      plate,
      outline: null,
      showsMm: { sides: 0, topAndBottom: 0 },
      covered: null,
      coverPlate: null,
      advice: 'measure',
      why: 'Measure the mark that the old plate leaves, its width and its height.'
    };
  const outline = [face.outlineWidthMm, face.outlineHeightMm] as const;
  const beyond = (old: number, fresh: number) => Math.max(0, (old - fresh) / 2);
  const showsMm = { sides: beyond(outline[0], plate[0]), topAndBottom: beyond(outline[1], plate[1]) };
  const covered = showsMm.sides === 0 && showsMm.topAndBottom === 0;
  const large = face.holes === 'large';
  const marked = face.paint === 'other' || face.hides.trim() !== '';
  const coverPlate: readonly [number, number] | null =
    covered && !large
      ? null
      : [Math.max(outline[0], plate[0]) + 2 * SPARE_MM, Math.max(outline[1], plate[1]) + 2 * SPARE_MM];
  const base = { plate, outline, showsMm, covered, coverPlate };
  if (covered && !large) return { ...base, advice: 'nothing', why: 'The new plate covers the old mark.' };
  if (large && !marked)
    return {
      ...base,
      advice: 'plate',
      why: 'A large hole gives screws no hold: a cover plate bridges it, and nothing has to dry.'
    };
  if (large)
    return {
      ...base,
      advice: 'both',
      why: 'A large hole in a marked wall: close the hole, then a cover plate hides the rest without paint.'
    };
  if (marked)
    return {
      ...base,
      advice: 'plate',
      why: 'The old mark shows, and the paint round it differs: a cover plate hides both.'
    };
  return {
    ...base,
    advice: 'plate',
    why: `The old mark shows by ${Math.round(Math.max(showsMm.sides, showsMm.topAndBottom))} mm: a cover plate, or filler and paint.`
  };
}
