/** How large a file may be, known before the part that reads it is loaded; and by what a bundle is told from plain text. */

/** A job with its photos, bytes. */
export const MOST_BUNDLE_BYTES = 80_000_000;
/** A list of wires, bytes. */
export const MOST_CSV_BYTES = 1_000_000;

/** True when the bytes begin like a ZIP file. */
export function isBundle(bytes: Uint8Array): boolean {
  return bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3 && bytes[3] === 4;
}
