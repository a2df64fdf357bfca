<script lang="ts">
  /** Every single mistake on this wiring, by what it would do: what harms comes first, what nobody would notice last. */
  import { caseName, PLAIN_CASE } from '$core/devices/world';
  import { countMistakes, mistakesOf } from '$core/diagnose/mistakes';
  import type { Bench } from './bench.svelte';
  import { LongWork } from './long-run.svelte';

  interface Props {
    bench: Bench;
  }

  let { bench }: Props = $props();
  const run = new LongWork('faults');
  $effect(() => {
    void bench.sound;
    void bench.world;
    run.cancel();
    run.result = null;
  });

  function start(): void {
    if (bench.world)
      void run.start({ wiring: bench.sound, world: bench.world, calls: bench.calls, pairs: false });
  }

  const rows = $derived(run.result ? mistakesOf(run.result) : []);
  const counts = $derived(countMistakes(rows));
</script>

<section class="sheet-of-paper p-4" aria-label="Every single mistake">
  <h2 class="section-title mb-1">Every single mistake</h2>
  {#if run.share !== null}
    <div class="flex items-center gap-3">
      <progress class="progress flex-1" value={run.share} max="1" aria-label="Faults done"></progress>
      <button type="button" class="btn btn-sm" onclick={() => run.cancel()}>Stop</button>
    </div>
  {:else if !run.result}
    <p class="quiet mb-2 text-sm">Solves each of {bench.faults.length} faults in every call.</p>
    <button type="button" class="btn" onclick={start}>Solve them</button>
  {:else}
    <p class="mb-2" data-summary>
      {counts.all} mistakes: <b>{counts.harming} would harm</b>, {counts.noticed} would show at the tests, {counts.hidden}
      would not show at all.
    </p>
    {#if run.result.cases.length > 1}<p class="quiet mb-2 text-sm">
        What runs is that of {caseName(run.result.cases[0] ?? PLAIN_CASE)}; fuses, loads of transformers and
        the volts of the display are those of the worst of {run.result.cases.length} cases of polarity and earth.
      </p>{/if}
    <details>
      <summary class="cursor-pointer font-semibold">All of them</summary>
      <table class="table table-sm">
        <thead><tr><th scope="col">If</th><th scope="col">then</th></tr></thead>
        <tbody>
          {#each rows as row (row.id)}
            <tr>
              <td>{row.says}</td>
              <td
                >{#if row.harms}<b>Harm:&ensp;</b>{/if}{row.shows.join(', ') || 'nothing shows'}</td
              >
            </tr>
          {/each}
        </tbody>
      </table>
    </details>
  {/if}
  {#if run.trouble}<p role="alert">{run.trouble}</p>{/if}
</section>
