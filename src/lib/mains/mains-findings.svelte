<script lang="ts">
  /** What is said about mains controls, stops first. Notes are folded away where they would drown what matters. */
  import Info from '@lucide/svelte/icons/info';
  import OctagonX from '@lucide/svelte/icons/octagon-x';
  import TriangleAlert from '@lucide/svelte/icons/triangle-alert';
  import type { MainsFinding } from '$core/findings/mains';
  import { mainsText } from '$core/words/mains-findings';
  import { LEVEL_WORDS } from '../reasons/levels';
  import { say } from '../words/manner.svelte';

  interface Props {
    findings: readonly MainsFinding[];
    fold?: boolean;
  }

  let { findings, fold = false }: Props = $props();
  const shapes = { stop: OctagonX, warn: TriangleAlert, note: Info };
  const shown = $derived(fold ? findings.filter(({ level }) => level !== 'note') : findings);
  const folded = $derived(fold ? findings.filter(({ level }) => level === 'note') : []);
</script>

{#snippet line(one: MainsFinding)}
  {@const Shape = shapes[one.level]}
  <li class="finding" data-level={one.level} data-code={one.code}>
    <span class="mt-0.5 flex-none"><Shape size={18} aria-hidden="true" /></span>
    <span class="min-w-0"><b>{LEVEL_WORDS[one.level]}.</b> {say(mainsText(one))}</span>
  </li>
{/snippet}

{#if shown.length > 0}
  <ul class="flex flex-col gap-2">
    {#each shown as one, at (at)}{@render line(one)}{/each}
  </ul>
{/if}
{#if folded.length > 0}
  <details class="text-sm">
    <summary class="quiet cursor-pointer py-1">Good to know ({folded.length})</summary>
    <ul class="flex flex-col gap-1">
      {#each folded as one, at (at)}{@render line(one)}{/each}
    </ul>
  </details>
{/if}

<style>
  .finding {
    display: flex;
    gap: 0.5rem;
    padding: 0.4rem 0.75rem;
    border-left: 3px solid var(--color-base-300);
  }

  .finding[data-level='warn'] {
    border-left-color: color-mix(in oklab, var(--color-base-content) 55%, transparent);
  }

  .finding[data-level='stop'] {
    border-left: 6px double var(--color-base-content);
    background: color-mix(in oklab, var(--color-base-content) 7%, transparent);
  }
</style>
