<script lang="ts">
  /** The voltage at the thermostat over many houses whose values differ from their sheets, and what single faults would do. */
  import Chart from '../charts/chart.svelte';
  import { callName } from '$core/trade/calls';
  import type { Bench } from './bench.svelte';
  import { LongWork } from './long-run.svelte';

  interface Props {
    bench: Bench;
  }

  let { bench }: Props = $props();
  const DRAWS = 10_000;
  const run = new LongWork('tolerance');
  const spread = $derived(run.result?.calls.find((candidate) => candidate.call === bench.call) ?? null);
  const window = $derived(run.result?.window ?? null);
  const sorted = $derived(spread ? Float32Array.from(spread.volts).sort() : new Float32Array());
  const at = (share: number) =>
    (sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0).toFixed(1);
  const BIN = 0.25;
  const bins = $derived.by(() => {
    const counts: Record<number, number> = {};
    for (const volts of sorted) counts[Math.floor(volts / BIN)] = (counts[Math.floor(volts / BIN)] ?? 0) + 1;
    return Object.entries(counts).map(([bin, count]) => ({ volts: (Number(bin) + 0.5) * BIN, count }));
  });
  // What was drawn belongs to one wiring: another one asks for a new run.
  $effect(() => {
    void bench.faulted;
    void bench.world;
    run.cancel();
    run.result = null;
  });

  function start(): void {
    if (!bench.world) return;
    void run.start({ wiring: bench.faulted, world: bench.world, calls: bench.calls, draws: DRAWS, seed: 1 });
  }
</script>

<section class="sheet-of-paper p-4" aria-label="Spread of the voltage">
  <h2 class="section-title mb-1">The voltage in houses like this</h2>
  <p class="quiet mb-2 text-sm">
    {DRAWS.toLocaleString('en')} draws: mains ±10 %, transformers ±15 %, coils ±20 %, joints from good to corroded.
  </p>
  {#if run.share !== null}
    <div class="flex items-center gap-3">
      <progress class="progress flex-1" value={run.share} max="1" aria-label="Draws done"></progress>
      <button type="button" class="btn btn-sm" onclick={() => run.cancel()}>Stop</button>
    </div>
  {:else if !run.result}
    <button type="button" class="btn" onclick={start}>Draw them</button>
  {/if}
  {#if run.trouble}<p role="alert">{run.trouble}</p>{/if}
  {#if run.result && spread && spread.volts.length === 0}
    <p>No thermostat here is fed by a common.</p>
  {:else if spread && spread.volts.length > 0}
    <p class="mb-2" data-spread>
      With {callName(bench.call)}: nine in ten between <b>{at(0.05)} V and {at(0.95)} V</b>, the middle at {at(
        0.5
      )} V.
      {spread.below > 0
        ? `${(spread.below * 100).toFixed(1)} % fall below the window.`
        : 'None falls below the window.'}
      {spread.dead > 0 ? `In ${(spread.dead * 100).toFixed(1)} % a load does not start.` : ''}
    </p>
    <Chart
      label="How often each voltage is met at the thermostat"
      height={220}
      data={[
        {
          type: 'bar',
          x: bins.map((bin) => bin.volts),
          y: bins.map((bin) => bin.count),
          width: BIN,
          marker: { color: 'rgba(110,115,120,0.75)' },
          hovertemplate: '%{x:.1f} V: %{y}<extra></extra>'
        }
      ]}
      layout={{
        xaxis: {
          title: { text: 'volts at the thermostat' },
          range: [(window?.min ?? 18) - 2, (window?.max ?? 30) + 2]
        },
        yaxis: { title: { text: 'draws' } },
        shapes: [window?.min ?? 18, window?.max ?? 30].map((x) => ({
          type: 'line' as const,
          x0: x,
          x1: x,
          yref: 'paper' as const,
          y0: 0,
          y1: 1,
          line: { dash: 'dash' as const, width: 2 }
        })),
        annotations: [
          {
            x: window?.min ?? 18,
            y: 1,
            yref: 'paper',
            text: 'least',
            showarrow: false,
            xanchor: 'left',
            yanchor: 'top'
          },
          {
            x: window?.max ?? 30,
            y: 1,
            yref: 'paper',
            text: 'most',
            showarrow: false,
            xanchor: 'right',
            yanchor: 'top'
          }
        ]
      }}
    />
  {/if}
</section>
