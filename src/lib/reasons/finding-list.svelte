<script lang="ts">
  /** Findings, stops first; each can be asked which recorded facts it rests on. */
  import Info from '@lucide/svelte/icons/info';
  import OctagonX from '@lucide/svelte/icons/octagon-x';
  import TriangleAlert from '@lucide/svelte/icons/triangle-alert';
  import type { Finding } from '$core/findings/finding';
  import { getPlace } from '../state/context';
  import { factKey } from '$core/findings/finding';
  import { findingText } from '$core/words/findings/table';
  import FactList from './fact-list.svelte';
  import { LEVEL_WORDS } from './levels';
  import { say } from '../words/manner.svelte';

  interface Props {
    findings: readonly Finding[];
    /** Notes are folded away where they would drown what matters. */
    compact?: boolean;
  }

  let { findings, compact = false }: Props = $props();
  const place = getPlace();
  const shapes = { stop: OctagonX, warn: TriangleAlert, note: Info };
</script>

<ul class="flex flex-col gap-2">
  {#each findings as one (factKey(one))}
    {@const Shape = shapes[one.level]}
    <li class="finding" data-level={one.level} data-code={one.code}>
      <span class="mt-0.5 flex-none"><Shape size={18} aria-hidden="true" /></span>
      <div class="min-w-0">
        <b>{LEVEL_WORDS[one.level]}.</b>
        {say(findingText(one, place.job.units))}
        {#if one.because.length > 0 && !compact}
          <details class="mt-0.5 text-sm">
            <summary class="quiet cursor-pointer">Why</summary>
            <FactList refs={one.because} />
          </details>
        {/if}
      </div>
    </li>
  {/each}
</ul>

<style>
  .finding {
    display: flex;
    gap: 0.5rem;
    padding: 0.5rem 0.75rem;
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
