/** Finds a code in a picture, away from the page: a large picture takes some tenths of a second. */
import jsQR from 'jsqr';

export interface CodePicture {
  readonly data: Uint8ClampedArray;
  readonly width: number;
  readonly height: number;
}

/** The text of the code in a picture, or null where there is none to be seen. */
export function codeIn({ data, width, height }: CodePicture): string | null {
  return jsQR(data, width, height)?.data ?? null;
}
