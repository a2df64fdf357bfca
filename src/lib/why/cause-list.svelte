<script lang="ts">
  /** What it may be: the likeliest first, with its share as a bar and a figure. */
  import type { DiagnoseReport } from '$core/formats/diagnose-report';
  import { percentText } from '$core/trade/figures';
  import { capital } from '$core/job/names';
  import { say } from '../words/manner.svelte';

  interface Props {
    causes: DiagnoseReport['causes'];
  }

  let { causes }: Props = $props();
  const SHOWN = 4;
  const shown = $derived(causes.slice(0, SHOWN));
</script>

<ol class="flex flex-col gap-2">
  {#each shown as cause (cause.fault)}
    <li>
      <div class="flex items-baseline justify-between gap-3">
        <span>{say(capital(cause.says.join('; or ')))}</span>
        <b class="flex-none">{percentText(cause.probability)}</b>
      </div>
      <div class="bar" aria-hidden="true"><span style:width="{cause.probability * 100}%"></span></div>
    </li>
  {/each}
</ol>

<style>
  .bar {
    height: 0.4rem;
    border-radius: 999px;
    background: var(--color-base-200);
  }

  .bar > span {
    display: block;
    height: 100%;
    border-radius: 999px;
    background: var(--color-base-content);
  }
</style>
