/** What a way gives up, in words. */
import { callName, type Call } from '../trade/calls';
import { LOAD_NAMES } from '../trade/loads';
import type { LoadId } from '../trade/vocabulary';
import { capital, plural } from './text';

/** What is lost, as a fact. */
export type Loss =
  | {
      readonly what: 'function';
      readonly call: Call;
      readonly loads: readonly LoadId[];
      /** What the house is where it is lost; null where it is lost in all. */
      readonly worlds: readonly string[] | null;
    }
  | {
      /** Dead as it is, and dead afterwards. */
      readonly what: 'stays-dead';
      readonly call: Call;
      readonly loads: readonly LoadId[];
      readonly worlds: readonly string[] | null;
    }
  | { readonly what: 'spare'; readonly conductor: string }
  | { readonly what: PlainLoss };

const PLAIN = {
  'two-spares': 'two spare wires',
  cells: 'batteries have to be changed, about once a year',
  'radio-asleep': 'its radio sleeps: it is not reached from outside',
  'no-connected': 'no connected thermostat',
  outlet: 'an outlet is taken',
  'cord-and-outlet': 'a cord shows on the wall, and an outlet is taken',
  'outlet-and-cord': 'an outlet is taken, and a cord shows on the wall',
  'wall-part-cells': 'the part on the wall runs on batteries, which have to be changed',
  'read-part-cells': 'the part that you read and set runs on batteries, which have to be changed'
} as const;
type PlainLoss = keyof typeof PLAIN;

export function lossText(loss: Loss): string {
  if (loss.what === 'spare') return `the ${loss.conductor} wire is no longer a spare`;
  if (loss.what !== 'function' && loss.what !== 'stays-dead') return PLAIN[loss.what];
  const where = loss.worlds === null ? '' : `If it is ${loss.worlds.join(' or ')}: `;
  const loads = loss.loads.map((load) => LOAD_NAMES[load]).join(', ');
  if (loss.what === 'stays-dead')
    return `${where}${capital(callName(loss.call))} does not work today and will not work afterwards: ${loads}.`;
  return `${where}${capital(callName(loss.call))} is lost: ${loads} no longer ${plural(loss.loads.length, 'runs', 'run')}.`;
}
