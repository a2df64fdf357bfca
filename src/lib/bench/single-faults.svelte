<script lang="ts">
  /** Every single mistake on this wiring, by what it would do: what harms comes first, what nobody would notice last. */
  import { FLAGS, type FaultTable } from '$core/diagnose/fault-table';
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

  interface Row {
    readonly id: string;
    readonly says: string;
    readonly harms: boolean;
    readonly shows: string;
  }

  const rows = $derived(run.result ? rowsOf(run.result) : []);

  function rowsOf(table: FaultTable): Row[] {
    const width = table.calls.length;
    return table.faults
      .map((fault, at): Row => {
        const shows: string[] = [];
        let harms = false;
        for (let call = 0; call < width; call += 1) {
          const cell = (at + 1) * width + call;
          const flags = table.flags[cell] ?? 0;
          const runs = table.runs[cell] ?? 0;
          const noAir = runsWithoutAir(table, runs);
          harms ||= (flags & (FLAGS.fuseOpen | FLAGS.overloaded)) > 0 || noAir;
          if (flags & FLAGS.fuseOpen) shows.push('a fuse opens');
          else if (noAir) shows.push('runs without the blower');
          else if (runs !== (table.runs[call] ?? 0)) shows.push(`${table.calls[call]} differs`);
          if ((table.volts[cell] ?? 30) < 18 && (table.volts[call] ?? 0) >= 18)
            shows.push('the display is dark');
        }
        return { id: fault.id, says: fault.says, harms, shows: [...new Set(shows)].join(', ') };
      })
      .sort((a, b) => Number(b.harms) - Number(a.harms) || Number(a.shows === '') - Number(b.shows === ''));
  }

  function runsWithoutAir({ loads }: FaultTable, runs: number): boolean {
    const on = (load: string) => {
      const bit = loads.findIndex((one) => one === load);
      return bit >= 0 && ((runs >> bit) & 1) === 1;
    };
    return loads.includes('blower') && !on('blower') && (on('compressor') || on('strips') || on('burner'));
  }
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
      {rows.length} mistakes: <b>{rows.filter((one) => one.harms).length} would harm</b>, {rows.filter(
        (one) => !one.harms && one.shows !== ''
      ).length} would show at the tests, {rows.filter((one) => one.shows === '').length} would not show at all.
    </p>
    <details>
      <summary class="cursor-pointer font-semibold">All of them</summary>
      <table class="table table-sm">
        <thead><tr><th scope="col">If</th><th scope="col">then</th></tr></thead>
        <tbody>
          {#each rows as row (row.id)}
            <tr>
              <td>{row.says}</td>
              <td
                >{#if row.harms}<b>Harm:&ensp;</b>{/if}{row.shows || 'nothing shows'}</td
              >
            </tr>
          {/each}
        </tbody>
      </table>
    </details>
  {/if}
  {#if run.trouble}<p role="alert">{run.trouble}</p>{/if}
</section>
