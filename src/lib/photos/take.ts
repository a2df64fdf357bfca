/** A picture from the camera or from a file: scaled down, upright, without the place and device data that cameras write into it. */

const MOST_BYTES = 60_000_000;
/** Longest side kept: terminal marks stay readable, twenty photos stay below ten megabytes. */
const LONGEST_PX = 1600;

export type Taken =
  | { readonly ok: true; readonly picture: Blob; readonly widthPx: number; readonly heightPx: number }
  | { readonly ok: false; readonly why: string };

/** Drawing the picture anew turns it upright and leaves all data about place and device behind. */
export async function takePicture(file: File): Promise<Taken> {
  if (!file.type.startsWith('image/')) return { ok: false, why: `${file.name} is no picture.` };
  if (file.size > MOST_BYTES)
    return { ok: false, why: `${file.name} is larger than ${MOST_BYTES / 1_000_000} MB.` };
  try {
    // Loaded with the first picture: most who look have none to bring.
    const { default: compress } = await import('browser-image-compression');
    const picture = await compress(file, {
      maxWidthOrHeight: LONGEST_PX,
      maxSizeMB: 0.6,
      fileType: 'image/jpeg',
      initialQuality: 0.85,
      preserveExif: false,
      // Its worker would load a script from outside.
      useWebWorker: false
    });
    const drawn = await createImageBitmap(picture);
    const size = { widthPx: drawn.width, heightPx: drawn.height };
    drawn.close();
    return { ok: true, picture, ...size };
  } catch {
    return { ok: false, why: `${file.name} cannot be read as a picture.` };
  }
}
