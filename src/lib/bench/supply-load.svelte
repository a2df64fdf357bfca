<script lang="ts">
  /** Load on each transformer in each call against its rating. */
  import Chart from '../charts/chart.svelte';
  import { callName } from '$core/trade/calls';
  import type { Bench } from './bench.svelte';

  interface Props {
    bench: Bench;
  }

  let { bench }: Props = $props();
  const supplies = $derived(bench.everyCall[0]?.supplies ?? []);
  const patterns = ['', '/', 'x', '.'] as const;
  const share = (call: number, supply: number) => {
    const row = bench.everyCall[call]?.supplies[supply];
    return row ? (100 * row.amps) / row.ratedAmps : 0;
  };
  const most = $derived(
    Math.max(110, ...bench.everyCall.flatMap((_, call) => supplies.map((_, at) => share(call, at))))
  );
</script>

<section class="sheet-of-paper p-4" aria-label="Load on the transformers">
  <h2 class="section-title mb-1">Load on the transformer{supplies.length > 1 ? 's' : ''}</h2>
  <Chart
    label="Load on each transformer per call, per cent of its rating"
    height={70 + 34 * bench.everyCall.length * Math.max(1, supplies.length)}
    data={supplies.map((supply, at) => ({
      type: 'bar' as const,
      orientation: 'h' as const,
      name: `${supply.name}, ${supply.ratedVa} VA`,
      x: bench.everyCall.map((_, call) => share(call, at)),
      y: bench.everyCall.map((row) => callName(row.call)),
      text: bench.everyCall.map((row) => `${(row.supplies[at]?.va ?? 0).toFixed(0)} VA`),
      textposition: 'outside' as const,
      marker: { color: 'rgba(110,115,120,0.75)', pattern: { shape: patterns[at % 4] ?? '' } }
    }))}
    layout={{
      showlegend: supplies.length > 1,
      xaxis: { title: { text: '% of rating' }, range: [0, Math.min(most * 1.05, 400)] },
      // Calls have long names: each in a row of its own, the first on top.
      yaxis: { automargin: true, autorange: 'reversed', showgrid: false },
      shapes: [
        { type: 'line', yref: 'paper', y0: 0, y1: 1, x0: 100, x1: 100, line: { dash: 'dash', width: 2 } }
      ]
    }}
  />
  <ul class="sr-only">
    {#each bench.everyCall as row (row.call)}<li>
        {callName(row.call)}: {row.supplies
          .map((it) => `${it.name} ${it.va.toFixed(1)} of ${it.ratedVa} VA`)
          .join(', ')}
      </li>{/each}
  </ul>
</section>
