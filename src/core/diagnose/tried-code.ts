/** Under what it is kept that the remedy of a cause was done: of the 24 V and of the mains side alike. */
export function triedId(cause: string): string {
  return `tried-${cause}`;
}

/** The answer there that it is as before. */
export const TRIED_STILL = 'still';
