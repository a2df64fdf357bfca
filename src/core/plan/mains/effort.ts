/** How long the work takes somebody who knows it, and what it costs in parts. Minutes are estimates of the trade. */
import type { ControllerFacts } from '../../job/controller-facts';
import type { Move } from '../move-types';

export interface MainsEffort {
  /** When all goes well, as a rule, when it does not. */
  readonly minutes: readonly [number, number, number];
  readonly parts: readonly { readonly what: string; readonly count: number }[];
  /** Price of the controller by its sheet; null where nobody has entered it. Without anybody's wage. */
  readonly price: number | null;
}

const MINUTES: Readonly<Partial<Record<Move['action'], number>>> = {
  'power-off': 5,
  check: 3,
  lift: 2,
  land: 3,
  cap: 3,
  link: 4,
  unlink: 2,
  mount: 10,
  pull: 6,
  'power-on': 3
};

export function effortOf(moves: readonly Move[], facts: ControllerFacts | null): MainsEffort {
  const usual = moves.reduce((sum, { action }) => sum + (MINUTES[action] ?? 3), 0);
  const count = (action: Move['action']) => moves.filter((move) => move.action === action).length;
  const parts = [
    { what: facts === null ? '' : `${facts.maker} ${facts.model}`, count: facts === null ? 0 : 1 },
    { what: 'short pieces of 0.75 mm² wire with brown sleeve', count: count('link') },
    { what: 'insulated connectors for wires that are not in use', count: count('cap') },
    { what: 'labels for wires', count: count('lift') + count('cap') }
  ].filter((part) => part.count > 0);
  const rounded = (minutes: number) => Math.round(minutes / 5) * 5;
  return {
    minutes: [rounded(usual * 0.7), rounded(usual), rounded(usual * 1.8)],
    parts: moves.length === 0 ? [] : parts,
    price: facts?.price ?? null
  };
}
