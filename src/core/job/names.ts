/** What a person calls the parts of a record. */
import { colourName } from '../trade/colours';
import type { Conductor } from './schema';

/** Its label, else its colour. */
export function conductorName(conductor: Pick<Conductor, 'colour' | 'stripe' | 'label'>): string {
  const colour = conductor.colour === null ? 'uncoloured' : colourName(conductor.colour, conductor.stripe);
  return conductor.label === '' ? colour : `${colour} “${conductor.label}”`;
}

export function capital(sentence: string): string {
  return sentence.charAt(0).toUpperCase() + sentence.slice(1);
}
