<script lang="ts">
  /** What is believed, each with its share as a number and a bar, the likeliest first. */
  import { percentText } from '$core/trade/figures';

  interface Props {
    shares: readonly { readonly id: string; readonly name: string; readonly probability: number }[];
    /** The one that is taken for now. */
    chosen: string;
  }

  let { shares, chosen }: Props = $props();
</script>

<ul class="flex flex-col gap-1.5">
  {#each shares as { id, name, probability } (id)}
    <li class="grid grid-cols-[1fr_4rem] items-center gap-x-3">
      <span class:font-semibold={id === chosen}>{name}</span>
      <span class="text-right">{percentText(probability)}</span>
      <span class="bar" aria-hidden="true"><span style:width="{probability * 100}%"></span></span>
    </li>
  {/each}
</ul>

<style>
  .bar {
    grid-column: 1 / -1;
    height: 0.45rem;
    border-radius: 999px;
    background: var(--color-base-200);
    overflow: hidden;
  }

  .bar > span {
    display: block;
    height: 100%;
    background: color-mix(in oklab, var(--color-base-content) 72%, transparent);
  }
</style>
