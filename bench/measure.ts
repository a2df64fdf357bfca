/** Time of something done many times: the best of several rounds, since a shared machine only ever adds. */
export function secondsPer(runs: number, once: () => void, rounds = 5): number {
  for (let i = 0; i < Math.min(runs, 2000); i += 1) once();
  let best = Infinity;
  for (let round = 0; round < rounds; round += 1) {
    const start = performance.now();
    for (let i = 0; i < runs; i += 1) once();
    best = Math.min(best, (performance.now() - start) / 1000 / runs);
  }
  return best;
}

export function micro(seconds: number): string {
  return `${(seconds * 1e6).toFixed(2)} µs`;
}
