/** The mean colour of a small patch of a picture. */
import type { Rgb } from '$core/reading/colour-name';

/** Half the side of the patch, pixels. */
const REACH = 3;

/** The picture drawn once, to be asked for colours at shares of its width and height. */
export async function patchReader(address: string): Promise<(x: number, y: number) => Rgb> {
  const image = new Image();
  image.src = address;
  await image.decode();
  const canvas = document.createElement('canvas');
  canvas.width = image.naturalWidth;
  canvas.height = image.naturalHeight;
  const context = canvas.getContext('2d', { willReadFrequently: true });
  context?.drawImage(image, 0, 0);
  return (x, y) => {
    const left = clamp(Math.round(x * canvas.width) - REACH, canvas.width - 2 * REACH - 1);
    const top = clamp(Math.round(y * canvas.height) - REACH, canvas.height - 2 * REACH - 1);
    const data =
      context?.getImageData(left, top, 2 * REACH + 1, 2 * REACH + 1).data ?? new Uint8ClampedArray(4);
    const sum = [0, 0, 0];
    for (let at = 0; at < data.length; at += 4)
      for (const channel of [0, 1, 2]) sum[channel]! += data[at + channel] ?? 0;
    const count = data.length / 4;
    return [sum[0]! / count, sum[1]! / count, sum[2]! / count];
  };
}

function clamp(value: number, most: number): number {
  return Math.max(0, Math.min(value, Math.max(0, most)));
}
