/** Reads codes from pictures and from the camera. Nothing leaves the device. */
import type { CodePicture } from '$worker/read-code';

/** Longest side of a picture that is looked at, pixels: a code of a sheet needs no more, and a phone's camera gives three times that. */
const MOST_SIDE = 1400;

let thread: Worker | null = null;

/** The text of the code in a picture, or null. One picture at a time. */
export async function readCode(picture: CodePicture): Promise<string | null> {
  try {
    thread ??= new Worker(new URL('../../worker/read-code-thread.ts', import.meta.url), { type: 'module' });
    return await answerOf(thread, picture);
  } catch {
    // No thread to be had, or not loaded without a network: here, then.
    thread = null;
    const { codeIn } = await import('$worker/read-code');
    return codeIn(picture);
  }
}

function answerOf(worker: Worker, picture: CodePicture): Promise<string | null> {
  return new Promise((resolve, reject) => {
    worker.onmessage = ({ data }: MessageEvent<string | null>) => resolve(data);
    worker.onerror = () => reject(new Error('The reader of codes was not loaded'));
    worker.postMessage(picture);
  });
}

/** A picture out of a file, or a frame of a film, as dots. Throws where it is no picture. */
export async function dotsOf(source: Blob | HTMLVideoElement): Promise<CodePicture> {
  const bitmap = source instanceof Blob ? await createImageBitmap(source) : source;
  const [w, h] =
    bitmap instanceof HTMLVideoElement
      ? [bitmap.videoWidth, bitmap.videoHeight]
      : [bitmap.width, bitmap.height];
  const scale = Math.min(1, MOST_SIDE / Math.max(w, h, 1));
  const [width, height] = [Math.max(1, Math.round(w * scale)), Math.max(1, Math.round(h * scale))];
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  const pen = canvas.getContext('2d', { willReadFrequently: true });
  if (!pen) throw new Error('This browser gives no dots of a picture');
  // A picture with clear parts is a print on white.
  pen.fillStyle = '#fff';
  pen.fillRect(0, 0, width, height);
  pen.drawImage(bitmap, 0, 0, width, height);
  return { data: pen.getImageData(0, 0, width, height).data, width, height };
}
