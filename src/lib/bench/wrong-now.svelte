<script lang="ts">
  /** What is wrong at the moment, each to be mended. */
  import X from '@lucide/svelte/icons/x';
  import type { Bench } from './bench.svelte';

  interface Props {
    bench: Bench;
  }

  let { bench }: Props = $props();
</script>

{#if bench.inside.length > 0}
  <div class="flex flex-wrap items-center gap-2" role="group" aria-label="Put wrong now">
    <span class="font-semibold">Wrong now:</span>
    {#each bench.inside as fault (fault.id)}
      <button
        type="button"
        class="btn btn-outline h-auto min-h-11 py-1 font-normal"
        aria-label="Mend: {fault.says}"
        onclick={() => bench.toggle(fault.id)}>{fault.says}<X size={16} aria-hidden="true" /></button
      >
    {/each}
    {#if bench.inside.length > 1}
      <button type="button" class="btn btn-sm" onclick={() => (bench.wrong = [])}>All right again</button>
    {/if}
  </div>
{/if}
