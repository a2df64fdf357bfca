<script lang="ts">
  /** Ways beside each other: the ways as columns, what matters as rows; what differs stands out. */
  import { compareWays } from '$core/plan/compare-ways';
  import type { MistakeCounts } from '$core/diagnose/mistakes';
  import type { Job } from '$core/job/schema';
  import type { PlannedOption } from '$core/plan/plan';
  import type { MethodId } from '$core/trade/vocabulary';
  import { costText, minutesText } from '../moves/bands';
  import type { Wiring } from '$core/wiring/graph';
  import VerdictMark from '../reasons/verdict-mark.svelte';
  import WayPicture from './way-picture.svelte';
  import { say } from '../words/manner.svelte';

  interface Props {
    ways: readonly PlannedOption[];
    best: MethodId;
    mistakes: Partial<Record<MethodId, MistakeCounts>>;
    units: Job['units'];
    /** The wiring as it is, for the pictures of what changes. */
    before: Wiring;
    /** A way is to be unfolded below. */
    onopen: (method: MethodId) => void;
  }

  const { ways, best, mistakes, units, before, onopen }: Props = $props();
  /** More columns than these nobody compares: the rest stand below. */
  const MOST = 4;
  const shown = $derived(ways.filter(({ standing }) => standing !== 'left').slice(0, MOST));
  const rows = $derived([
    { name: 'Work', cells: shown.map((way) => minutesText(way.minutesBand)), same: false },
    { name: 'To buy', cells: shown.map((way) => say(costText(way.costBand))), same: false },
    ...compareWays(shown, mistakes, units)
  ]);
</script>

{#if shown.length > 1}
  <section class="sheet-of-paper hidden p-4 md:block" aria-label="Ways compared">
    <table class="w-full table-fixed border-collapse text-left">
      <thead>
        <tr>
          <td class="w-32"></td>
          {#each shown as way (way.method)}
            <th scope="col" class="p-2 align-top" class:best={way.method === best}>
              {#if way.method === best}<span class="quiet block text-sm font-normal">Recommended</span>{/if}
              <a class="underline" href="#way-{way.method}" onclick={() => onopen(way.method)}>{way.title}</a>
              <span class="mt-1 block text-sm font-normal"
                ><VerdictMark verdict={way.verdict} size={16} /></span
              >
            </th>
          {/each}
        </tr>
      </thead>
      <tbody>
        <tr class="border-t border-base-300">
          <th scope="row" class="quiet py-2 pr-2 align-top text-sm font-normal">What changes</th>
          {#each shown as way (way.method)}
            <td class="p-2 align-top" class:best={way.method === best}>
              {#if way.after}<WayPicture {before} after={way.after} />{/if}
            </td>
          {/each}
        </tr>
        {#each rows as row (row.name)}
          <tr class="border-t border-base-300">
            <th scope="row" class="quiet py-2 pr-2 align-top text-sm font-normal">{row.name}</th>
            {#each row.cells as text, at (shown[at]?.method)}
              <td class="p-2 align-top text-sm" class:quiet={row.same} class:best={shown[at]?.method === best}
                >{text}</td
              >
            {/each}
          </tr>
        {/each}
      </tbody>
    </table>
  </section>
{/if}

<style>
  .best {
    background: color-mix(in oklab, var(--color-base-content) 5%, transparent);
  }
</style>
