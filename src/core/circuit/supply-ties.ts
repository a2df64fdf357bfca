/** Which supplies of a circuit touch: by copper, coils, electronics, contacts that may close, diodes; not by the earth that may tie commons. */
import { sourcesOf, type Netlist } from './netlist';

export interface SupplyTies {
  /** One bit of `SupplyCase.turned` for each supply that can be turned against another that it touches; no positive number beyond 31. */
  readonly turnable: readonly number[];
  /** Something else than a common may touch earth: then the ties of the commons close a way. */
  readonly earthed: boolean;
}

/** More supplies that touch than these are not judged: every one more doubles the work, and no house has them. */
export const MOST_TURNABLE = 6;

export function supplyTies(netlist: Netlist): SupplyTies {
  let ties = known.get(netlist);
  if (!ties) known.set(netlist, (ties = tiesIn(netlist)));
  return ties;
}

const known = new WeakMap<Netlist, SupplyTies>();

function tiesIn({ elements }: Netlist): SupplyTies {
  const parent = new Map<string, string>();
  const find = (node: string): string => {
    let top = node;
    for (let up = parent.get(top); up !== undefined && up !== top; up = parent.get(top)) top = up;
    return top;
  };
  for (const { kind, a, b } of elements) if (kind !== 'earth') parent.set(find(a), find(b));
  const sources = sourcesOf(elements);
  const first = new Map<string, number>();
  sources.forEach((source, at) => {
    const island = find(source.a);
    if (!first.has(island)) first.set(island, at);
  });
  const turnable = sources.flatMap((source, at) =>
    first.get(find(source.a)) === at ? [] : [at > 31 ? -1 : 1 << (at - 1)]
  );
  return { turnable, earthed: elements.filter(({ kind }) => kind === 'earth').length > sources.length - 1 };
}
